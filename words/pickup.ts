import { FINE, lengthText, roundText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { Move, SlideTravel } from '../core/job/pickupMove.ts';
import { placeText } from './gears.ts';
import { travelText, unitName } from './machine.ts';

/** The move as one number: what it belongs to, the number with its turns and unit, and what goes with it. */
export interface MoveHead {
  readonly what: string;
  readonly figure: string;
  readonly turns: number;
  readonly unit: string;
  readonly which: string;
}

export function moveHead(move: Move, u: UnitSystem): MoveHead {
  const dial = (t: SlideTravel | null, mm: number): Pick<MoveHead, 'figure' | 'turns' | 'unit'> =>
    t
      ? { figure: t.shown, turns: t.turns, unit: unitName(t.unit) }
      : { figure: lengthText(Math.abs(mm), u, { ...FINE, bare: true }), turns: 0, unit: unitName(u) };
  switch (move.way) {
    case 'parallel':
      return {
        what: `Top slide ${move.axialMm >= 0 ? 'towards the headstock' : 'towards the tailstock'}`,
        ...dial(move.travel, move.axialMm),
        which: 'then feed straight in with the cross slide',
      };
    case 'angled':
      return {
        what: `Top slide ${move.slideMm >= 0 ? 'forward' : 'back'}`,
        ...dial(move.travel, move.slideMm),
        which: `cross slide ${travelText(move.crossTravel, move.crossOutMm, u, ' + ')} ${move.crossOutMm >= 0 ? 'out of the work' : 'into the work'}`,
      };
    case 'turn':
      return {
        what: `Turn the work ${move.direction}`,
        figure: `${roundText(move.deg, 0.5)}\u00b0`,
        turns: 0,
        unit: '',
        which: move.direction === 'back' ? 'top coming away from you' : 'top coming towards you',
      };
    case 'slip':
      return {
        what: `Slip the ${move.gear}`,
        figure: String(move.teeth),
        turns: 0,
        unit: move.teeth === 1 ? 'tooth' : 'teeth',
        which: `${placeText(move.place)}, ${
          move.direction === 'forward'
            ? 'the way it turns when cutting forward'
            : 'against the way it turns when cutting'
        }`,
      };
    case 'start':
      return {
        what: 'Start further out by',
        figure: lengthText(move.outMm, u, { ...FINE, bare: true }),
        turns: 0,
        unit: unitName(u),
        which: 'then whole leads only',
      };
  }
}
