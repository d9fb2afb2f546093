import type { Quantity } from '../core/evidence/evidence.ts';
import { degreesText, lengthText } from '../core/quantity/format.ts';
import { pitchText } from '../core/quantity/pitch.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { leadOf, pitchOf, type ThreadSpec } from '../core/standards/thread.ts';
import { taperText } from './reasons.ts';

/** What each reading is called on a screw and on a nut, and how it is typed. */
export const QUANTITY_NAMES: Readonly<
  Record<Quantity, { readonly external: string; readonly internal: string; readonly hint: string }>
> = {
  majorDiameter: {
    external: 'Outside diameter',
    internal: 'Diameter at the root of the nut',
    hint: '1.242 in, 31.6, 1 1/4',
  },
  minorDiameter: { external: 'Root diameter', internal: 'Bore', hint: '27.1, 1.067 in' },
  pitchDiameter: { external: 'Pitch diameter', internal: 'Pitch diameter', hint: 'from wires or a thread micrometer' },
  crestCount: {
    external: 'Crests over a length',
    internal: 'Crests over a length',
    hint: 'the two half crests at the ends count as one; crest to crest, count the steps',
  },
  pitchLeaf: { external: 'Pitch leaf', internal: 'Pitch leaf', hint: '7 tpi or 3.5 mm' },
  template: { external: 'Form template', internal: 'Form template', hint: '55, 60, 47.5, 30, 29, 45' },
  flankAngle: { external: 'Included angle', internal: 'Included angle', hint: '55' },
  // a flank is known by what it faces on the part; which of them leads under the tool follows from that
  leadingFlank: {
    external: 'Flank facing the free end',
    internal: 'Flank facing where the screw enters',
    hint: 'from square to the axis',
  },
  trailingFlank: {
    external: 'Flank facing the head',
    internal: 'Flank facing away from it',
    hint: 'from square to the axis',
  },
  overWires: { external: 'Over three wires', internal: 'Over three wires', hint: '32.45; give the wire beside it' },
  crestFlat: { external: 'Crest flat', internal: 'Crest flat', hint: '0 when round' },
  rootFlat: { external: 'Root flat', internal: 'Root flat', hint: '0 when round' },
  crestRadius: { external: 'Crest radius', internal: 'Crest radius', hint: '0 when flat' },
  rootRadius: { external: 'Root radius', internal: 'Root radius', hint: '0 when flat' },
  depth: { external: 'Depth of thread', internal: 'Depth of thread', hint: '2.3 mm' },
  lead: { external: 'Lead', internal: 'Lead', hint: 'advance in one turn' },
  taper: { external: 'Taper', internal: 'Taper', hint: '1 in 16, 3/4 in/ft, 1.79\u00b0 a side, or 0' },
  hand: {
    external: 'Hand',
    internal: 'Hand',
    hint: 'right or left: a right-hand thread rises to the right, axis upright',
  },
  starts: { external: 'Starts', internal: 'Starts', hint: '1' },
};

/** The same on a small patch of the drawing, where it does not fit whole: part of the whole name. */
const ON_PATCH: Partial<Record<Quantity, Readonly<Record<'external' | 'internal', string>>>> = {
  majorDiameter: { external: 'Outside dia', internal: 'Dia at the root' },
  minorDiameter: { external: 'Root dia', internal: 'Bore' },
  pitchDiameter: { external: 'Pitch dia', internal: 'Pitch dia' },
  template: { external: 'Template', internal: 'Template' },
  leadingFlank: { external: 'facing the free end', internal: 'where the screw enters' },
  trailingFlank: { external: 'facing the head', internal: 'facing away from it' },
};
export const patchName = (q: Quantity, side: 'external' | 'internal'): string =>
  ON_PATCH[q]?.[side] ?? QUANTITY_NAMES[q][side];

/** How the hand is said. */
export const handText = (leftHand: boolean): string => (leftHand ? 'left' : 'right');

/** What a reading would be on a new thread of this name, as it would be read. */
export function expectedText(q: Quantity, value: number, thread: ThreadSpec, system: UnitSystem): string {
  switch (q) {
    case 'crestCount':
    case 'pitchLeaf':
      return pitchText(pitchOf(thread), system);
    case 'lead':
      return pitchText(leadOf(thread), system);
    case 'template':
    case 'flankAngle':
    case 'leadingFlank':
    case 'trailingFlank':
      return degreesText(value);
    case 'taper':
      return taperText(value);
    case 'starts':
      return String(value);
    case 'hand':
      return handText(value < 0);
    default:
      return lengthText(value, system, { stepIn: 0.001 });
  }
}
