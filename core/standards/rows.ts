import { tpiOf } from '../quantity/pitch.ts';
import { exact, INCH_MM, mixedText, shortText, type Rational } from '../quantity/rational.ts';

/** One size of a published table with the pitches that it gives to it. */
export interface TableRow {
  /** The size as labelled: "1 1/4", "#8", "10"; for BA its number, for pipe threads the pipe's size. */
  readonly size: string;
  /** Nominal (basic major) diameter, exact, mm. */
  readonly diameter: Rational;
  readonly pitches: readonly TablePitch[];
}
interface TablePitch {
  /** Exact, mm. */
  readonly pitch: Rational;
  /** 0: the usual one of the size; 1 the next, and so on. */
  readonly choice: number;
  /** Whether it goes without saying in a metric designation. */
  readonly coarse: boolean;
}

/**
 * A size with one pitch. @param diameter @param pitch exact, mm
 * @example textOf(rowOfSize('10', exact('10'), exact('3/2')).pitches[0].pitch) // '3/2'
 */
export const rowOfSize = (size: string, diameter: Rational, pitch: Rational): TableRow => ({
  size,
  diameter,
  pitches: [{ pitch, choice: 0, coarse: false }],
});

/** Diameter, coarse (or preferred) pitch and the others, mm; null: no coarse pitch. */
export type MetricSize = readonly [diameterMm: number, coarseMm: number | null, othersMm: readonly number[]];
/**
 * Rows of a table of millimetres.
 * @example metricRows([[10, 1.5, [1.25, 1]]])[0].pitches.map((p) => textOf(p.pitch)) // ['3/2', '5/4', '1']
 */
export const metricRows = (sizes: readonly MetricSize[]): TableRow[] =>
  sizes.map(([d, coarse, others]) => ({
    size: String(d),
    diameter: exact(d),
    pitches: [coarse, ...others].flatMap((p, choice) =>
      p === null ? [] : [{ pitch: exact(p), choice, coarse: choice === 0 }],
    ),
  }));

/** A size in inches that is its own label, whole and fraction ("1 1/4") or decimal, and its threads per inch. */
export type InchSize = readonly [size: string, tpi: number];
/**
 * Rows of a table of inches.
 * @example textOf(inchRows([['1 1/4', 7]])[0].diameter) // '127/4'
 */
export const inchRows = (sizes: readonly InchSize[]): TableRow[] =>
  sizes.map(([size, tpi]) => rowOfSize(size, inchesOf(size).mul(INCH_MM), INCH_MM.div(exact(tpi))));

/** A size whose label is not its diameter (a number, a pipe's size), the diameter, and its threads per inch. */
export type LabelledSize = readonly [size: string, diameter: number, tpi: number];
/**
 * @param unit of the diameters
 * @example textOf(labelledRows([['#8', 0.164, 32]], 'in')[0].pitches[0].pitch) // '127/160'
 */
export const labelledRows = (sizes: readonly LabelledSize[], unit: 'mm' | 'in'): TableRow[] =>
  sizes.map(([size, d, tpi]) =>
    rowOfSize(size, exact(d).mul(unit === 'in' ? INCH_MM : exact(1)), INCH_MM.div(exact(tpi))),
  );

const inchesOf = (size: string): Rational => size.split(' ').reduce((sum, part) => sum.add(exact(part)), exact(0));

/** Sizes of the constant-pitch series, in sixteenths of an inch: every one to 2 in, from there every eighth. ASME B1.1. */
const SIXTEENTHS = Array.from({ length: 93 }, (_, i) => i + 4).filter((n) => n <= 32 || n % 2 === 0);
/**
 * Every size of the series from the first to the last, with the same threads per inch.
 * @example series('1 15/16', '2 1/4', 8) // [['1 15/16', 8], ['2', 8], ['2 1/8', 8], ['2 1/4', 8]]
 */
export function series(first: string, last: string, tpi: number): InchSize[] {
  const [from, to] = [inchesOf(first).mul(16), inchesOf(last).mul(16)].map(Number);
  return SIXTEENTHS.filter((n) => n >= (from ?? 0) && n <= (to ?? 0)).map((n): InchSize => [
    mixedText(exact(`${n}/16`)),
    tpi,
  ]);
}

/**
 * `1/2-13 UNC`: size, threads per inch, name.
 * @example inchText('UNC')('1/2', exact('127/65')) // '1/2-13 UNC'
 */
export const inchText =
  (name: string) =>
  (size: string, pitch: Rational): string =>
    `${size}-${shortText(tpiOf(pitch))} ${name}`;
/**
 * `M10x1`, `Tr 40x7`: name, diameter, pitch in mm.
 * @example metricText('Tr ', '40', exact(7)) // 'Tr 40x7'
 */
export const metricText = (name: string, size: string, pitch: Rational): string => `${name}${size}x${shortText(pitch)}`;
