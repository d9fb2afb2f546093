import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { m30, named, TRAIN_2MM } from '../../app/testing/bench.ts';
import { cardText, dialText, restText, settingText } from '../../words/machine.ts';
import { pickupSteps, moveHead } from '../../words/pickup.ts';
import { feedOf } from './feed.ts';
import { pickupMove } from './pickupMove.ts';
import { alongSlide, sideStand } from './slides.ts';

/**
 * A lathe of the test's own: where the tip goes when the two slides are moved. Along the axis + is towards the headstock, across
 * it + is into the metal. A slide at an angle is swung so that forward goes in the direction of the cut; along the bed forward is
 * towards the headstock.
 */
function tipOf(slides: { readonly topMm: number; readonly crossMm: number }, liesDeg: number, leftHand: boolean) {
  const b = (liesDeg * Math.PI) / 180;
  const towards = liesDeg === 90 || !leftHand ? 1 : -1;
  return {
    along: towards * slides.topMm * Math.sin(b),
    into: slides.crossMm + (liesDeg === 90 ? 0 : slides.topMm * Math.cos(b)),
  };
}

test('however the slide lies and whatever hand is cut, the tool goes where it is wanted and stays as deep', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.oneof(fc.double({ min: 5, max: 89, noNaN: true }), fc.constant(90)),
      fc.boolean(),
      (wanted, liesDeg, leftHand) => {
        const tip = tipOf(alongSlide(wanted, liesDeg, leftHand), liesDeg, leftHand);
        const side = sideStand({ ...m30().metal, slideDeg: liesDeg, topMm: 1, crossMm: 2 }, wanted, leftHand);
        const from = tipOf({ topMm: 1, crossMm: 2 }, liesDeg, leftHand);
        const there = side && tipOf(side, liesDeg, leftHand);
        return (
          Math.abs(tip.along - wanted) < 1e-9 &&
          Math.abs(tip.into) < 1e-9 &&
          there !== null &&
          Math.abs(there.along - from.along - wanted) < 1e-9 &&
          Math.abs(there.into - from.into) < 1e-9
        );
      },
    ),
  );
});

/** A job with a thread to be found, its slide lying so, the groove so far from the tool. */
const lost = (
  designation: string,
  make: 'external' | 'internal',
  way: 'parallel' | 'angled',
  deg: number,
  mm: number,
) =>
  named(designation, { wanted: 'extend', cameIn: make === 'internal' ? 'nut' : 'broken-shaft', make }).do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: TRAIN_2MM },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'setPickup', way },
    { do: 'swingSlide', deg },
    { do: 'offset', mm },
  );

describe('picking up by the slide', () => {
  test.each([
    ['right', 'M30x2'],
    ['left', 'M30x2 LH'],
  ])('%s hand, slide along the bed: the angled way and the parallel way are one move', (_, designation) => {
    const [a, b] = (['parallel', 'angled'] as const).map((way) => {
      const bench = lost(designation, 'external', way, 90, 0.4);
      return pickupMove(bench.job, bench.shop, bench.metal).move;
    });
    expect(a).toMatchObject({ way: 'parallel', axialMm: 0.4 });
    expect(b).toMatchObject({ way: 'angled', crossOutMm: 0 });
    expect(b?.way === 'angled' ? b.slideMm : NaN).toBeCloseTo(0.4, 9);
  });
  test('in a nut the slide is wound back into the metal, as Cut winds it', () => {
    const into = (make: 'external' | 'internal', mm: number): string => {
      const bench = lost('M30x2', make, 'angled', 30, mm);
      const { move } = pickupMove(bench.job, bench.shop, bench.metal);
      if (!move) throw new Error('no move');
      const internal = make === 'internal';
      return `${moveHead(move, 'mm', internal).what} / ${pickupSteps(move, false, 'mm', 'change-gears', internal)[0]}`;
    };
    expect(into('external', 0.4)).toMatch(/^Top slide forward .* forward, into the work\./);
    expect(into('external', -0.4)).toMatch(/^Top slide back .* back, out of the work\./);
    expect(into('internal', 0.4)).toMatch(/^Top slide back .* back, into the work\./);
    expect(into('internal', -0.4)).toMatch(/^Top slide forward .* forward, out of the work\./);
  });
});

describe('an old groove is followed straight in', () => {
  test.each(['flank', 'modified', 'alternate'] as const)(
    'asked to be fed %s, it is plunged, and that is told',
    (infeed) => {
      const b = lost('M30x2', 'external', 'angled', 29.5, 0.3).do({ do: 'setUp', infeed }, { do: 'check' });
      if (b.metal.slideDeg !== 29.5) b.do({ do: 'swingSlide', deg: 29.5 });
      b.do({ do: 'offset', mm: 0.3 }, { do: 'inGroove' }, { do: 'airPass' });
      b.try({ do: 'check' });
      expect(feedOf(b.job, b.metal)).toMatchObject({ infeed: 'plunge', slideDeg: null, conflict: 'old-groove' });
      b.try({ do: 'measureBlank', diameterMm: 29.9 });
      b.try({ do: 'touchOff', on: 'surface' });
      for (let i = 0; i < 30 && b.card.do !== 'set'; i += 1) b.try({ do: 'airPass' });
      b.passes(6);
      // the tip stays over the middle of the groove that it was brought into
      const cuts = b.job.events.flatMap((e) => (e.kind === 'cut' ? [e.axialMm] : []));
      expect(cuts.length).toBeGreaterThan(3);
      expect(cuts.every((x) => Math.abs(x) < 1e-9)).toBe(true);
    },
  );
});

test('who picked the thread up has the part in the lathe: it is not asked for afterwards, for that would lose the groove', () => {
  const b = named('M30x2', { wanted: 'recut', cameIn: 'screw' }).do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: TRAIN_2MM },
    { do: 'mountGears' },
    { do: 'inGroove', way: 'by-eye' },
  );
  expect(b.card.do).not.toBe('mount');
  expect(b.metal.phase).toBe('kept');
});

describe('one reading of every slide from the pick-up to the card', () => {
  test.each([
    ['external', 0.9],
    ['external', -0.9],
    ['internal', 0.9],
    ['internal', -0.9],
  ] as const)(
    'lost in mid-cut of a thread made %s, %d along: what is said of the cross slide is said again',
    (make, mm) => {
      const b = m30(make === 'internal' ? 27.9 : 29.93, { make, cameIn: make === 'internal' ? 'nut' : 'screw' })
        .passes(4)
        .do({ do: 'wrongMark' }, { do: 'setPickup', way: 'angled' }, { do: 'offset', mm });
      const { move } = pickupMove(b.job, b.shop, b.metal);
      if (move?.way !== 'angled' || !move.stands) throw new Error('no move');
      const [cross, top] = [settingText(move.stands.cross), settingText(move.stands.top)];
      const steps = pickupSteps(move, false, 'mm', 'change-gears', make === 'internal').join(' ');
      expect(steps).toContain(`it stands at ${cross} now, and stays there`);
      expect(steps).toContain(`it then stands at ${top}`);
      b.do({ do: 'inGroove' });
      // the run in the air: every slide, each as it was left
      expect(b.card.do).toBe('air');
      expect(b.card.settings.map((s) => s.slide).toSorted()).toEqual(['cross', 'top']);
      expect(cardText(b.view, make, 'in')).toContain(`Cross slide stays at ${cross}.`);
      b.do({ do: 'airPass' });
      const rest = b.card.settings.find((s) => s.slide === 'cross');
      expect(rest && restText(rest)).toBe(`Cross slide stays at ${cross}`);
    },
  );
  test('drawn back past zero it is counted as a hand counts it', () => {
    // 0.1605 short of zero on a collar of 0.100 a turn: once past it, and on to where it shows 0.0395
    expect(dialText({ turns: -2, shown: '0.0395' }, ', then ')).toBe('1 full turn short of zero, and on to 0.0395');
    expect(dialText({ turns: -1, shown: '0.0395' }, ', then ')).toBe('0.0395, short of zero');
    expect(dialText({ turns: -1, shown: '0.0000' }, ', then ')).toBe('1 full turn short of zero, and on to 0.0000');
    expect(dialText({ turns: 1, shown: '0.0395' }, ', then ')).toBe('1 full turn, then 0.0395');
  });
  test('dials that nobody has set to zero are not spoken of', () => {
    const b = lost('M30x2', 'external', 'angled', 30, 0.4);
    const { move } = pickupMove(b.job, b.shop, b.metal);
    if (move?.way !== 'angled') throw new Error('no move');
    expect(move.stands).toBeNull();
    expect(pickupSteps(move, false, 'mm', 'change-gears').join(' ')).toContain('zero when the tool is touched off');
  });
});
