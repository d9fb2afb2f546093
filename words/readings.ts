import type { Quantity } from '../core/evidence/evidence.ts';

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
  crestFlat: { external: 'Flat on the crest', internal: 'Flat on the crest', hint: '0 when round' },
  rootFlat: { external: 'Flat at the root', internal: 'Flat at the root', hint: '0 when round' },
  crestRadius: { external: 'Radius of the crest', internal: 'Radius of the crest', hint: '0 when flat' },
  rootRadius: { external: 'Radius of the root', internal: 'Radius of the root', hint: '0 when flat' },
  depth: { external: 'Depth of thread', internal: 'Depth of thread', hint: '2.3 mm' },
  lead: { external: 'Lead', internal: 'Lead', hint: 'advance in one turn' },
  taper: { external: 'Taper', internal: 'Taper', hint: '1 in 16, or 0' },
  hand: {
    external: 'Hand',
    internal: 'Hand',
    hint: 'right or left: a right-hand thread rises to the right, axis upright',
  },
  starts: { external: 'Starts', internal: 'Starts', hint: '1' },
};
