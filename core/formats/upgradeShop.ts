import { notPractised } from '../practice/rounds.ts';
import { SHOP_VERSION } from '../job/stations.ts';
import { each, isLoose, upgrade, without, type Loose, type Step } from './loose.ts';

/** Version 8: lathes that were removed. Version 7: how a lead is typed in; what was practised. Version 6: what is laid into grooves has a kind and its own diameter. Version 5: what a lathe has besides, and how each material was last fed. Version 4: how inches are written; the rows of a gearbox's chart. Version 3: a lathe says its kind, slack, coast and dial habit. Version 2: the arm's pivot, slot offsets, studs and cover walls; the pressure angle; which way the screw must turn. */
const SHOP_STEPS: Readonly<Record<number, Step>> = {
  1: (doc) => ({
    ...doc,
    lathes: each(doc['lathes'], (lathe) => ({
      pressureAngleDeg: 20,
      rightHandMeshes: null,
      ...lathe,
      arm: isLoose(lathe['arm'])
        ? {
            pivot: null,
            studs: 2,
            shaftRadiusMm: lathe['arm']['bossRadiusMm'],
            cover: null,
            ...lathe['arm'],
            slots: each(lathe['arm']['slots'], (slot) => ({ offsetMm: 0, ...slot })),
          }
        : lathe['arm'],
    })),
  }),
  2: (doc) => ({ ...doc, lathes: each(doc['lathes'], latheToV3) }),
  3: (doc) => ({
    ...doc,
    lathes: each(doc['lathes'], (lathe) => ({ chart: '', ...lathe })),
    settings: isLoose(doc['settings']) ? { inches: 'decimal', decimal: 'auto', ...doc['settings'] } : doc['settings'],
  }),
  4: (doc) => ({
    ...doc,
    lathes: each(doc['lathes'], (lathe) => ({ has: [], motorKw: null, stopAccelMmS2: null, ...lathe })),
    settings: isLoose(doc['settings']) ? { byMaterial: {}, ...doc['settings'] } : doc['settings'],
  }),
  5: ({ wiresMm, ...doc }) => ({
    ...doc,
    ...(wiresMm === undefined
      ? {}
      : {
          pins: Array.isArray(wiresMm)
            ? wiresMm.map((mm: unknown) => ({ kind: 'wire', mm, measuredMm: null, roundMm: null }))
            : wiresMm,
        }),
  }),
  6: (doc) => ({
    ...doc,
    practice: notPractised(),
    lathes: each(doc['lathes'], (lathe) => ({ typed: null, ...lathe })),
  }),
  7: (doc) => ({ removedLathes: [], ...doc }),
};

/** Lathes say what kind they are, and what is not measured yet is not known. */
function latheToV3(lathe: Loose): Loose {
  const geared = lathe['drive'] !== 'electronic';
  const levers = isLoose(lathe['levers']) && Object.keys(lathe['levers']).length > 0;
  return {
    unconfirmed: [],
    slack: { crossMm: null, topMm: null, carriageMm: null },
    coast: null,
    stepsOn: null,
    control: null,
    ...without(lathe, 'drive'),
    kind: geared ? (levers ? 'gearbox' : 'change-gears') : 'electronic',
  };
}

/**
 * An older shop brought up to date.
 * @example upgradeShop(shop).version // 8
 */
export const upgradeShop = (doc: unknown): unknown => upgrade(doc, SHOP_STEPS, SHOP_VERSION);
