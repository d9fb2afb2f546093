import { feedDegOf } from '../cutting/plan.ts';
import { plain, type Step } from '../quantity/working.ts';
import type { CardView } from './card.ts';
import type { Job } from './schema.ts';

/**
 * The working of the next pass: depth at the target, depth after this pass, travel of the slide; empty where none is set.
 * @example passSteps(card(demo('sluice')), 'area').map((s) => s.name) // ['Depth at the target', 'Depth after this pass', 'Travel of the slide']
 */
export function passSteps(view: CardView, rule: Job['cut']['rule']): Step[] {
  const { card, metal, feed, plan, request: q } = view;
  const [setting] = card.settings;
  if (!q || !plan || card.depthMm === null || !setting) return [];
  const deg = feedDegOf(q);
  const toPitchLineMm =
    'pitchDiameterMm' in q.target && q.surfaceMm !== null ? Math.abs(q.surfaceMm - q.target.pitchDiameterMm) / 2 : null;
  return [
    {
      name: 'Depth at the target',
      symbol: 'h',
      formula:
        'pitchDiameterMm' in q.target
          ? '|surface as measured \u2212 pitch diameter| / 2 + way of the tip beyond the pitch line'
          : 'depth asked for',
      values:
        toPitchLineMm === null
          ? plain(plan.depthMm)
          : `${plain(toPitchLineMm)} + ${plain(plan.depthMm - toPitchLineMm)}`,
      result: plan.depthMm,
      unit: 'mm',
      source: 'geometry of the groove; surface as measured',
    },
    {
      name: 'Depth after this pass',
      symbol: 'D',
      formula: rule === 'constant-area' ? 'equal chips over what is left' : 'what is left, shared out',
      values: plain(card.depthMm),
      result: card.depthMm,
      unit: 'mm',
      source: 'constant chip section; common practice; rounded to what the dial can be set to',
    },
    {
      name: 'Travel of the slide',
      symbol: 's',
      formula: feed.slideDeg === null ? 'D \u2212 zero' : '(D \u2212 zero \u2212 cross slide) / cos(angle)',
      values:
        feed.slideDeg === null
          ? `${plain(card.depthMm)} \u2212 ${plain(card.depthMm - setting.toMm)}`
          : `(${plain(card.depthMm)} \u2212 ${plain(metal.zeroMm)} \u2212 ${plain(metal.crossMm)}) / cos ${deg}\u00b0`,
      result: setting.toMm,
      unit: 'mm',
      source: 'geometry',
    },
  ];
}
