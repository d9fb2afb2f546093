import type { ElectronicView } from '../core/job/electronic.ts';
import { FINE, lengthText, ppmText } from '../core/quantity/format.ts';
import { pitchText } from '../core/quantity/pitch.ts';
import type { Rational } from '../core/quantity/rational.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { Lathe } from '../core/lathe/schema.ts';
import { typedLead, type TypedHow } from '../core/motion/typedLead.ts';
import type { ParameterRow } from './parameterRow.ts';

const UNIT: Readonly<Record<TypedHow['unit'], string>> = { mm: 'mm', in: 'in', tpi: 'turns an inch' };

/** A lead as this lathe is told it: the digits typed, where it is known how it takes them. */
export function leadToType(lead: Rational, lathe: Lathe, u: UnitSystem): string {
  const how = lathe.kind === 'electronic' ? lathe.typed : null;
  const typed = how && typedLead(lead, how);
  return how && typed ? `${typed.text} ${UNIT[how.unit]}` : pitchText(lead, u);
}

/** What an electronic leadscrew is told, each with how it came. @param how how this lathe takes a lead; null: nobody has said */
export function electronicRows(v: ElectronicView, lead: Rational, how: TypedHow | null, u: UnitSystem): ParameterRow[] {
  const mm = (x: number): string => lengthText(x, u, FINE);
  const z = (x: number): string => `${x >= 0 ? '+' : ''}${mm(x)}`;
  const row = (name: string, value: string, made: string): ParameterRow => ({ name, value, how: made });
  return [
    v.typed && how
      ? row(
          'Lead to type in',
          `${v.typed.text} ${UNIT[how.unit]}`,
          v.typed.errorPpm === 0
            ? 'exact'
            : `rounded, ${ppmText(v.typed.errorPpm)}${v.overThreadMm === null ? '' : `: ${mm(v.overThreadMm)} over the thread`}`,
        )
      : row(
          'Lead to type in',
          pitchText(lead, u),
          how
            ? 'to the decimals that it takes this rounds to nothing: look at its page'
            : 'how this lathe takes it is not said: on its page',
        ),
    row(
      'Stop at',
      v.stopMm === null ? 'not said' : z(v.stopMm),
      v.stopMm === null
        ? 'wants the length of the thread, under Room to stop'
        : v.shortMm === null
          ? 'end of the thread; how hard it slows is not measured, the last turn may fall short of its lead'
          : `end of the thread and ${mm(v.shortMm)} past it, in which the carriage slows at a falling lead`,
    ),
    row(
      'Start at',
      v.startMm === null ? 'not said' : z(v.startMm),
      v.startMm === null
        ? 'a left hand begins at the far end: wants the length of the thread, under Room to stop'
        : `${v.startLeads} whole leads out${v.runUpMm === null ? '' : `; it wants ${mm(v.runUpMm)} to come to its speed`}`,
    ),
    row(
      'Overshoot on the way back',
      v.overshootMm === null ? 'not known' : mm(v.overshootMm),
      v.overshootMm === null
        ? 'wants the slack of the carriage, on the page of the lathe'
        : 'past the start and up to it again: the slack, and half a millimetre',
    ),
    row(
      'Sync point',
      { any: 'any', found: 'as found', 'not-found': 'not found' }[v.sync],
      {
        any: 'a new thread: wherever it is set, but then kept',
        found: 'where the old groove was found; whole leads from there',
        'not-found': 'an old groove: find it under Pick up first',
      }[v.sync],
    ),
  ];
}
