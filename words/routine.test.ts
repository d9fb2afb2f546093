import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { routine, type RoutineRequest } from './routine.ts';

const requests = fc.record<RoutineRequest>({
  make: fc.constantFrom('external', 'internal'),
  leftHand: fc.boolean(),
  feeds: fc.constantFrom('top', 'cross', 'control'),
  outTurns: fc.option(fc.integer({ min: 1, max: 4 }), { nil: null }),
  outText: fc.constant('3.50 mm'),
  returnBy: fc.constantFrom('reverse', 'dial'),
  safeMarks: fc.integer({ min: 0, max: 8 }),
  marks: fc.constant(8),
  electronic: fc.boolean(),
  has: fc.constant([]),
  end: fc.constantFrom('groove', 'through', 'blind', 'taper-out', 'stop'),
  perTurn: fc.constant(null),
});
const all = (check: (r: RoutineRequest, motions: string[], text: string) => void): void => {
  fc.assert(
    fc.property(requests, (r) => {
      const motions = routine(r);
      check(r, motions, motions.join('\n'));
    }),
  );
};

// The routine's order is a fact of the trade: one slip in thirty repeats scraps the part. Common practice, no source.
test('the setting comes first, the tool is out before anything comes back', () => {
  all((_, motions) => {
    expect(motions[0]).toMatch(/to the reading|next diameter/);
    const out = motions.findIndex((m) => /tool out/i.test(m));
    const back = motions.findIndex((m) => /reverse$|^Return|^Carriage back|^Overshoot/.test(m));
    expect(out).toBeGreaterThan(0);
    expect(back).toBeGreaterThan(out);
  });
});

test('out of a nut is towards the axis, out of a screw away from the work', () => {
  all((r, _, text) => {
    expect(/towards the axis/.test(text)).toBe(r.make === 'internal');
    expect(/away from the work/.test(text)).toBe(r.make === 'external');
  });
});

test('left hand starts in the run-out groove and cuts towards the tailstock', () => {
  all((r, _, text) => {
    expect(/towards the tailstock/.test(text)).toBe(r.leftHand);
    expect(/run-out groove/.test(text)).toBe(r.leftHand);
  });
});

test('half-nuts are opened only on the way back by the dial, and never where no mark is right', () => {
  all((r, _, text) => {
    if (r.electronic) expect(text).not.toMatch(/half-nuts/i);
    else if (r.returnBy === 'reverse' || r.safeMarks === 0) {
      expect(text).not.toMatch(/open the half-nuts/);
      expect(text).toMatch(/half-nuts stay shut: spindle in reverse/i);
      expect(/No dial mark is right/.test(text)).toBe(r.returnBy === 'dial');
    } else expect(text).toMatch(/Close the half-nuts on.*open the half-nuts/s);
  });
});

test('an angled slide is read on the top slide with the cross slide at zero; a plunge counts turns', () => {
  all((r, [first]) => {
    expect(/top slide/.test(first ?? '')).toBe(r.feeds === 'top');
    expect(/counting the full turns/.test(first ?? '')).toBe(r.feeds === 'cross');
  });
});

test('an electronic leadscrew returns by whole leads', () => {
  all((r, _, text) => expect(/whole number of leads/.test(text)).toBe(r.electronic));
});

test('"a full turn" is said only where a full turn is right', () => {
  // it was said whatever the depth and the dial
  all((r, _, text) => {
    expect(/a full turn/.test(text)).toBe(r.outTurns === 1);
    if (r.outTurns === null) expect(text).toMatch(/tool out 3\.50 mm/i);
    else if (r.outTurns > 1) expect(text).toContain(`${r.outTurns} full turns`);
  });
});

describe('what the lathe has, and how the thread ends, change the words', () => {
  const base: RoutineRequest = {
    make: 'external',
    leftHand: false,
    feeds: 'top',
    outTurns: 2,
    outText: '3.50 mm',
    returnBy: 'reverse',
    safeMarks: 8,
    marks: 8,
    electronic: false,
    has: [],
    end: 'groove',
    perTurn: null,
  };
  const said = (over: Partial<RoutineRequest>): string => routine({ ...base, ...over }).join('. ');
  test('a retracting post takes the counting of turns away', () => {
    expect(said({})).toContain('2 full turns');
    expect(said({ has: ['retracting-post'] })).not.toContain('full turns');
    expect(said({ has: ['retracting-post'] })).toContain('lever of its post, away from the work');
    expect(said({ has: ['retracting-post'], make: 'internal' })).toContain('towards the axis');
  });
  test('brake, quick reverse, variable speed', () => {
    expect(said({ has: ['brake'] })).toContain('stop it with the brake');
    expect(said({ has: ['quick-reverse'] })).toContain('quick reverse');
    expect(said({ has: ['variable-speed'] })).toContain('slower near the end');
    expect(said({ has: ['variable-speed'], end: 'through' })).not.toContain('slower near the end');
  });
  test('without a groove the tool is out before the spindle is stopped', () => {
    for (const end of ['taper-out', 'stop'] as const) {
      const motions = routine({ ...base, end });
      const at = motions.find((m) => /tool out/.test(m)) ?? '';
      expect(at.indexOf('tool out')).toBeLessThan(at.indexOf('stop', at.indexOf(':')));
    }
    expect(said({ end: 'taper-out' })).toContain('Over the last turn');
    expect(said({ end: 'groove' })).toContain('In the groove: stop, tool out');
  });
  test('a taper followed by hand says how far the slide goes at each turn', () => {
    expect(said({ perTurn: '0.057 mm' })).toContain('the cross slide by 0.057 mm a turn');
  });
});
