import { jobToV3, latheToV3 } from './jobV3.ts';
import { jobToV4 } from './jobV4.ts';
import { JOB_VERSION, SHOP_VERSION } from '../job/stations.ts';

/**
 * Older documents brought up to date, one step a version, before they are checked or opened. Each step knows the shape
 * it finds only as far as it changes it; whatever is wrong besides is left for the check to name.
 */
type Loose = Record<string, unknown>;
type Step = (doc: Loose) => Loose;

const isLoose = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);
const each = (list: unknown, step: (item: Loose) => Loose): unknown =>
  Array.isArray(list) ? list.map((x: unknown) => (isLoose(x) ? step(x) : x)) : list;

/**
 * Version 2: crest and root radius and the hand may be read; nothing that was written before changes. Version 3: what was
 * done is a ledger of events instead of a count of passes. Version 4: what a fit is counted from has a name; worn mates,
 * cleaning up and steps of one's own.
 */
const JOB_STEPS: Readonly<Record<number, Step>> = { 1: (doc) => doc, 2: jobToV3, 3: jobToV4 };

/** Version 3: a lathe says its kind, slack, coast and dial habit. Version 2: the arm's pivot, slot offsets, studs and cover walls; the pressure angle; which way the screw must turn. */
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
};

function upgrade(doc: unknown, steps: Readonly<Record<number, Step>>, current: number): unknown {
  if (!isLoose(doc)) return doc;
  let out = doc;
  for (let v = Number(doc['version']); v >= 1 && v < current; v += 1) {
    const step = steps[v];
    if (step) out = { ...step(out), version: v + 1 };
  }
  return out;
}

export const upgradeJob = (doc: unknown): unknown => upgrade(doc, JOB_STEPS, JOB_VERSION);
export const upgradeShop = (doc: unknown): unknown => upgrade(doc, SHOP_STEPS, SHOP_VERSION);
