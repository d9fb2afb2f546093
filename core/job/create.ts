import { notPractised } from '../practice/rounds.ts';
import { USUAL_WEIGHTS } from '../gearing/search/merit.ts';
import type { Job, Shop } from './schema.ts';
import { JOB_VERSION, SHOP_VERSION } from './stations.ts';

/** A part of which nothing but its thread is known. */
export const UNMEASURED: Job['part'] = {
  headDiameterMm: null,
  headLengthMm: null,
  grooveMm: null,
  stubDiameterMm: null,
  stubLengthMm: null,
};

type HeldYet = Omit<
  Job['setup'],
  'infeed' | 'slideAngleDeg' | 'rpm' | 'reliefMm' | 'checks' | 'lengthMm' | 'barMm' | 'taperBy'
>;
/**
 * Nobody has said yet how it is held, with what it is cut, or how it ends.
 * @example notHeldYet().clearanceDeg // 5
 */
export const notHeldYet = (): HeldYet => ({
  overCentresMm: null,
  toolKind: 'ground',
  clearanceDeg: 5,
  held: {
    by: null,
    freeMm: null,
    boreMm: null,
    inJawsMm: null,
    rest: 'none',
    steadyAtMm: null,
    grip: null,
    stop: false,
  },
  bar: { neckMm: null, overhangMm: null, of: 'steel' },
  end: 'groove',
  taperOutMm: null,
  reactS: null,
  trueWith: [],
  foundBy: null,
});
/**
 * Nobody has said yet with what it is proved: three wires, the nearest owned, by what the fit has.
 * @example notProvedYet().mates // []
 */
export const notProvedYet = (): Job['prove'] => ({
  wire: null,
  count: 3,
  warmK: null,
  by: null,
  clearance: null,
  mates: [],
  mate: '',
  worth: { playNowMm: null, limitMm: null, ageYears: null, wornMm: null },
});
/** The whole depth by one rule, fed one way. */
export const IN_ONE_GO = { stages: null, straightLastMm: 0 } satisfies Partial<Job['cut']>;

/**
 * A job with nothing known yet. Identity and time come from outside.
 * @example newJob('a', 'A screw', new Date(0)).readings // []
 * @example newJob('a', 'A screw', new Date(0)).quantity.parts // 1
 */
export function newJob(id: string, title: string, at: Date): Job {
  const now = at.toISOString();
  return {
    format: 'gelvin-job',
    version: JOB_VERSION,
    id,
    title,
    customer: '',
    created: now,
    changed: now,
    intake: {
      cameIn: 'screw',
      wanted: 'copy',
      make: 'external',
      material: 'mild steel',
      note: '',
      origin: null,
      use: null,
      hazards: [],
    },
    readings: [],
    wearMap: { lengthMm: null, unworn: null },
    part: { ...UNMEASURED },
    name: null,
    fit: {
      class: null,
      to: 'clearance',
      wornMate: 'thickest',
      travel: null,
      clean: null,
      duty: null,
      aim: { pitchMm: null, startMm: null },
      gauge: { end: 'go', school: 'inside' },
      pitchClearanceMm: 0.05,
      crestReliefMm: 0.08,
      engagementMm: null,
      tip: null,
    },
    gears: { lathe: null, train: null },
    setup: {
      infeed: 'flank',
      slideAngleDeg: 29.5,
      rpm: null,
      reliefMm: null,
      checks: [],
      lengthMm: null,
      barMm: null,
      taperBy: null,
      ...notHeldYet(),
    },
    pickup: { way: 'parallel', slipGear: null, leadsOut: null, overMm: null },
    cut: {
      rule: 'constant-area',
      stepMm: null,
      passes: null,
      firstMaxMm: USUAL_CAP_MM,
      lastMinMm: 0.03,
      springs: USUAL_SPRINGS,
      ...IN_ONE_GO,
      deeperStepMm: null,
      returnBy: 'reverse',
    },
    prove: { ...notProvedYet() },
    quantity: { parts: 1, testPiece: false },
    events: [],
    pictures: [],
    record: { note: '', verdict: null },
    settled: {},
  };
}

/** Spring passes after the last one, until somebody says otherwise or the shop has learned it. Common practice, no source. */
export const USUAL_SPRINGS = 2;
/** No pass deeper than this, mm radial, until somebody says otherwise or the shop has learned it. Common practice, no source. */
export const USUAL_CAP_MM = 0.25;

/**
 * A shop before anything is known of it.
 * @example emptyShop().lathes // []
 * @example emptyShop().instruments.length // 7
 */
export const emptyShop = (): Shop => ({
  format: 'gelvin-shop',
  version: SHOP_VERSION,
  name: 'My shop',
  lathes: [],
  removedLathes: [],
  instruments: [
    { id: 'caliper', name: 'Vernier or dial caliper', measures: 'length', uncertainty: 0.02 },
    { id: 'micrometer', name: 'Micrometer', measures: 'length', uncertainty: 0.004 },
    { id: 'rule', name: 'Rule', measures: 'length', uncertainty: 0.25 },
    { id: 'leaf', name: 'Pitch leaf', measures: 'pitch', uncertainty: 0.02 },
    { id: 'angle-leaf', name: 'Angle by leaf or eye', measures: 'angle', uncertainty: 2 },
    { id: 'template', name: 'Angle by template', measures: 'angle', uncertainty: 1 },
    { id: 'comparator', name: 'Comparator', measures: 'angle', uncertainty: 0.25 },
  ],
  pins: [],
  settings: {
    system: 'mm',
    theme: 'auto',
    inches: 'decimal',
    decimal: 'auto',
    operator: '',
    singleKeys: true,
    byMaterial: {},
    gearWeights: { ...USUAL_WEIGHTS },
  },
  practice: notPractised(),
});
