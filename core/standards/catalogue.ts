import { exact, INCH_MM, mixedText, numberOf, shortText, textOf, type Rational } from '../quantity/rational.ts';
import { tpiOf } from '../quantity/pitch.ts';
import type { Family, FamilyId } from './family.ts';
import { BRITISH } from './rows/british.ts';
import { METRIC } from './rows/metric.ts';
import { POWER_AND_PIPE } from './rows/power.ts';
import { UNIFIED } from './rows/unified.ts';

export const FAMILIES: readonly Family[] = [...METRIC, ...UNIFIED, ...BRITISH, ...POWER_AND_PIPE];
const BY_ID = new Map(FAMILIES.map((f) => [f.id, f]));

export function familyOf(id: FamilyId): Family {
  const f = BY_ID.get(id);
  if (!f) throw new RangeError(`family: ${id}`);
  return f;
}

/** One row of a published table. */
export interface StandardThread {
  readonly designation: string;
  readonly family: FamilyId;
  /** The size as labelled: "1 1/4", "#8", "10". */
  readonly size: string;
  readonly majorMm: number;
  /** Exact, mm: "127/65". */
  readonly pitch: string;
  readonly pitchMm: number;
  /** How usual this row is within its family, relative. */
  readonly weight: number;
  readonly coarse: boolean;
}

/** Writes a designation from its parts, the one way used everywhere. */
export function designate(family: FamilyId, size: string, pitch: Rational, coarse = false): string {
  const tpi = mixedText(tpiOf(pitch));
  switch (family) {
    case 'M':
      return coarse ? `M${size}` : `M${size}x${shortText(pitch)}`;
    case 'Tr':
    case 'S':
      return `${family} ${size}x${shortText(pitch)}`;
    case 'BA':
      return `${size} BA`;
    case 'G':
    case 'R':
      return `${family} ${size}`;
    case 'Rd':
      return `Rd ${size}x1/${tpi}`;
    case 'Acme':
      return `${size}-${decimalTpi(pitch)} Acme`;
    case 'StubAcme':
      return `${size}-${decimalTpi(pitch)} Stub Acme`;
    case 'Buttress':
      return `${size}-${decimalTpi(pitch)} Butt`;
    case 'BSBrass':
      return `${size}-${decimalTpi(pitch)} Brass`;
    case 'Hose':
      return `${size}-${decimalTpi(pitch)} NH`;
    default:
      return `${size}-${decimalTpi(pitch)} ${family}`;
  }
}

const decimalTpi = (pitch: Rational): string => shortText(tpiOf(pitch));

/** Number of the size in the order of choice: whole eighths and common millimetres are met more than odd sizes. */
function sizeWeight(family: Family, size: string, majorMm: number): number {
  if (family.system === 'in') {
    if (/^#(3|5|12)$/.test(size)) return 0.4;
    return /\/(16|32)$/.test(size) && majorMm > 16 ? 0.35 : 1;
  }
  if (family.id !== 'M') return 1;
  const first = [1, 1.2, 1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 36, 42, 48, 56, 64, 72, 80, 90, 100];
  if (first.includes(majorMm)) return 1;
  return [14, 18, 22, 27, 33, 39, 45, 52, 60, 68, 76, 110, 125, 140].includes(majorMm) ? 0.6 : 0.25;
}

function rowsOf(family: Family): StandardThread[] {
  const out: StandardThread[] = [];
  for (const token of family.table.trim().split(/\s+/)) {
    const metricList = token.includes(':');
    const [left = '', right = ''] = metricList ? token.split(':') : splitAtLast(token, '-');
    const [label = '', diameter] = left.split('=');
    const size = label.replace('_', ' ');
    const majorText = diameter ?? label;
    const major = mixedOf(majorText).mul(family.system === 'in' ? INCH_MM : exact(1));
    right.split(',').forEach((p, i) => {
      if (p === '-') return;
      // metric lists and BA give the pitch in mm; every other table gives threads per inch
      const pitch = metricList || family.id === 'BA' ? exact(padded(p)) : INCH_MM.div(exact(padded(p)));
      const coarse = metricList && i === 0;
      const majorMm = numberOf(major);
      out.push({
        designation: designate(family.id, size, pitch, coarse && family.id === 'M'),
        family: family.id,
        size,
        majorMm,
        pitch: textOf(pitch),
        pitchMm: numberOf(pitch),
        weight: sizeWeight(family, size, majorMm) * (metricList && i > 0 ? 0.3 / i : 1),
        coarse,
      });
    });
  }
  return out;
}

const padded = (text: string): string => (text.startsWith('.') ? `0${text}` : text);
const splitAtLast = (text: string, mark: string): [string, string] => {
  const at = text.lastIndexOf(mark);
  return [text.slice(0, at), text.slice(at + 1)];
};
function mixedOf(text: string): Rational {
  return text
    .replace('#', '')
    .split('_')
    .reduce((sum, part) => sum.add(exact(padded(part))), exact(0));
}

/** UN rows that are already UNC, UNF or UNEF keep the older name. */
function withoutRepeats(rows: StandardThread[]): StandardThread[] {
  const named = new Set(
    rows.filter((r) => ['UNC', 'UNF', 'UNEF'].includes(r.family)).map((r) => `${r.size}/${r.pitch}`),
  );
  return rows.filter((r) => r.family !== 'UN' || !named.has(`${r.size}/${r.pitch}`));
}

/** Every published row, family by family. Built once: a few thousand rows, a few milliseconds. */
export const CATALOGUE: readonly StandardThread[] = withoutRepeats(FAMILIES.flatMap(rowsOf));

/** The published row that a thread of a family is: by its diameter and pitch, never by how it is written. Null: none. */
export const rowOf = (t: {
  readonly family: string;
  readonly majorMm: number;
  readonly pitch: string;
}): StandardThread | null =>
  CATALOGUE.find((r) => r.family === t.family && r.majorMm === t.majorMm && r.pitch === t.pitch) ?? null;
