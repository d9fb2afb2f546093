import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { cosDeg } from '../quantity/units.ts';
import { settingFigure, settingWords } from '../../words/settings.ts';
import { cardOf } from './card.ts';
import { threadOfJob } from './derive.ts';
import { deeperSetting } from './deeperSetting.ts';
import type { Job } from './schema.ts';
import { settingsOf } from './settings.ts';
import { setupOf } from './setupView.ts';

const demo = (id: string): Job => {
  const job = demoJobs().find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};

describe('a step deeper on the dial', () => {
  const shop = demoShop();
  // Bess: inch dials of 0.001 in, top slide at 14 degrees off the cross slide
  const sluice = demo('demo-sluice');
  const view = cardOf(sluice, shop, null);

  test('along the angled slide it is the depth by the cosine, to half a division', () => {
    for (const byMm of [0.05, 0.1, 0.2]) {
      const set = deeperSetting(sluice, shop, view, byMm);
      expect(set?.to.slide).toBe('top');
      const along = byMm / cosDeg(14) / 25.4;
      expect(Math.abs(Number(set?.shown) - along)).toBeLessThanOrEqual(0.0005 + 1e-9);
      expect(set?.divisions).toBeCloseTo(Number(set?.shown) / 0.001, 6);
    }
  });
  test('what it is moved on by is the difference of the two readings', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 1, noNaN: true }), (byMm) => {
        const set = deeperSetting(sluice, shop, view, byMm);
        if (!set) return false;
        const turn = 100; // divisions a turn, as the demo's dial has
        const at = (s: typeof set.to): number => s.turns * turn * 0.001 + s.value;
        return Math.abs(at(set.to) - at(set.from) - Number(set.shown)) < 1e-6;
      }),
    );
  });
  test('before anything is touched off there is nothing to count from', () => {
    const pump = demo('demo-pump');
    expect(deeperSetting(pump, shop, cardOf(pump, shop, null), 0.1)).toBeNull();
  });
});

describe('settings at the machine', () => {
  const shop = demoShop();
  const of = (job: Job) => {
    const view = setupOf(job, shop);
    const thread = threadOfJob(job);
    if (!view || !thread) throw new Error('no thread');
    return settingsOf(job, view, thread, 'change-gears');
  };
  test('a slide is swung only where it feeds; its figure is what its own scale reads', () => {
    const sluice = demo('demo-sluice');
    const slide = of(sluice).find((s) => s.code === 'slide');
    expect(slide && settingFigure(slide, 'mm')).toEqual({ figure: '14.0\u00b0', unit: '' });
    const plunge = { ...sluice, setup: { ...sluice.setup, infeed: 'plunge' as const } };
    expect(of(plunge).some((s) => s.code === 'slide')).toBe(false);
  });
  test('a speed that nobody knows is no figure', () => {
    const job = { ...demo('demo-sluice'), intake: { ...demo('demo-sluice').intake, material: 'unheard of' } };
    const speed = of({ ...job, setup: { ...job.setup, rpm: null } }).find((s) => s.code === 'speed');
    expect(speed && settingFigure(speed, 'mm')).toBeNull();
  });
  test('each has its words, and zero comes last: it is lost by what is set after it', () => {
    const all = of(demo('demo-sluice'));
    expect(all.at(-1)?.code).toBe('zero');
    for (const s of all) expect(settingWords(s.code).how).toMatch(/\.$/);
  });
});
