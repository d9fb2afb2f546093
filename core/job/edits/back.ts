import { lastN, voidedOf } from '../metal.ts';
import type { Job } from '../schema.ts';
import { written } from './edit.ts';

/**
 * Goes back over a step, or forward again: settings become those of the step, the ledger stays and has the step's events
 * struck through. @returns the job and the numbers of the events that did it
 * @example goOver(demo('pump'), { value: demo('pump'), events: [] }, { id: 'x', at: '2026-11-09T09:00:00.000Z' }).events // []
 */
export function goOver(
  present: Job,
  step: { readonly value: Job; readonly events: readonly number[] },
  made: { readonly id: string; readonly at: string },
): { readonly value: Job; readonly events: number[] } {
  const gone = voidedOf(present.events);
  const bodies = step.events
    .toReversed()
    .filter((n) => !gone.has(n))
    .map((of) => ({ kind: 'voided' as const, of }));
  const before = lastN(present);
  const value = written({ ...step.value, events: present.events, changed: made.at }, bodies, made.id, made.at);
  return { value, events: value.events.filter((e) => e.n > before).map((e) => e.n) };
}
