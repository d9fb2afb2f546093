import { describe, expect, test } from '@jest/globals';
import { m30, named } from '../../app/testing/bench.ts';
import { blankSheet } from './blankSheet.ts';
import { fitOfJob } from './derive.ts';
import { toolViewOf } from './toolView.ts';

const groove = (b: ReturnType<typeof m30>) =>
  blankSheet(b.job, b.shop)?.figures.find((f) => f.code === 'groove-width')?.step.values ?? null;

describe('the blank before threading', () => {
  test('where no speed is known none is put in its place', () => {
    const b = m30(29.93, { material: 'unobtainium' });
    expect(groove(b)).toBeNull();
    expect(blankSheet(b.job, b.shop)?.missing).toContain('speed');
    b.do({ do: 'setUp', rpm: 102 });
    expect(groove(b)).toContain('102');
  });
  test('where all are too quick for the room the groove is for the slowest, however they were listed', () => {
    const b = m30();
    b.do({ do: 'setUp', reliefMm: 2 });
    b.shop = {
      ...b.shop,
      lathes: b.shop.lathes.map((l) => ({ ...l, speeds: l.speeds.toReversed() })),
    };
    expect(groove(b)).toContain('(26 \u00d7');
    expect(blankSheet(b.job, b.shop)?.grooveTooNarrow).toBe(true);
  });
});

test('a flat wider than clears the root is not taken as its own limit', () => {
  const b = named('1-4 ACME');
  const widest = fitOfJob(b.job)?.widestTipMm ?? NaN;
  b.do({ do: 'setFit', tip: { flatMm: widest + 0.1 } });
  const view = toolViewOf(b.job);
  if (!view?.ok || !view.value.tipFlatMm) throw new Error('no tool');
  expect(view.value.tipFlatMm.value).toBeCloseTo(widest + 0.1, 9);
  expect(view.value.tipFlatMm.most).toBeCloseTo(widest, 9);
  expect(view.value.tipFlatMm.least).toBeLessThan(widest);
});
