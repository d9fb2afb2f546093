import { parsePitch } from '../../quantity/pitch.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import type { ChartRow } from './chart.ts';
import { pairOf } from '../trainText.ts';

/**
 * Reads chart rows as typed, one a line: `cone 1, range A, 24/48, 8 tpi`; a train of two pairs is `24/48 x 30/60`.
 * @example value(parseChart('cone 1, range A, 24/48, 8 tpi'))[0].levers // { cone: '1', range: 'A' }
 */
export function parseChart(text: string): Outcome<ChartRow[]> {
  const rows: ChartRow[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue;
    const row = parseRow(line, i + 1);
    if (!row.ok) return row;
    rows.push(row.value);
  }
  return rows.length > 0 ? good(rows) : bad('chart', 'chart-empty');
}

function parseRow(line: string, number: number): Outcome<ChartRow> {
  const parts = line
    .split(/[,;\t]/)
    .map((p) => p.trim())
    .filter(Boolean);
  const pitchText = parts.pop() ?? '';
  const pitch = parsePitch(pitchText, 'chart');
  if (!pitch.ok) return bad('chart', 'chart-row', { row: number }, pitch.problem);
  const levers: Record<string, string> = {};
  const drivers: number[] = [];
  const driven: number[] = [];
  for (const part of parts) {
    if (part.includes('/')) {
      for (const pair of part.split(/\s*[x\u00d7*]\s*/i)) {
        const read = pairOf(pair);
        if (!read) return bad('chart', 'chart-no-pair', { row: number, typed: pair });
        drivers.push(read.driver);
        driven.push(read.driven);
      }
      continue;
    }
    const [lever, ...position] = part.split(/\s+/);
    if (lever === undefined || position.length === 0)
      return bad('chart', 'chart-no-lever', { row: number, typed: part });
    levers[lever] = position.join(' ');
  }
  if (drivers.length === 0 || drivers.length > 3) return bad('chart', 'chart-no-train', { row: number });
  if ([...drivers, ...driven].some((t) => t < 8)) return bad('chart', 'chart-small-gear', { row: number });
  if (Object.keys(levers).length === 0) return bad('chart', 'chart-names-no-lever', { row: number });
  return good({ levers, drivers, driven, lead: pitch.value.exactMm });
}
