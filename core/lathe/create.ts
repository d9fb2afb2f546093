import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { readList } from '../quantity/number.ts';
import { UNCONFIRMED_FACTS, type LatheDraft } from './schema.ts';

/**
 * A lathe of which nobody has said anything yet; what stands in for its facts is marked as not known.
 * @example newLathe('x').id // 'x'
 */
export const newLathe = (id: string): LatheDraft => ({
  id,
  name: 'New lathe',
  note: '',
  unconfirmed: [...UNCONFIRMED_FACTS],
  kind: 'change-gears',
  leadscrew: '127/40',
  leadscrewSystem: 'in',
  gears: [],
  fixedRatio: '1',
  levers: {},
  chart: '',
  moduleMm: null,
  pressureAngleDeg: 20,
  gearWidthMm: null,
  arm: null,
  tumbler: true,
  rightHandMeshes: null,
  proven: [],
  dial: null,
  crossSlide: { unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' },
  topSlide: { unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' },
  slideScaleZero: 'cross-slide',
  speeds: [],
  screwedChuck: true,
  has: [],
  motorKw: null,
  stopAccelMmS2: null,
  slack: { crossMm: null, topMm: null, carriageMm: null },
  coast: null,
  stepsOn: null,
  control: null,
  typed: null,
  mounted: null,
});

const MOST_GEARS = 200;

/**
 * Reads a list of gears: `20 25 30`, `20, 25`, `2x20`, and runs `20-65 by 5` or `20 to 65 by fives`.
 * @example value(parseGears('20, 2x30')) // [20, 30, 30]
 */
export function parseGears(text: string): Outcome<number[]> {
  const field = 'gears';
  const list = readList(text, field, MOST_GEARS);
  if (!list.ok) return list;
  const gears = list.value;
  const part = gears.find((t) => !Number.isInteger(t));
  if (part !== undefined) return bad(field, 'not-teeth', { typed: part });
  const wrong = gears.find((t) => t < 8 || t > 400);
  if (wrong !== undefined) return bad(field, 'teeth-out-of-reach', { teeth: wrong });
  return good(gears.sort((a, b) => a - b));
}
