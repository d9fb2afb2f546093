import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { UNCONFIRMED_FACTS, type Lathe } from './schema.ts';

/** A lathe of which nobody has said anything yet; what stands in for its facts is marked as not known. */
export const newLathe = (id: string): Lathe => ({
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
  slack: { crossMm: null, topMm: null, carriageMm: null },
  coast: null,
  stepsOn: null,
  control: null,
  mounted: null,
});

const MOST_GEARS = 200;

/** Reads a list of gears: `20 25 30`, `20, 25`, `2x20`, and runs `20-65 by 5` or `20 to 65 by fives`. */
export function parseGears(text: string): Outcome<number[]> {
  const field = 'gears';
  const words: Readonly<Record<string, string>> = { ones: '1', twos: '2', fives: '5', tens: '10' };
  let rest = text.trim().toLowerCase();
  const gears: number[] = [];
  rest = rest.replace(
    /(\d+)\s*(?:-|to|\u2013)\s*(\d+)\s*by\s*(\d+|ones|twos|fives|tens)/g,
    (_, a: string, b: string, step: string) => {
      const by = Math.max(1, Number(words[step] ?? step));
      for (let t = Number(a); t <= Number(b) && gears.length <= MOST_GEARS; t += by) gears.push(t);
      return ' ';
    },
  );
  for (const part of rest.split(/[\s,;]+/).filter(Boolean)) {
    const m = /^(?:(\d+)x)?(\d+)$/.exec(part);
    if (!m) return bad(field, 'not-teeth', { typed: part });
    for (let i = 0; i < Math.min(MOST_GEARS + 1, Number(m[1] ?? '1')); i += 1) gears.push(Number(m[2]));
  }
  const wrong = gears.find((t) => t < 8 || t > 400);
  if (wrong !== undefined) return bad(field, 'teeth-out-of-reach', { teeth: wrong });
  if (gears.length > MOST_GEARS) return bad(field, 'too-many-gears', { most: MOST_GEARS });
  return good(gears.sort((a, b) => a - b));
}
