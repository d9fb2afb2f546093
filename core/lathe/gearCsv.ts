import { bad, type Outcome } from '../quantity/outcome.ts';
import { parseGears } from './create.ts';

/**
 * A gear set as CSV: a header, then teeth and how many of them.
 * @example value(parseGearCsv(writeGearCsv([20, 20, 30]))) // [20, 20, 30]
 */
export function writeGearCsv(gears: readonly number[]): string {
  const counts = new Map<number, number>();
  for (const g of gears) counts.set(g, (counts.get(g) ?? 0) + 1);
  return `teeth,count\r\n${[...counts].map(([t, n]) => `${t},${n}\r\n`).join('')}`;
}

/**
 * Reads a gear set: a column of teeth, and a count beside it or none (one). A header line may stand above.
 * @example value(parseGearCsv('20\n30')) // [20, 30]
 */
export function parseGearCsv(text: string): Outcome<number[]> {
  const list: string[] = [];
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\r|\n/);
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '' || (i === 0 && /[a-z]/i.test(line))) continue;
    const [teeth = '', count = '1'] = line.split(/[,;\t]/).map((c) => c.trim().replace(/^"|"$/g, ''));
    if (!/^\d+$/.test(teeth) || !/^\d+$/.test(count))
      return bad('gears', 'csv-line', { line: i + 1, typed: line.trim() });
    list.push(`${count}x${teeth}`);
  }
  return list.length === 0 ? bad('gears', 'csv-no-gears') : parseGears(list.join(' '));
}
