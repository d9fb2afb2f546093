import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { bad, good, type Outcome, type Refused } from '../../quantity/outcome.ts';
import type { EventBody } from '../events.ts';
import { lastN, metalOf } from '../metal.ts';
import { id as idSchema, time } from '../parts.ts';
import type { Job, Shop } from '../schema.ts';

/** Job and shop as they are before an edit, and what the edit brings from outside: identity and time. */
export interface Before {
  readonly job: Job;
  readonly shop: Shop;
  readonly id: string;
  readonly at: string;
}
/** What an edit changes; events are numbered and written down by the one who asks. */
export interface After {
  readonly job?: Job;
  readonly shop?: Shop;
  readonly events?: readonly EventBody[];
}

/**
 * A named change of a job: its fields and what it does. Pure: identity and time are given. An edit
 * that writes to the ledger may name the event on which it rests; a stale one is refused, so that a second "pass done" for
 * the same pass changes nothing.
 */
export interface EditDef {
  readonly fields: Record<string, TSchema>;
  readonly run: (before: Before, fields: never) => Outcome<After>;
}

type Read<F extends Record<string, TSchema>> = Static<ReturnType<typeof Type.Object<F>>>;

/**
 * Ties fields and function together, then forgets the types so that edits can stand in one table.
 * @example edit({}, ({ job }) => ({ job })).run({ job: demo('latch') }, {}).ok // true
 */
export const edit = <F extends Record<string, TSchema>>(
  fields: F,
  run: (before: Before, f: Read<F>) => Outcome<After> | After,
): EditDef & { readonly of: F } => ({
  fields,
  of: fields,
  run: (before, f) => {
    const out = run(before, f);
    return 'ok' in out ? out : good(out);
  },
});

/**
 * An edit that only writes one event down.
 * @example event({}, () => ({ kind: 'gearsMounted' })).run({ job: demo('latch') }, {}).value // { events: [{ kind: 'gearsMounted' }] }
 */
export const event = <F extends Record<string, TSchema>>(
  fields: F,
  make: (f: Read<F>, before: Before) => EventBody | Outcome<After>,
) =>
  edit(fields, (before, f) => {
    const made = make(f, before);
    return 'ok' in made ? made : good({ events: [made] });
  });

/**
 * A field that may be left out.
 * @example some({ type: 'string' }).type // 'string'
 */
export const some = <T extends TSchema>(schema: T) => Type.Optional(schema);
/**
 * A length as the ledger keeps it where nobody typed a text.
 * @example shown(1.25) // '1.25 mm'
 */
export const shown = (mm: number): string => `${Number(mm.toFixed(3))} mm`;

/** What every edit may say besides its own fields. */
export const COMMON = {
  id: Type.Optional(Type.Union([Type.Null(), idSchema])),
  at: Type.Optional(Type.Union([Type.Null(), time])),
  after: Type.Optional(Type.Union([Type.Null(), Type.Integer({ minimum: 0 })])),
};

/**
 * Puts number, identity, time, part and start to events, and adds them to the ledger.
 * @example written(demo('latch'), [{ kind: 'gearsMounted' }], 'x', '2026-11-09T09:00:00.000Z').events.length // 1
 */
export function written(job: Job, bodies: readonly EventBody[], id: string, at: string): Job {
  let events = job.events;
  for (const body of bodies) {
    const { part, start, cuts, finished } = metalOf({ ...job, events });
    const n = (events.at(-1)?.n ?? 0) + 1;
    // a part on which nothing was cut is the one that is begun
    const own = body.kind === 'partBegun' && (cuts > 0 || finished !== null) ? part + 1 : part;
    // another list for each: what was worked out from the one before stays true of it
    events = [...events, { ...body, n, id: `${id}-${n}`, at, part: own, start }];
  }
  return { ...job, events };
}
/**
 * Refuses what was said of a ledger that has gone on since. @param after number of the last event that was seen
 * @example stale(demo('pump'), 999).problem.code // 'stale-after'
 */
export const stale = (job: Job, after: number | null | undefined): Refused | null =>
  after == null || after === lastN(job) ? null : bad('after', 'stale-after', { after, last: lastN(job) });
