import type { Gearing } from './train.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';

/**
 * A train as it is said: "30/50 \u00d7 63/60", each driver over what it drives.
 * @example trainText({ drivers: [60, 40], driven: [30, 35] }) // '60/30 \u00d7 40/35'
 */
export const trainText = (train: Gearing): string =>
  train.drivers.map((d, i) => `${d}/${train.driven[i] ?? '?'}`).join(' \u00d7 ');

/**
 * One pair, driver over driven, as "40/35"; null when it is none.
 * @example pairOf('60/30') // { driver: 60, driven: 30 }
 */
export function pairOf(text: string): { readonly driver: number; readonly driven: number } | null {
  const m = /^(\d{1,3})\s*\/\s*(\d{1,3})$/.exec(text);
  return m && { driver: Number(m[1]), driven: Number(m[2]) };
}

/**
 * Reads "40/35", "30/50 x 63/60" or "30/50 63/60": one to three pairs of 8 to 400 teeth.
 * @example value(parseTrain('60/30 x 40/35')) // { drivers: [60, 40], driven: [30, 35] }
 */
export function parseTrain(t: string): Outcome<{ drivers: number[]; driven: number[] }> {
  const pairs = t
    .trim()
    .split(/\s*[x\u00d7*]\s*|\s{1,}(?=\d+\s*\/)/i)
    .filter(Boolean);
  const drivers: number[] = [];
  const driven: number[] = [];
  for (const p of pairs) {
    const pair = pairOf(p);
    if (!pair) return bad('train', 'not-a-pair', { typed: p });
    drivers.push(pair.driver);
    driven.push(pair.driven);
  }
  if (drivers.length < 1 || drivers.length > 3) return bad('train', 'pairs-1-to-3');
  const wrong = [...drivers, ...driven].find((g) => g < 8 || g > 400);
  return wrong === undefined ? good({ drivers, driven }) : bad('train', 'teeth-out-of-reach', { teeth: wrong });
}
