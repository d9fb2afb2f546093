import { describe, expect, test } from '@jest/globals';
import type { AnswerCode } from '../core/job/holdingView.ts';
import type { Diagnosis } from '../core/job/binds.ts';
import type { Move } from '../core/job/pickupMove.ts';
import type { StartMove } from '../core/job/startMoves.ts';
import type { Reason } from '../core/job/verdict.ts';
import { LATHE_KINDS } from '../core/lathe/schema.ts';
import { judgeRun } from '../core/pickup/judge.ts';
import { named } from '../app/testing/bench.ts';
import { known } from '../app/testing/known.ts';
import { startMovesOf } from '../core/job/startMoves.ts';
import { answerWords, unsaidText } from './holding.ts';
import { judgedText, moveHead, pickupSteps, slackText } from './pickup.ts';
import {
  diagnosisText,
  effectText,
  lookFirstText,
  playText,
  reasonText,
  rightText,
  taperText,
  triedShort,
} from './prove.ts';
import { startMoveText, startsCheckText } from './starts.ts';

const SYSTEMS = ['mm', 'in'] as const;
/** A sentence that a reader can take for one. */
const sentence = (text: string): void => {
  expect(text).toMatch(/^[A-Z0-9+\u2212\u0022(].*\S$/s);
  expect(text).not.toMatch(/NaN|undefined|\[object|Infinity|null|\.\.| {2}/);
};
/** In each system the figures carry its unit and never the other's. */
function inBoth(say: (u: 'mm' | 'in') => string): void {
  const [mm, inch] = SYSTEMS.map(say) as [string, string];
  sentence(mm);
  sentence(inch);
  expect(mm).not.toMatch(/\d in\b(?! an inch)/);
  expect(inch).not.toMatch(/\d mm\b/);
}

describe('why a mate binds', () => {
  const ALL: readonly Diagnosis[] = [
    { code: 'lead', perMm: null, sdPerMm: null, wantsMm: null },
    { code: 'lead', perMm: 0.005, sdPerMm: null, wantsMm: 0.1039 },
    { code: 'unworn-place' },
    { code: 'bruise' },
    { code: 'place-unread' },
    { code: 'taper' },
    { code: 'weight' },
    { code: 'unsaid' },
  ];
  test('each cause has its own words and its own act', () => {
    for (const d of ALL) {
      inBoth((u) => diagnosisText(d, u).what);
      inBoth((u) => diagnosisText(d, u).todo);
    }
    const said = ALL.map((d) => diagnosisText(d, 'mm').what);
    expect(new Set(said).size).toBe(said.length);
  });
  test('a lead that is off by half a hundredth a millimetre is off by 0.127 mm in an inch', () => {
    expect(diagnosisText({ code: 'lead', perMm: 0.005, sdPerMm: null, wantsMm: 0.1039 }, 'mm').what).toMatch(
      /0\.127 mm in an inch, 0\.5\s?%/,
    );
    expect(diagnosisText({ code: 'lead', perMm: 0.005, sdPerMm: null, wantsMm: 0.1039 }, 'mm').todo).toMatch(
      /want 0\.104 mm more/,
    );
  });
});

describe('the reasons of a verdict', () => {
  const ALL: readonly Reason[] = [
    { holds: 'good', of: 'measured', text: '30.10', verdict: 'at-size', by: 'wires' },
    { holds: 'bad', of: 'measured', text: '30.10', verdict: 'past', by: 'balls' },
    { holds: 'due', of: 'measured', text: '30.10', verdict: 'to-go', by: 'wires' },
    { holds: 'good', of: 'belief', inside: 0.98, past: 0.01 },
    { holds: 'good', of: 'gauge', which: 'go', passes: true, turns: null },
    { holds: 'good', of: 'gauge', which: 'not-go', passes: false, turns: 2 },
    { holds: 'bad', of: 'gauge', which: 'not-go', passes: true, turns: null },
    { holds: 'good', of: 'mate', mate: '', result: 'runs' },
    { holds: 'bad', of: 'mate', mate: 'The yoke', result: 'shakes' },
    { holds: 'bad', of: 'form', what: 'leadingFlank', text: '31.5' },
    { holds: 'bad', of: 'taper', taper: { changeMm: -0.02, overMm: 40 } as never },
    { holds: 'bad', of: 'virtual', mm: 28.7, limitMm: 28.66 },
    { holds: 'good', of: 'dressed', left: [] },
    { holds: 'due', of: 'dressed', left: ['start', 'clean'] },
    { holds: 'due', of: 'tried-before-dressing' },
    { holds: 'due', of: 'nothing-measured' },
  ];
  test('each is told apart from every other', () => {
    for (const r of ALL) for (const u of SYSTEMS) sentence(reasonText(r, u));
    const said = ALL.map((r) => reasonText(r, 'mm'));
    expect(new Set(said).size).toBe(said.length);
  });
  test('what is left to finish is named, in order', () => {
    expect(reasonText({ holds: 'due', of: 'dressed', left: ['start', 'clean'] }, 'mm')).toBe(
      'Still to finish: first half thread taken back, clean and oiled',
    );
  });
  test('what is right: by limits, or by the clearance to a mate', () => {
    inBoth((u) => rightText({ by: 'limits', minMm: 28.493, maxMm: 28.663, of: 'class' } as never, u));
    expect(rightText({ by: 'limits', minMm: 28.493, maxMm: 28.663, of: 'class' } as never, 'mm')).toBe(
      'Right from 28.493 to 28.663 mm pitch diameter, by its class.',
    );
    for (const because of ['typed', 'duty', 'fit', 'feel'])
      inBoth((u) => rightText({ by: 'mate', leastMm: 0.02, mostMm: 0.1, of: because } as never, u));
  });
  test('what a try made of what is known: from far off, through inside, to past', () => {
    const at = (e: object): string => effectText({ inside: 0, past: 0, surprised: false, ...e } as never, 'mm');
    expect(at({ leftMm: { least: 0.1, most: 0.2 } })).toBe('0.100 to 0.200 mm left on diameter');
    expect(at({ leftMm: { least: -0.1, most: 0.02 }, inside: 0.97 })).toMatch(/^inside, 97\s?% sure$/);
    expect(at({ leftMm: { least: -0.1, most: -0.02 }, inside: 0.6, past: 0.4 })).toMatch(
      /^inside with 60\s?%, past with 40\s?%$/,
    );
    expect(at({ leftMm: { least: -0.2, most: -0.1 }, past: 0.8 })).toBe('past its far limit');
    expect(at({ leftMm: { least: 0, most: 0 }, surprised: true })).toMatch(/^not as was expected/);
  });
  test('taper, play, a risk and a mate in one line', () => {
    inBoth((u) => taperText({ changeMm: -0.02, overMm: 40 } as never, u));
    inBoth((u) => playText({ value: 0.1, uncertainty: 0.02 }, u));
    expect(playText({ value: -0.1, uncertainty: 0.02 }, 'mm')).toMatch(/^Play with its mate 0\.000 \u00b1 0\.020 mm/);
    sentence(lookFirstText(0.04));
    const tried = { name: 'nut', result: 'binds', turns: 4, stopped: true, shakeMm: null, lengthMm: 30, share: 0.3 };
    expect(triedShort(tried as never, 'mm')).toBe('binds after 4 turns');
    expect(triedShort({ ...tried, stopped: false, shakeMm: 0.05 } as never, 'mm')).toBe('runs, play 0.050 mm');
  });
});

describe('into the groove', () => {
  const MOVES: readonly Move[] = [
    { way: 'parallel', axialMm: 0.6, travel: null, stands: null, comeBack: true, outMm: 0.02 },
    { way: 'parallel', axialMm: -0.6, travel: null, stands: null, comeBack: false, outMm: 0 },
    {
      way: 'angled',
      slideDeg: 29.5,
      slideMm: -0.5,
      crossOutMm: -0.4,
      travel: null,
      crossTravel: null,
      comeBack: true,
    } as never,
    { way: 'turn', deg: 45, direction: 'back' } as never,
    { way: 'turn', deg: 45, direction: 'forward' } as never,
    { way: 'slip', gear: 40, teeth: 3, direction: 'forward', leftMm: 0.02, place: { on: 'leadscrew' } } as never,
    { way: 'slip', gear: 40, teeth: 0, direction: 'forward', leftMm: 0.2, place: { on: 'leadscrew' } } as never,
    { way: 'start', outMm: 1.5 } as never,
    { way: 'z', startMm: '15/2', leads: 4, counted: null } as never,
  ];
  test.each(LATHE_KINDS)('every move at a lathe of kind %s is one number and its steps', (kind) => {
    for (const move of MOVES)
      for (const leftHand of [false, true])
        for (const u of SYSTEMS) {
          const head = moveHead(move, u);
          expect(head.figure).toMatch(/^[+\u2212-]?\d/);
          sentence(head.what);
          const steps = pickupSteps(move, leftHand, u, kind);
          expect(steps.length).toBeGreaterThan(0);
          for (const s of steps) sentence(s);
        }
  });
  test('the slack is taken up the way the tool is driven in the cut', () => {
    for (const kind of LATHE_KINDS) {
      expect(slackText(kind, false).why).toMatch(/towards the headstock/);
      expect(slackText(kind, true).why).toMatch(/towards the tailstock/);
    }
  });
  test('a run in the air: in, off by the same, growing, uneven, or too few places', () => {
    const at = (offs: readonly number[]) =>
      judgeRun(offs.map((offMm, i) => ({ alongMm: 10 + 30 * i, offMm, sigmaMm: 0.01 })));
    const said = (offs: readonly number[], u: 'mm' | 'in' = 'mm') => judgedText(at(offs), u, 'change-gears', null);
    expect(said([0]).says).toMatch(/^Judge three places/);
    expect(said([0, 0.001, 0]).says).toBe('In the groove all along.');
    expect(said([0.3, 0.3, 0.3]).says).toMatch(/^The same everywhere: 0\.300 mm towards the headstock/);
    expect(said([0, 0.2, 0.4]).says).toMatch(/^It grows along the thread: 0\.\d+ mm over 60/);
    expect(said([0, 0.4, 0]).says).toMatch(/^Neither the same nor growing evenly/);
    for (const offs of [
      [0, 0.001, 0],
      [0.3, 0.3, 0.3],
      [0, 0.2, 0.4],
      [0, 0.4, 0],
    ])
      inBoth((u) => `${said(offs, u).says} ${said(offs, u).then}`);
  });
});

describe('how the work is held, and the next start', () => {
  test('each answer to bending has a name and a way; what this lathe has not got says so', () => {
    const codes: readonly AnswerCode[] = [
      'as-held',
      'lighter',
      'centre',
      'follow-rest',
      'steady',
      'stiffer-bar',
      'springs',
      'all',
    ];
    const said = codes.map((code) => answerWords({ code, figure: 12, can: true }, 'mm').what);
    expect(new Set(said).size).toBe(codes.length);
    for (const code of codes) {
      inBoth((u) => answerWords({ code, figure: 12, can: true }, u).what);
      expect(answerWords({ code, figure: null, can: false }, 'mm').how).toBe('this lathe has none');
    }
    sentence(unsaidText(['holding', 'free-length']));
  });
  test('every way to the next start of a thread of three, on each kind of lathe, with its number', () => {
    const ways = new Set<StartMove['way']>();
    for (const lathe of ['lathe-bess', 'lathe-dreyl', 'lathe-els']) {
      const b = named('Tr40x21(P7)').do({ do: 'chooseLathe', lathe });
      const starts = startMovesOf(b.job, b.shop);
      if (!starts) continue;
      sentence(startsCheckText(starts));
      for (const m of starts.moves)
        for (const u of SYSTEMS) {
          ways.add(m.way);
          const t = startMoveText(m, u);
          sentence(t.name);
          sentence(t.how);
          expect(t.figure).toMatch(/^\d/);
          if (m.way === 'degrees' || m.way === 'told') expect(known(Number(t.figure)) % 120).toBe(0);
        }
    }
    expect(ways.size).toBeGreaterThan(1);
  });
});
