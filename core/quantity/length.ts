import { readNumber } from './number.ts';
import { bad, good, type Outcome } from './outcome.ts';
import { exact, INCH_MM, numberOf, type Rational } from './rational.ts';
import type { UnitSystem } from './units.ts';

/** A length as it was typed and in mm. */
export interface Length {
  /** The text as typed, kept for ever. */
  readonly text: string;
  readonly mm: number;
  readonly exactMm: Rational;
  readonly system: UnitSystem;
  /** True when no unit was written and the shop's preferred system was taken. */
  readonly assumed: boolean;
  /** Half of the last digit written, mm: no reading is better than what was written down. Null for fractions. */
  readonly halfDigitMm: number | null;
}

const UNITS: readonly { readonly pattern: RegExp; readonly mm: Rational; readonly system: UnitSystem }[] = [
  { pattern: /^(mm|millimet(er|re)s?)\.?$/i, mm: exact(1), system: 'mm' },
  { pattern: /^cm$/i, mm: exact(10), system: 'mm' },
  { pattern: /^m$/, mm: exact(1000), system: 'mm' },
  { pattern: /^(um|\u00b5m|\u03bcm|microns?|micromet(er|re)s?)$/i, mm: exact('1/1000'), system: 'mm' },
  { pattern: /^("|''|\u2033|\u201d|in|ins|inch|inches)\.?$/i, mm: INCH_MM, system: 'in' },
  { pattern: /^(thou|thous|mil|mils)$/i, mm: INCH_MM.div(1000n), system: 'in' },
  { pattern: /^tenths?$/i, mm: INCH_MM.div(10_000n), system: 'in' },
  { pattern: /^('|\u2032|ft|feet|foot)$/i, mm: INCH_MM.mul(12n), system: 'in' },
];

/** What a length has to keep to. */
export interface LengthRule {
  /** System of a bare decimal. A bare fraction is always inches. */
  readonly system: UnitSystem;
  readonly field: string;
  readonly allowNegative?: boolean;
  readonly allowZero?: boolean;
  /** Longest length that makes sense here, mm. */
  readonly maxMm?: number;
}

/**
 * Reads a length as a person writes it: `1 3/16`, `1-3/16`, `.750`, `3/4"`, `19.05`, `19,05 mm`, `25 thou`, `12 um`.
 * @returns exact millimetres, or a problem that says what would be right.
 * @example value(parseLength('1 1/4 in', { system: 'mm', field: 'x' })).mm // 31.75
 */
export function parseLength(text: string, rule: LengthRule): Outcome<Length> {
  const head = readNumber(text, rule.field);
  if (!head.ok) return head;
  const { value, style, lastDigit, rest } = head.value;
  const unit = rest === '' ? null : UNITS.find((u) => u.pattern.test(rest));
  if (unit === undefined) {
    return bad(rule.field, 'not-a-length-unit', { rest, pitch: /tpi|t\.p\.i/i.test(rest) });
  }
  const system = unit?.system ?? (style === 'fraction' ? 'in' : rule.system);
  const factor = unit?.mm ?? (system === 'in' ? INCH_MM : exact(1));
  const exactMm = value.mul(factor);
  const mm = numberOf(exactMm);
  if (mm < 0 && !rule.allowNegative)
    return bad(rule.field, 'length-negative', { right: text.trim().replace(/^[-\u2212]\s*/, '') });
  if (mm === 0 && !rule.allowZero) return bad(rule.field, 'length-zero');
  if (rule.maxMm !== undefined && Math.abs(mm) > rule.maxMm)
    return bad(rule.field, 'length-too-long', { typed: text.trim(), mostMm: rule.maxMm });
  return good({
    text,
    mm,
    exactMm,
    system,
    assumed: unit === null && style === 'decimal',
    halfDigitMm: lastDigit === null ? null : numberOf(lastDigit.mul(factor)) / 2,
  });
}
