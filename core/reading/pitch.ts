import { DEFAULT_SIGMA } from '../evidence/evidence.ts';
import { parseLength } from '../quantity/length.ts';
import { readNumber } from '../quantity/number.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { parsePitch } from '../quantity/pitch.ts';
import { numberOf } from '../quantity/rational.ts';
import type { UnitSystem } from '../quantity/units.ts';
import type { Entry, ReadingKind, Taken } from './kind.ts';
import { countDensity, LEAF, verdictProbability } from './noise.ts';
import { countSlip } from './slips.ts';

function parseSpan(text: string, system: UnitSystem): Outcome<NonNullable<Entry['span']>> {
  const typed = text.trim() === '' ? '1 in' : text.trim();
  const length = parseLength(typed, { system, field: 'span', maxMm: 2000 });
  return length.ok ? good({ text: typed, mm: length.value.mm }) : length;
}

/** An instrument at least this fine measures from crest to crest; a coarser one only lies beside the crests counted. */
export const FINE_ENOUGH_MM = 0.1;
/**
 * Whether an instrument is fine enough to measure from crest to crest.
 * @example isSpanned({ uncertainty: 0.02 }) // true
 */
export const isSpanned = (r: Pick<Taken, 'uncertainty'>): boolean =>
  r.uncertainty !== null && r.uncertainty <= FINE_ENOUGH_MM;
/**
 * Of a length from crest to crest: both ends are read, and neither crest is a sharp place.
 * @example spanSigmaMm(0.02) // 0.049
 */
export const spanSigmaMm = (uncertaintyMm: number): number =>
  Math.hypot(Math.SQRT2 * uncertaintyMm, DEFAULT_SIGMA.crestPlacedMm);

/** A span is never known better than this, in crests. */
const LEAST_SPANNED = 0.02;

/** Crests counted over a length. */
export const crestCount: ReadingKind<'crestCount'> = {
  measures: 'length',
  worn: false,
  onStarts: false,
  parse: ({ text, spanText }, system) => {
    const count = readNumber(text, 'value');
    if (!count.ok) return count;
    if (count.value.rest !== '') return bad('value', 'not-crests', { rest: count.value.rest });
    const crests = numberOf(count.value.value);
    if (!(crests >= 1 && crests <= 2000)) return bad('value', 'crests-too-few');
    const span = parseSpan(spanText, system);
    return span.ok ? good({ value: crests, span: span.value, leaf: null }) : span;
  },
  slip: (value, known, spanMm) =>
    spanMm === null || known.pitchMm === null ? null : countSlip(value, spanMm, known.pitchMm),
  evidence: (r) =>
    r.span && {
      quantity: 'crestCount',
      crests: r.value,
      spanMm: r.span.mm,
      ...(isSpanned(r) ? { spanUncertaintyMm: spanSigmaMm(r.uncertainty ?? 0) } : {}),
    },
  nominal: (h) => h.pitchMm,
  density: (e, h) =>
    e.spanUncertaintyMm === undefined
      ? countDensity(e.crests, e.spanMm / h.pitchMm, DEFAULT_SIGMA.crests, true)
      : countDensity(e.crests, e.spanMm / h.pitchMm, Math.max(LEAST_SPANNED, e.spanUncertaintyMm / h.pitchMm), false),
  // weighed over every pitch that lathes cut, by those who ask
  free: () => 1,
  ideals: (e, h) => [{ ...e, spanMm: e.crests * h.pitchMm }],
  reason: (e, h) => ({ kind: 'count', crests: e.crests, spanMm: e.spanMm, expected: e.spanMm / h.pitchMm }),
};

/** A leaf of a pitch gauge, and how it sits. */
export const pitchLeaf: ReadingKind<'pitchLeaf'> = {
  measures: 'pitch',
  worn: false,
  onStarts: false,
  parse: (typed, system) => {
    const pitch = parsePitch(typed.text, 'value');
    if (!pitch.ok) return pitch;
    const entry = { value: pitch.value.mm, leaf: typed.leaf };
    if (typed.spanText.trim() === '') return good({ ...entry, span: null });
    const span = parseSpan(typed.spanText, system);
    return span.ok ? good({ ...entry, span: span.value }) : span;
  },
  evidence: (r) =>
    r.leaf && {
      quantity: 'pitchLeaf',
      pitchMm: r.value,
      fit: r.leaf,
      ...(r.span === null ? {} : { overMm: r.span.mm }),
    },
  nominal: (h) => h.pitchMm,
  // over the leaf's length the teeth drift apart by the relative error times the length
  density: (e, h) => verdictProbability(e.fit, leafOutMm(e, h.pitchMm), LEAF),
  free: () => 1,
  ideals: (e, h) => (e.fit === 'fits' ? [{ ...e, pitchMm: h.pitchMm }] : []),
  reason: (e, h) => ({ kind: 'leaf', pitchMm: e.pitchMm, fit: e.fit, outMm: leafOutMm(e, h.pitchMm) }),
};

/**
 * How far a leaf's teeth are out at its end on a thread of this pitch, mm.
 * @example leafOutMm({ pitchMm: 2 }, 2.1) // 0.48
 */
export const leafOutMm = (leaf: { readonly pitchMm: number; readonly overMm?: number }, pitchMm: number): number =>
  (Math.abs(pitchMm - leaf.pitchMm) / pitchMm) * (leaf.overMm ?? DEFAULT_SIGMA.leafOverMm);
