import { exact, INCH_MM, numberOf, rationalOf } from '../quantity/rational.ts';
import { inches, type UnitSystem } from '../quantity/units.ts';
import { CATALOGUE, FAMILIES, type StandardThread } from './catalogue.ts';
import type { FamilyId } from './family.ts';

/** What a person typed to look a thread up: any of a family, a diameter and a pitch. */
export interface TableQuery {
  readonly families: readonly FamilyId[] | null;
  readonly majorMm: number | null;
  readonly pitchMm: number | null;
  /** Size label such as "#8" or the pipe's "1/2", when a family is labelled so. */
  readonly size: string | null;
}

const FRACTION = String.raw`(?:\d+\s+\d+\s*/\s*\d+|\d+-\d+/\d+|\d+\s*/\s*\d+)`;
const DECIMAL = String.raw`(?:\d+[.,]\d+|[.,]\d+|\d+)`;
const NUMBER = `(?:${FRACTION}|${DECIMAL})`;

/** Value of a typed number, exact, or null. */
function valueOf(text: string): number | null {
  const parts = text
    .replace(/(\d)-(\d+\/)/, '$1 $2')
    .replace(',', '.')
    .split(/\s+(?=\d)/);
  let sum = exact(0);
  for (const p of parts) {
    const r = rationalOf(p.replace(/\s/g, '').replace(/^\./, '0.'));
    if (!r) return null;
    sum = sum.add(r);
  }
  return numberOf(sum);
}

/**
 * Reads a look-up: `7 tpi`, `31.7`, `1/2`, `G`, `10 x 1.5`, `1/2-13`, `unf 20 tpi`, `#8`. Never refuses: what it cannot read it leaves out.
 * @example readQuery('7 tpi', 'mm').pitchMm // 3.628571
 */
export function readQuery(text: string, system: UnitSystem): TableQuery {
  let rest = ` ${text
    .toLowerCase()
    .replace(/[\u00d7*]/g, 'x')
    .replace(/["\u2033]/g, ' in ')} `;
  let majorMm: number | null = null;
  let pitchMm: number | null = null;
  let size: string | null = null;
  const take = (pattern: string, use: (m: RegExpExecArray) => boolean): void => {
    const m = new RegExp(pattern).exec(rest);
    if (m && use(m)) rest = `${rest.slice(0, m.index)} ${rest.slice(m.index + m[0].length)}`;
  };
  const setTpi = (n: number | null): boolean => n !== null && n > 0 && ((pitchMm = numberOf(INCH_MM) / n), true);
  take(String.raw`(${NUMBER})\s*tpi`, (m) => setTpi(valueOf(m[1] ?? '')));
  take(String.raw`(${NUMBER})\s*p\b`, (m) => ((pitchMm = valueOf(m[1] ?? '')), true));
  take(String.raw`#\s*(\d+)`, (m) => ((size = `#${m[1] ?? ''}`), true));
  // diameter x pitch, both millimetres; diameter-threads, inches
  take(String.raw`(${DECIMAL})\s*x\s*(${DECIMAL})`, (m) => {
    majorMm = valueOf(m[1] ?? '');
    pitchMm ??= valueOf(m[2] ?? '');
    return true;
  });
  take(String.raw`(${NUMBER})\s*-\s*(${DECIMAL})(?![\d/])`, (m) => {
    const d = valueOf(m[1] ?? '');
    if (d === null) return false;
    majorMm ??= inches(d);
    return pitchMm !== null || setTpi(valueOf(m[2] ?? ''));
  });
  take(String.raw`(${NUMBER})\s*(mm|in\b|thou)?`, (m) => {
    const typed = (m[1] ?? '').trim();
    const n = valueOf(typed);
    if (n === null || n <= 0) return false;
    const fraction = typed.includes('/');
    if (fraction) size ??= typed.replace(/\s*\/\s*/, '/').replace(/(\d)-(\d)/, '$1 $2');
    const unit = m[2] ?? (fraction ? 'in' : system);
    majorMm ??= unit === 'in' ? inches(n) : unit === 'thou' ? inches(n / 1000) : n;
    return true;
  });
  // "M10" and "Tr40" write the family against the number: it was cut off above, so letters are all that is left
  const words = rest.split(/[^a-z]+/).filter((w) => w !== '' && !['mm', 'in', 'inch', 'x'].includes(w));
  const families =
    words.length === 0 ? null : FAMILIES.filter((f) => words.every((w) => matches(f.id, f.name, w))).map((f) => f.id);
  return { families, majorMm, pitchMm, size };
}

const matches = (id: string, name: string, word: string): boolean =>
  id.toLowerCase() === word ||
  (word.length > 1 &&
    (id.toLowerCase().startsWith(word) ||
      name
        .toLowerCase()
        .split(/[^a-z]+/)
        .some((n) => n.startsWith(word))));

const LOG_D = Float64Array.from(CATALOGUE, (r) => Math.log(r.majorMm));
const WEIGHTS = Float64Array.from(CATALOGUE, (r) => r.weight);
const LOG_P = Float64Array.from(CATALOGUE, (r) => Math.log(r.pitchMm));

/** A pipe size or number size is meant by its label as often as by its diameter. */
const LABEL_BONUS = 0.02;

/**
 * Rows sorted by nearness to what was typed; all rows, in the order of the books, when nothing was.
 * @example searchTables({ families: null, majorMm: 31.75, pitchMm: 25.4 / 7, size: null })[0].designation // '1 1/4-7 UNC'
 */
export function searchTables(query: TableQuery): readonly StandardThread[] {
  const { families, majorMm, pitchMm, size } = query;
  if (families === null && majorMm === null && pitchMm === null && size === null) return CATALOGUE;
  const d = majorMm === null ? null : Math.log(majorMm);
  const p = pitchMm === null ? null : Math.log(pitchMm);
  const kept: number[] = [];
  const aways = new Float64Array(CATALOGUE.length);
  CATALOGUE.forEach((row, i) => {
    if (families !== null && !families.includes(row.family)) return;
    const labelled = size !== null && row.size === size;
    if (size?.startsWith('#') && majorMm === null && !labelled) return;
    let away = 0;
    if (d !== null)
      away += labelled ? Math.min(LABEL_BONUS, Math.abs((LOG_D[i] ?? 0) - d)) : Math.abs((LOG_D[i] ?? 0) - d);
    if (p !== null) away += Math.abs((LOG_P[i] ?? 0) - p);
    aways[i] = away;
    kept.push(i);
  });
  // equal distance: the usual sizes before the seldom ones
  return kept
    .sort((a, b) => (aways[a] ?? 0) - (aways[b] ?? 0) || (WEIGHTS[b] ?? 0) - (WEIGHTS[a] ?? 0))
    .flatMap((i) => CATALOGUE[i] ?? []);
}
