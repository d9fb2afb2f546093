import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import type { Unwritten } from '../../quantity/unwritten.ts';
import { newJob } from '../create.ts';
import { lastN } from '../metal.ts';
import { object } from '../parts.ts';
import type { Job, Shop } from '../schema.ts';
import { DESK } from './desk.ts';
import { COMMON, stale, written, type EditDef } from './edit.ts';
import { MACHINE as CUTTING } from './machine.ts';
import { PASSES } from './passes.ts';
import { PICKUP } from './pickup.ts';

/**
 * Every change of a job, by name. Views dispatch these and hold no recipe; the headless door takes the same ones, so that a
 * whole job can be carried from intake to record as data.
 */
export const EDITS = { ...DESK, ...CUTTING, ...PASSES, ...PICKUP };
/** Everything that can be done to a job or the shop. */
export type EditName = keyof typeof EDITS;

type FieldsOf<K extends EditName> = Unwritten<Static<ReturnType<typeof Type.Object<(typeof EDITS)[K]['of']>>>>;
type Common = { id?: string | null; at?: string | null; after?: number | null };
/** One act with its fields. */
export type Edit = { [K in EditName]: { do: K } & Common & FieldsOf<K> }[EditName];

const NEW_JOB = { title: Type.Optional(Type.String({ minLength: 1, maxLength: 200 })) };

/** Description of one edit as the door takes it: `newJob` besides those above. */
export const EditSchema = Type.Unsafe<Edit | ({ do: 'newJob'; title?: string } & Common)>({
  type: 'object',
  discriminator: { propertyName: 'do' },
  oneOf: [['newJob', NEW_JOB] as const, ...Object.entries(EDITS).map(([name, e]) => [name, e.fields] as const)].map(
    ([name, fields]) => {
      const whole = object({ ...COMMON, ...(fields as Record<string, TSchema>) });
      return {
        ...whole,
        properties: { do: { const: name }, ...whole.properties },
        required: ['do', ...((whole as { required?: string[] }).required ?? [])],
      };
    },
  ),
});

/** What an edit says besides its own fields. */
const OUTSIDE: ReadonlySet<string> = new Set(['do', 'id', 'at', 'after']);

/** What an act left behind. */
export interface Edited {
  readonly job: Job;
  readonly shop: Shop;
  /** Numbers of the events it wrote down. */
  readonly events: readonly number[];
}

/**
 * Applies one edit. @param made identity and time, for what the edit does not bring itself
 * @example value(applyEdit(demo('pump'), shop, { do: 'setRecord', note: 'true' }, { id: 'x', at: '2026-01-05T08:00:00.000Z' })).job.record.note // 'true'
 */
export function applyEdit(
  job: Job,
  shop: Shop,
  e: Edit,
  made: { readonly id: string; readonly at: string },
): Outcome<Edited> {
  const def: EditDef | undefined = Object.hasOwn(EDITS, e.do) ? EDITS[e.do] : undefined;
  if (!def) return bad('do', 'no-such-edit', { typed: String(e.do), there: Object.keys(EDITS).join(', ') });
  const rests = stale(job, e.after);
  if (rests) return rests;
  const id = e.id ?? made.id;
  const at = e.at ?? made.at;
  const fields = Object.fromEntries(Object.entries(e).filter(([k]) => !OUTSIDE.has(k)));
  const out = def.run({ job, shop, id, at }, fields as never);
  if (!out.ok) return out;
  const before = lastN(job);
  const next = written({ ...(out.value.job ?? job), changed: at }, out.value.events ?? [], id, at);
  return good({
    job: next,
    shop: out.value.shop ?? shop,
    events: next.events.filter((x) => x.n > before).map((x) => x.n),
  });
}

/**
 * A new job, as an edit begins one.
 * @example beginJob('A screw', 'x', '2026-01-05T08:00:00.000Z').title // 'A screw'
 */
export const beginJob = (title: string | undefined, id: string, at: string): Job =>
  newJob(id, title ?? 'New job', new Date(at));
