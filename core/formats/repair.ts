import type { Job, Shop } from '../job/schema.ts';
import { metalOf } from '../job/metal.ts';
import { emptyShop, newJob } from '../job/create.ts';
import { JOB_VERSION, SHOP_VERSION } from '../job/stations.ts';
import { validateJob } from './generated/job.js';
import { validateShop } from './generated/shop.js';
import { senseOf } from './sense.ts';
import { upgradeJob, upgradeShop } from './upgrade.ts';

/** A damaged document made whole, and every place where something was let go. */
export interface Repaired<T> {
  readonly doc: T;
  /** Places in the document, such as "readings.3" or "fit"; what stood there is in the raw export alone. */
  readonly lost: readonly string[];
}
type Loose = Record<string, unknown>;
type Validator<T> = ((data: unknown) => data is T) & {
  errors?: { instancePath: string; keyword: string; params: Record<string, unknown> }[] | null;
};

/** Documents are plain JSON. */
const copy = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T;
/** More faults than this are no document any more. */
const MOST_STEPS = 2000;
const isLoose = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);

/**
 * Lets go of as little as makes the document hold: an unknown field, one item of a list, else one section, for which the
 * fallback's is taken. Null when nothing of it holds.
 */
function repair<T>(raw: unknown, fallback: T, validate: Validator<T>): Repaired<T> | null {
  if (!isLoose(raw)) return null;
  const doc = copy(raw);
  const lost: string[] = [];
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (validate(doc)) return { doc, lost };
    const [e] = validate.errors ?? [];
    if (!e) return null;
    const path = e.instancePath.split('/').slice(1);
    const extra = e.params['additionalProperty'];
    if (e.keyword === 'additionalProperties' && typeof extra === 'string') {
      const at = path.reduce<unknown>((o, k) => (o as Loose | undefined)?.[k], doc);
      if (isLoose(at) && Reflect.deleteProperty(at, extra)) {
        lost.push([...path, extra].join('.'));
        continue;
      }
    }
    // the outermost list of which an item does not hold
    const [section, index] = path;
    const list = section === undefined ? undefined : doc[section];
    if (section !== undefined && index !== undefined && Array.isArray(list) && /^\d+$/.test(index)) {
      list.splice(Number(index), 1);
      lost.push(`${section}.${index}`);
      continue;
    }
    const missing = e.params['missingProperty'];
    const key = section ?? (typeof missing === 'string' ? missing : undefined);
    if (key === undefined || !Object.hasOwn(fallback as Loose, key)) return null;
    const instead = copy((fallback as Loose)[key]);
    if (JSON.stringify(doc[key]) === JSON.stringify(instead)) return null;
    doc[key] = instead;
    lost.push(key);
  }
  return null;
}

/** A document of the right shape from which no thread follows: its fit becomes the fallback's, else its name is taken away. */
function sensible({ doc, lost }: Repaired<Job>, fallback: Job): Repaired<Job> | null {
  if (senseOf(doc) === null) return { doc, lost };
  const refitted = { ...doc, fit: fallback.fit };
  if (senseOf(refitted) === null) return { doc: refitted, lost: [...lost, 'fit'] };
  const unnamed = { ...doc, name: null };
  return senseOf(unnamed) === null ? { doc: unnamed, lost: [...lost, 'name'] } : null;
}

/**
 * A damaged job. @param earlier the job as it was before its last edits, newest first: a section that does not hold is taken
 * from the newest of them. Where events of the ledger were lost nobody knows how deep the groove is: the machine stops until
 * somebody has read it.
 * @example repairJob({}, 'x', [], new Date(0)).doc.title // 'Repaired job'
 */
export function repairJob(raw: unknown, id: string, earlier: readonly Job[], now: Date): Repaired<Job> | null {
  let upgraded = raw;
  try {
    upgraded = upgradeJob(raw);
  } catch {
    // as far as it came
  }
  const loose = isLoose(upgraded) ? { ...upgraded, version: JOB_VERSION, format: 'gelvin-job', id } : upgraded;
  const fallback = earlier[0] ?? newJob(id, 'Repaired job', now);
  const shaped = repair(loose, fallback, validateJob as Validator<Job>);
  const made = shaped && sensible(shaped, fallback);
  if (!made || !made.lost.some((l) => l.startsWith('events'))) return made;
  const { depthMm, axialMm, part, start, cuts, slideDeg } = metalOf(made.doc);
  const n = (made.doc.events.at(-1)?.n ?? 0) + 1;
  const unsure = {
    kind: 'cut' as const,
    depthMm,
    axialMm,
    crossMm: depthMm,
    topMm: 0,
    slideDeg,
    infeed: made.doc.setup.infeed,
    assumedPasses: Math.max(1, cuts),
    ...{ n, id: `repaired-${n}`, at: now.toISOString(), part, start },
  };
  return { ...made, doc: { ...made.doc, events: [...made.doc.events, unsure] } };
}

/**
 * A damaged shop: lathes and instruments that hold are kept.
 * @example repairShop({}).doc.lathes // []
 * @example repairShop({ ...shop, name: 7 }).doc.lathes.length // 4
 */
export function repairShop(raw: unknown): Repaired<Shop> | null {
  let upgraded = raw;
  try {
    upgraded = upgradeShop(raw);
  } catch {
    // as far as it came
  }
  const loose = isLoose(upgraded) ? { ...upgraded, version: SHOP_VERSION, format: 'gelvin-shop' } : upgraded;
  return repair<Shop>(loose, emptyShop(), validateShop);
}
