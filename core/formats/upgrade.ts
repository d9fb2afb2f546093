import { jobToV3 } from './jobV3.ts';
import { jobToV4 } from './jobV4.ts';
import { jobToV5 } from './jobV5.ts';
import { jobToV6 } from './jobV6.ts';
import { jobToV7 } from './jobV7.ts';
import { jobToV10 } from './jobV10.ts';
import { jobToV8 } from './jobV8.ts';
import { JOB_VERSION } from '../job/stations.ts';
import { upgrade, type Step } from './loose.ts';

/**
 * Older documents brought up to date, one step a version, before they are checked or opened. Each step knows the shape
 * it finds only as far as it changes it; whatever is wrong besides is left for the check to name.
 *
 * Version 2: crest and root radius and the hand may be read; nothing that was written before changes. Version 3: what was
 * done is a ledger of events instead of a count of passes. Version 4: what a fit is counted from has a name; worn mates,
 * cleaning up and steps of one's own. Version 5: the part beside its thread; aims by hand. Version 6:
 * how it is held, how the thread ends, and with what it is cut; stages. Version 7: how it is proved. Version 8: how an old groove was
 * found. Version 9: readings may come from a picture, and a picture says how it was read; nothing written before changes.
 * Version 10: the flanks of a special are named as all flanks are; the deepest pass may be one that other jobs taught.
 */
const JOB_STEPS: Readonly<Record<number, Step>> = {
  1: (doc) => doc,
  2: jobToV3,
  3: jobToV4,
  4: jobToV5,
  5: jobToV6,
  6: jobToV7,
  7: jobToV8,
  8: (doc) => doc,
  9: jobToV10,
};

/**
 * A job of any earlier version in today’s shape, unchecked.
 * @example upgradeJob(demo('pump')).version // 10
 */
export const upgradeJob = (doc: unknown): unknown => upgrade(doc, JOB_STEPS, JOB_VERSION);
export { upgradeShop } from './upgradeShop.ts';
