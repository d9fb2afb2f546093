import { MM_PER_INCH, type UnitSystem } from './units.ts';
import { marked, writing } from './writing.ts';

/** What a hand can set: 0.01 mm on a metric dial, 0.0005 in on an inch one, 1/64 on a rule. */
export const HAND_STEP_MM = 0.01;
/** What a hand sets on a dial in inches. */
export const HAND_STEP_IN = 0.0005;
const RULE_STEP_IN = 1 / 64;

const places = (step: number): number => {
  for (let p = 0; p <= 6; p += 1) if (Math.abs(step * 10 ** p - Math.round(step * 10 ** p)) < 1e-9) return p;
  return 6;
};

/**
 * Rounds to the nearest step, then prints just the digits that the step has: 0.0005 -> four places. Never "-0.00".
 * @example roundText(1.2349, 0.01) // '1.23'
 */
export function roundText(value: number, step: number): string {
  if (!(step > 0)) throw new RangeError(`step: ${step}`);
  const p = places(step);
  const text = (Math.round(value / step + (value < 0 ? -1e-9 : 1e-9)) * step).toFixed(p);
  return Number(text) === 0 ? (0).toFixed(p) : text;
}

/** How finely a length is written. */
export interface LengthStyle {
  /** Rounding step, mm, used when shown in millimetres. */
  readonly stepMm?: number;
  /** Rounding step, in, used when shown in inches. */
  readonly stepIn?: number;
  /** Taken with a rule: in inches it may be written as a fraction. */
  readonly rule?: boolean;
  /** Leave the unit off (a dial has only one). */
  readonly bare?: boolean;
}

/**
 * A length in one system, rounded to what a hand can set unless the style says finer.
 * @example lengthText(25.4, 'in') // '1.0000 in'
 */
export function lengthText(mm: number, system: UnitSystem, style: LengthStyle = {}): string {
  const { inches } = writing();
  const fraction = system === 'in' && style.rule && inches !== 'decimal' ? fractionText(mm, undefined, inches) : null;
  const text =
    fraction ??
    marked(
      system === 'mm'
        ? roundText(mm, style.stepMm ?? HAND_STEP_MM)
        : roundText(mm / MM_PER_INCH, style.stepIn ?? HAND_STEP_IN),
    );
  return style.bare ? text : `${text} ${system}`;
}

/** For measured sizes: micrometre and ten-thousandth. */
export const FINE: LengthStyle = { stepMm: 0.001, stepIn: 0.0001 };

/** For lengths along a part: a millimetre, a hundredth of an inch, or the rule’s own fractions. */
export const ALONG: LengthStyle = { stepMm: 1, stepIn: 0.01, rule: true };

/**
 * The same length in both systems, preferred first: "31.75 mm (1.2500 in)".
 * @example bothText(25.4, 'mm') // '25.40 mm (1.0000 in)'
 */
export const bothText = (mm: number, system: UnitSystem, style: LengthStyle = {}): string =>
  `${lengthText(mm, system, style)} (${lengthText(mm, system === 'mm' ? 'in' : 'mm', style)})`;

/**
 * To the nearest 64th, in lowest terms: "1 3/16". Null when no 64th lies within `withinMm`.
 * @example fractionText(31.75) // '1 1/4'
 */
export function fractionText(
  mm: number,
  withinMm = (MM_PER_INCH * RULE_STEP_IN) / 2,
  as: 'fractions' | '64ths' = 'fractions',
): string | null {
  const n = Math.round(mm / (MM_PER_INCH * RULE_STEP_IN));
  if (Math.abs(mm - n * MM_PER_INCH * RULE_STEP_IN) > withinMm) return null;
  let num = n % 64;
  let den = 64;
  while (as === 'fractions' && num !== 0 && num % 2 === 0) {
    num /= 2;
    den /= 2;
  }
  const whole = Math.floor(n / 64);
  if (num === 0) return String(whole);
  return `${whole === 0 ? '' : `${whole} `}${num}/${den}`;
}

/**
 * An angle as it is set.
 * @example degreesText(29.5) // '29.5\u00b0'
 */
export const degreesText = (deg: number, step = 0.1): string => `${marked(roundText(deg, step))}\u00b0`;

/**
 * 0.94 -> "94 %"; never claims 0 or 100 for what is not certain.
 * @example percentText(0.613) // '61 %'
 */
export function percentText(p: number): string {
  if (p >= 0.995 && p < 1) return 'over 99 %';
  if (p > 0 && p < 0.005) return 'under 1 %';
  return `${Math.round(p * 100)} %`;
}

/**
 * A small share, such as that of a length by which a lead is off: to two figures, where whole per cents say too little.
 * @example [smallShareText(0.005), smallShareText(0.00037), smallShareText(0.13)] // ['0.5 %', '0.037 %', '13 %']
 */
export const smallShareText = (share: number): string => `${marked(String(Number((100 * share).toPrecision(2))))} %`;

/**
 * An error of a lead; nothing off is said to be exact.
 * @example ppmText(213) // '+213 ppm'
 */
export const ppmText = (ppm: number): string =>
  ppm === 0
    ? 'exact'
    : `${ppm > 0 ? '+' : '\u2212'}${Math.abs(ppm) < 10 ? marked(Math.abs(ppm).toFixed(1)) : Math.round(Math.abs(ppm))} ppm`;

/**
 * A speed along a slide, given in mm/s, in the unit at hand.
 * @example [speedText(1.5, 'mm'), speedText(25.4, 'in')] // ['1.5 mm/s', '1.00 in/s']
 */
export const speedText = (mmPerS: number, system: UnitSystem): string =>
  system === 'mm' ? `${marked(mmPerS.toFixed(1))} mm/s` : `${marked((mmPerS / MM_PER_INCH).toFixed(2))} in/s`;
