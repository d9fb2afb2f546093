import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Bench, changedBy, m30 } from '../../app/testing/bench.ts';
import { stoppedText } from '../../words/machine.ts';
import { sameFact } from './sameFacts.ts';
import { basisOf, changes } from './chain.ts';
import type { ShopDraft } from './schema.ts';

/** A screw in mid-cut on the lathe with change gears, and the same with its shop changed. */
const cut = (): Bench => m30().passes(4);
const inShop = (b: Bench, change: (lathe: ShopDraft['lathes'][number], shop: ShopDraft) => void): Bench =>
  new Bench(
    b.job,
    changedBy(b.shop, (d) => {
      for (const l of d.lathes) if (l.id === b.job.gears.lathe) change(l, d);
    }),
  );

describe('nothing moved, and nothing stops', () => {
  test('a lathe that is renamed in mid-cut is the same lathe: the card goes on and the groove is kept', () => {
    const b = cut();
    const now = inShop(b, (l) => void (l.name = 'Bess, by the window'));
    expect(now.card).toMatchObject({ do: 'set', stopped: null });
    now.do({ do: 'check' });
    expect(now.metal.phase).toBe('kept');
    for (const s of ['gears', 'setup', 'cut'] as const)
      expect(changes(basisOf(s, b.job, b.shop, null), basisOf(s, now.job, now.shop, null))).toEqual([]);
  });
  test('dials whose fields were written in another order, and units that are shown otherwise', () => {
    const turned = inShop(cut(), (l, d) => {
      const { unit, division, perTurn, reads } = l.crossSlide;
      l.crossSlide = { reads, perTurn, division, unit };
      d.settings.system = d.settings.system === 'mm' ? 'in' : 'mm';
    });
    expect(turned.card.stopped).toBeNull();
  });
});

describe('what did change stops, and is told as a person reads it', () => {
  test('another lathe under the same name is another lathe, and the groove has to be found again', () => {
    const b = cut();
    const shop = changedBy(b.shop, (d) => {
      const old = d.lathes.find((l) => l.id === b.job.gears.lathe)!;
      d.lathes.push({ ...structuredClone(old), id: 'twin' });
    });
    const job = { ...b.job, gears: { ...b.job.gears, lathe: 'twin' } };
    const now = new Bench(job, shop);
    expect(now.card.stopped).toMatchObject({ code: 'changed', changes: [{ fact: 'Lathe id' }] });
    expect(now.card.stopped && stoppedText(now.card.stopped, 'mm').what).toMatch(/^The lathe changed/);
    now.do({ do: 'check' });
    expect(now.metal.phase).toBe('lost');
  });
  test('other dials, by their divisions and no brackets; a pitch diameter in the unit at hand', () => {
    const dials = inShop(cut(), (l) => void (l.crossSlide.perTurn = 101));
    const told = dials.card.stopped ? stoppedText(dials.card.stopped, 'in').what : '';
    expect(told).toContain('101 divisions of');
    expect(told).not.toMatch(/[[{]/);
    const looser = cut().do({ do: 'setFit', class: null, pitchClearanceMm: 0.4 });
    const text = looser.card.stopped ? stoppedText(looser.card.stopped, 'in').what : '';
    expect(text).toMatch(/^The pitch diameter to reach changed: 1\.\d+ in is now 1\.\d+ in\.$/);
  });
});

test('the same is the same both ways, and no two lengths further apart than half a micrometer\u2019s division', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 100, noNaN: true }),
      fc.double({ min: -0.01, max: 0.01, noNaN: true }),
      (x, d) => {
        const [a, b] = [String(x), String(x + d)];
        const same = sameFact('Pitch diameter', a, b);
        return (
          sameFact('Pitch diameter', a, a) &&
          same === sameFact('Pitch diameter', b, a) &&
          same === Math.abs(d) <= 0.0005 + 1e-9
        );
      },
    ),
  );
});
