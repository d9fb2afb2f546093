import type { Evidence, Part } from '../evidence/evidence.ts';
import type { Expectation } from '../reading/expectation.ts';
import { likelihood } from '../reading/kinds.ts';
import { reasonOf } from '../reading/kinds.ts';
import type { Reason } from '../reading/reason.ts';

/** What two threads are told apart by. */
export interface Rivalling {
  readonly expectation: Expectation;
  readonly starts: number;
}

/** One reading that tells the better of two from the other: as it stands to the loser, and by how much. */
export interface Deciding {
  readonly reason: Reason;
  /** The reading is this many times likelier on the better one. */
  readonly times: number;
}
/** Less than this tells nothing. */
const TELLS = 1.5;

/**
 * The reading that speaks most for one and against the other; null: none that was taken tells them apart.
 * @example deciding({ expectation: expectationOf(formAt('iso60', 2), 16, 2), starts: 1 }, { expectation: expectationOf(formAt('whitworth55', 2), 16, 2), starts: 1 }, [{ quantity: 'flankAngle', valueDeg: 60 }], 'external').reason.kind // 'angle'
 */
export function deciding(
  better: Rivalling,
  loser: Rivalling,
  evidence: readonly Evidence[],
  part: Part,
): Deciding | null {
  let best: Deciding | null = null;
  for (const e of evidence) {
    const reason = reasonOf(e, loser.expectation, part, loser.starts);
    if (!reason) continue;
    const under = likelihood(e, loser.expectation, part, loser.starts);
    const times = under > 0 ? likelihood(e, better.expectation, part, better.starts) / under : Infinity;
    if (times >= TELLS && (best === null || times > best.times)) best = { reason, times };
  }
  return best;
}

/** How far one reading lies from what each of two threads would have; in the unit of the reading. */
export interface Residual {
  readonly reason: Reason;
  readonly unit: 'mm' | 'deg' | 'count';
  /** Read less expected. */
  readonly off: readonly [a: number, b: number];
}

/** What was read and what would be, as numbers; null: it is not a matter of more or less. */
function numbersOf(r: Reason): { unit: Residual['unit']; read: number; expected: number } | null {
  switch (r.kind) {
    case 'crest':
    case 'size':
    case 'edge':
    case 'lead':
      return { unit: 'mm', read: r.readMm, expected: r.expectedMm };
    case 'count':
      return { unit: 'count', read: r.crests, expected: r.expected };
    case 'angle':
      return { unit: 'deg', read: r.readDeg, expected: r.expectedDeg };
    default:
      return null;
  }
}

/** Two readings this near each other in what they expect show no difference: mm, degrees, crests. */
const SAME = { mm: 0.004, deg: 0.2, count: 0.02 };

/**
 * Readings on which two threads differ, the most telling first.
 * @example residuals({ expectation: expectationOf(formAt('iso60', 2), 16, 2), starts: 1 }, { expectation: expectationOf(formAt('whitworth55', 2), 16, 2), starts: 1 }, [{ quantity: 'flankAngle', valueDeg: 60 }], 'external', 3)[0].off // [0, 5]
 */
export function residuals(
  a: Rivalling,
  b: Rivalling,
  evidence: readonly Evidence[],
  part: Part,
  most: number,
): Residual[] {
  const tell = (e: Evidence): number => {
    const [la, lb] = [a, b].map((h) => likelihood(e, h.expectation, part, h.starts)) as [number, number];
    return Math.abs(Math.log(Math.max(la, 1e-300)) - Math.log(Math.max(lb, 1e-300)));
  };
  return evidence
    .flatMap((e) => {
      const [ra, rb] = [a, b].map((h) => reasonOf(e, h.expectation, part, h.starts));
      const [na, nb] = [ra && numbersOf(ra), rb && numbersOf(rb)];
      if (!ra || !na || !nb || Math.abs(na.expected - nb.expected) < SAME[na.unit]) return [];
      return [
        {
          tells: tell(e),
          row: {
            reason: ra,
            unit: na.unit,
            off: [na.read - na.expected, nb.read - nb.expected] as const,
          },
        },
      ];
    })
    .toSorted((x, y) => y.tells - x.tells)
    .slice(0, most)
    .map((x) => x.row);
}
