import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyOf } from '../app/testing/arbitrary.ts';
import { named } from '../app/testing/bench.ts';
import { known } from '../app/testing/known.ts';
import { partBefore, aimsAfter } from '../core/job/partBefore.ts';
import { BINDS, DRESSED, EVENT_FIELDS, EventSchema, type EventKind, type LedgerEvent } from '../core/job/events.ts';
import { aimText, eventText, partBeforeText } from './ledger.ts';
import { TRY_NAMES } from './try.ts';

const anyEvent = anyOf(EventSchema) as fc.Arbitrary<LedgerEvent>;
const COMMON = { n: 1, id: 'x', at: '2026-11-09T09:00:00.000Z', part: 1, start: 1 };
const event = <K extends EventKind>(kind: K, fields: object): LedgerEvent =>
  ({ ...COMMON, kind, ...fields }) as unknown as LedgerEvent;

describe('a line of the ledger', () => {
  test('every event that may stand there has one, in either system, of words and numbers', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(anyEvent, (e) => {
        seen.add(e.kind);
        for (const u of ['mm', 'in'] as const) {
          const text = eventText(e, u);
          // a note is what somebody wrote, and may be nothing
          if (e.kind === 'tried' && e.result === 'note') continue;
          expect([e.kind, text]).toEqual([e.kind, expect.stringMatching(/^\S.*\S$/s)]);
          expect([e.kind, text]).not.toEqual([e.kind, expect.stringMatching(/NaN|undefined|\[object|Infinity|null/)]);
        }
      }),
      { numRuns: 1500, seed: 7 },
    );
    expect([...seen].sort()).toEqual(Object.keys(EVENT_FIELDS).sort());
  });
  test('lengths that were worked out are said in the unit at hand, those that were typed as they were typed', () => {
    expect(eventText(event('deeper', { byMm: 2.54 }), 'mm')).toBe('Deeper by 2.540 mm');
    expect(eventText(event('deeper', { byMm: 2.54 }), 'in')).toBe('Deeper by 0.1000 in');
    const typed = event('blankMeasured', { diameterMm: 37.77, text: '1.487 in' });
    expect([eventText(typed, 'mm'), eventText(typed, 'in')]).toEqual(Array(2).fill('Surface measured: 1.487 in'));
  });
  test('a side is said by where it lies: plus is towards the headstock', () => {
    const at = (mm: number) => eventText(event('offsetRead', { mm, text: '', by: 'dial' }), 'mm');
    expect(at(0.5)).toMatch(/0\.500 mm from the tool, towards the headstock/);
    expect(at(-0.5)).toMatch(/0\.500 mm from the tool, towards the tailstock/);
  });
  test.each(BINDS)('a mate that binds %s is told apart from the others', (where) => {
    const of = (w: (typeof BINDS)[number]) =>
      eventText(
        event('tried', {
          mate: 'Nut',
          result: 'binds',
          turns: 3,
          shakeMm: null,
          note: 'a note',
          place: '',
          lengthMm: null,
          where: w,
          atMm: 12,
        }),
        'mm',
      );
    expect(of(where)).toMatch(/^Nut tried: .*3 turns.*at 12\.000 mm; a note$/);
    expect(BINDS.filter((w) => of(w) === of(where))).toEqual([where]);
  });
  test('nothing that is done before the verdict reads as another, nor does any outcome of a try', () => {
    const dressed = DRESSED.map((what) => eventText(event('dressed', { what }), 'mm'));
    expect(new Set(dressed).size).toBe(DRESSED.length);
    const tries = Object.keys(TRY_NAMES).map((result) => TRY_NAMES[result as keyof typeof TRY_NAMES]);
    expect(new Set(tries).size).toBe(tries.length);
  });
});

describe('the part before', () => {
  test('is told with what the next one aims at', () => {
    const b = named('M30x2').do(
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'setQuantity', parts: 2, testPiece: true },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 29.9 },
      { do: 'touchOff' },
      { do: 'deeper', byMm: 0.05 },
    );
    while (b.card.do === 'set' && b.card.pass && !b.card.pass.spring) b.do({ do: 'passDone' });
    b.do(
      { do: 'tryMate', mate: 'the yoke', result: 'runs' },
      { do: 'finishPart' },
      { do: 'beginPart' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 29.9 },
      { do: 'touchOff' },
    );
    const before = known(partBefore(b.job));
    const aims = aimsAfter(b.job, b.shop, before);
    expect(aims.length).toBeGreaterThan(0);
    for (const u of ['mm', 'in'] as const) {
      expect(partBeforeText(before, u)).toMatch(/^The test piece was right at [\d.]+ (mm|in) deep, .* in \d+ passes\./);
      for (const aim of aims)
        expect(aimText(aim, before, u)).toMatch(/^(Begin [\d.]+ (mm|in) short of that|Aim at the same here)/);
    }
  });
  test('as it was planned, shallower, deeper; its zero taken anew is said', () => {
    const at = (deeperMm: number, zeroKept = true) =>
      partBeforeText({ part: 2, testPiece: false, depthMm: 1.2, deeperMm, passes: 1, zeroKept } as never, 'mm');
    expect(at(0)).toBe('Part 2 was right at 1.200 mm deep, as planned, in 1 pass.');
    expect(at(0.05)).toContain('0.050 mm deeper than planned');
    expect(at(-0.05)).toContain('0.050 mm shallower than planned');
    expect(at(0, false)).toMatch(/zero was taken anew in mid-cut/);
  });
});
