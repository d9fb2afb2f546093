import { includedDeg } from '../form/flanks.ts';
import { formAt, specialForm } from '../form/shape.ts';
import { expectationOf } from '../reading/expectation.ts';
import type { Rival } from './nextReading.ts';
import type { Ranking } from './rank.ts';

/**
 * Everything the next reading has to tell apart: the ranked rows, and the special as one of them.
 * @example rivalsOf(ranking(demo('pump'))).map((r) => r.name)[0] // 'M30x2'
 */
export function rivalsOf(ranking: Ranking): Rival[] {
  const s = ranking.special;
  const rows = ranking.candidates.map((c) => ({
    name: c.thread.designation,
    probability: c.probability,
    expectation: c.expectation,
    starts: c.starts,
  }));
  if (!(s.majorMm > 0 && s.pitchMm > 0)) return rows;
  const half = includedDeg(s);
  const form =
    s.leadingDeg === s.trailingDeg && half === 55
      ? formAt('whitworth55', s.pitchMm)
      : specialForm(s.pitchMm, { leadingDeg: s.leadingDeg, trailingDeg: s.trailingDeg });
  return [
    ...rows,
    {
      name: 'special',
      probability: s.probability,
      expectation: expectationOf(form, s.majorMm, s.pitchMm),
      starts: s.starts,
    },
  ];
}
