import { readNumber } from './number.ts';
import { bad, good, type Outcome } from './outcome.ts';
import { numberOf } from './rational.ts';

/** An angle as it was typed and in degrees. */
export interface Angle {
  readonly text: string;
  readonly deg: number;
}

/**
 * Reads `55`, `55 deg`, `27.5\u00b0`, `27 1/2`, `27\u00b030'`, `27 30'`. @returns degrees, at most `maxDeg`.
 * @example value(parseAngle('14 1/2', 'angle')).deg // 14.5
 */
export function parseAngle(text: string, field: string, maxDeg = 180): Outcome<Angle> {
  const dm = /^\s*(\d+)\s*(?:\u00b0|deg\.?|\s)\s*(\d+)\s*['\u2032]\s*$/i.exec(text);
  let deg: number;
  if (dm) {
    const minutes = Number(dm[2]);
    if (minutes >= 60) return bad(field, 'minutes-over-60', { minutes, degrees: dm[1] ?? '55' });
    deg = Number(dm[1]) + minutes / 60;
  } else {
    const head = readNumber(text, field);
    if (!head.ok) return head;
    if (head.value.rest !== '' && !/^(\u00b0|deg\.?|degrees?)$/i.test(head.value.rest))
      return bad(field, 'not-degrees', { rest: head.value.rest });
    deg = numberOf(head.value.value);
  }
  if (!(deg >= 0 && deg <= maxDeg)) return bad(field, 'angle-outside', { deg, mostDeg: maxDeg });
  return good({ text, deg });
}
