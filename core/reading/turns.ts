import { DEFAULT_SIGMA } from '../evidence/evidence.ts';
import { readWhole } from '../quantity/number.ts';
import { bad, good } from '../quantity/outcome.ts';
import { normalPdf } from './density.ts';
import { plain, uncertainty, type ReadingKind } from './kind.ts';
import { BLUNDER_PER_MM, withBlunder } from './noise.ts';
import { typedLength } from './typed.ts';

/** A lead is read over a turn: no surer than this, mm. */
const LEAST_LEAD_MM = 0.02;

/** Advance in one turn. */
export const lead: ReadingKind<'lead'> = {
  measures: 'length',
  worn: false,
  onStarts: true,
  parse: typedLength,
  evidence: (r) => ({ quantity: 'lead', valueMm: r.value, ...uncertainty('uncertaintyMm', r) }),
  nominal: (h, _, starts) => h.pitchMm * starts,
  density: (e, h, _, starts) =>
    withBlunder(
      normalPdf(e.valueMm - h.pitchMm * starts, Math.hypot(e.uncertaintyMm ?? DEFAULT_SIGMA.leadMm, LEAST_LEAD_MM)),
      BLUNDER_PER_MM,
    ),
  free: (_, pitchMm) => 1 / (4 * pitchMm),
  ideals: (e, h, _, starts) => [{ ...e, valueMm: h.pitchMm * starts }],
  reason: (e, h, _, starts) => ({ kind: 'lead', readMm: e.valueMm, starts, expectedMm: h.pitchMm * starts }),
  likely: (h, _, starts) => ({ mean: h.pitchMm * starts, sigma: DEFAULT_SIGMA.leadMm }),
};

const MOST_STARTS = 12;
/** Starts are counted right but for one time in thirty. Common practice, no source. */
const COUNTED_RIGHT = 0.97;
const EACH_OTHER = 0.01;

/** Number of starts. */
export const starts: ReadingKind<'starts'> = {
  measures: null,
  worn: false,
  onStarts: true,
  parse: ({ text }) => {
    const n = readWhole(text, 'value', 1, MOST_STARTS);
    return n.ok ? good(plain(n.value)) : n;
  },
  evidence: (r) => ({ quantity: 'starts', count: r.value }),
  nominal: (_, __, n) => n,
  density: (e, _, __, n) => (e.count === n ? COUNTED_RIGHT : EACH_OTHER),
  free: () => COUNTED_RIGHT,
  ideals: (e, _, __, n) => [{ ...e, count: n }],
  reason: (e) => ({ kind: 'starts', count: e.count }),
  likely: (_, __, n) => ({ mean: n, sigma: 0.2 }),
};

/** Right or left hand. */
export const hand: ReadingKind<'hand'> = {
  measures: null,
  worn: false,
  onStarts: false,
  parse: ({ text }) => {
    const read = /^\s*(?:(r|rh|right)|(l|lh|left))(?:[ -]?hand)?\s*$/i.exec(text);
    return read ? good(plain(read[1] ? 1 : -1)) : bad('value', 'hand-right-or-left');
  },
  evidence: (r) => ({ quantity: 'hand', hand: r.value < 0 ? 'left' : 'right' }),
  nominal: () => null,
  // every thread is cut in either hand: it says the same of every candidate
  density: () => 1,
  free: () => 1,
  ideals: () => [],
  reason: () => null,
};
