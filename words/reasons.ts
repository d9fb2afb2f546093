import type { SeenBy } from '../core/identify/nextReading.ts';
import type { Reason } from '../core/reading/reason.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** A leaf this little out is not seen to be, mm. */
const DEAD_RIGHT_MM = 0.005;

const SIZES = {
  rootOfNut: ['root of the nut read', 'nominal'],
  bore: ['bore', 'basic'],
  pitchDiameter: ['pitch diameter', 'basic'],
  minorDiameter: ['root', 'expected about'],
  overWires: ['pitch diameter over the wires', 'basic'],
  depth: ['depth', 'full form'],
} as const;
const LEAF = { fits: 'fits', nearly: 'nearly fits', no: 'does not fit' };

const round = (x: number): string => String(Number(x.toFixed(2)));
const OTHER = { flat: 'round', radius: 'flat' };

/** How far a leaf is out over its length. */
export const leafOutText = (outMm: number, u: UnitSystem): string =>
  outMm < DEAD_RIGHT_MM ? 'dead right' : `${lengthText(outMm, u, FINE)} out over its length`;

/** A taper by its rule: one in so many. */
export const taperText = (taper: number): string => (taper === 0 ? 'none' : `1 in ${round(1 / Math.abs(taper))}`);

/** One reason for or against a name, in the unit at hand. */
export function reasonText(r: Reason, u: UnitSystem): string {
  const len = (mm: number): string => lengthText(mm, u, FINE);
  switch (r.kind) {
    case 'crest':
      if (r.says === 'over') return `crest reads ${len(r.byMm)} over the nominal ${len(r.expectedMm)}`;
      if (r.says === 'worn')
        return `would mean ${len(r.byMm)} off the crest at the worn place${r.beyondWear ? ', more than wear explains' : ''}`;
      return `crest ${len(r.readMm)} is ${len(r.byMm)} under the nominal ${len(r.expectedMm)}`;
    case 'size': {
      const [read, expected] = SIZES[r.of];
      return `${read} ${len(r.readMm)}, ${expected} ${len(r.expectedMm)}`;
    }
    case 'edge':
      return `${r.edge} ${r.shape} ${len(r.readMm)}, the form has ${r.expectedMm === 0 ? `a ${OTHER[r.shape]} ${r.edge}` : len(r.expectedMm)}`;
    case 'no-rest':
      return `the ${len(r.wireMm)} wire rests on no flank of this form`;
    case 'count':
      return `${round(r.crests)} crests in ${len(r.spanMm)}; this pitch gives ${round(r.expected)}`;
    case 'leaf':
      return `the ${len(r.pitchMm)} leaf ${LEAF[r.fit]}; it would be ${leafOutText(r.outMm, u)}`;
    case 'template':
      return `the ${degreesText(r.angleDeg)} template ${LEAF[r.fit]}${r.flank === null ? '' : ' one flank'}; the form has ${degreesText(r.expectedDeg)} there`;
    case 'angle':
      return `angle read ${degreesText(r.readDeg)}, the form has ${degreesText(r.expectedDeg)}`;
    case 'flank':
      return `flank read ${degreesText(r.readDeg)}, the form has ${degreesText(r.leadingDeg)} and ${degreesText(r.trailingDeg)}`;
    case 'lead':
      return `lead read ${len(r.readMm)}, ${r.starts === 1 ? 'single start' : `${r.starts} starts`} gives ${len(r.expectedMm)}`;
    case 'taper':
      return `taper read ${taperText(r.read)}, the form has ${taperText(r.expected)}`;
    case 'starts':
      return `${r.count} start${r.count === 1 ? '' : 's'} counted`;
  }
}

const WAYS_SEEN = {
  rule: 'rule',
  counting: 'counting at the end of the thread',
  'two-places': 'calipers at two places',
};
export const seenByText = (s: SeenBy): string => (s.by === 'instrument' ? s.name : WAYS_SEEN[s.by]);

/** How strongly a reading speaks, as odds. */
export const timesText = (times: number): string =>
  times >= 1000 ? 'over 1000 to 1' : `${times >= 10 ? Math.round(times) : times.toFixed(1)} to 1`;

const RESIDUAL_NAMES = {
  crest: 'outside',
  size: {
    rootOfNut: 'root of the nut',
    bore: 'bore',
    pitchDiameter: 'pitch dia',
    minorDiameter: 'root',
    overWires: 'over wires',
    depth: 'depth',
  },
  count: 'crests',
  angle: 'angle',
  lead: 'lead',
} as const;
/** Which reading a residual is of. */
export function residualName(r: Reason): string {
  switch (r.kind) {
    case 'size':
      return RESIDUAL_NAMES.size[r.of];
    case 'edge':
      return `${r.edge} ${r.shape}`;
    case 'crest':
    case 'count':
    case 'angle':
    case 'lead':
      return RESIDUAL_NAMES[r.kind];
    default:
      return r.kind;
  }
}
/** Less than the last figure that is shown of anything. */
const SHOWS_AS_NOTHING = 5e-4;
/** How far off, with its sign, in the unit of the reading. */
export function offText(off: number, unit: 'mm' | 'deg' | 'count', u: UnitSystem): string {
  const size = Math.abs(off) < SHOWS_AS_NOTHING ? 0 : Math.abs(off);
  const sign = size === 0 ? '' : off > 0 ? '+' : '\u2212';
  if (unit === 'mm') return `${sign}${lengthText(size, u, { ...FINE, bare: true })}`;
  return unit === 'deg' ? `${sign}${degreesText(size)}` : `${sign}${round(size)}`;
}
