import { describe, expect, test } from '@jest/globals';
import { changedBy } from '../app/testing/bench.ts';
import { demoJobs, demoShop } from '../demo/index.ts';
import { answersOf } from '../ops/answers.ts';
import type { Problem } from '../core/quantity/outcome.ts';
import { readFileSync } from 'node:fs';
import { stationStates } from '../core/job/chain.ts';
import { threadOfJob } from '../core/job/derive.ts';
import { machineOf } from '../core/job/machine.ts';
import { STATIONS } from '../core/job/stations.ts';
import { conclusion } from './conclusions.ts';
import { motionsOf, outText, cardText } from './machine.ts';
import { problemLine } from './problems.ts';
import { checkReady, fitPlan, type ReadyCode } from '../core/fit/fit.ts';
import { readyText, wornChoiceText } from './fit.ts';
import { CAUTION_CODES } from '../core/job/cautions.ts';
import { evidenceOfJob, partOf } from '../core/job/evidence.ts';
import { rank } from '../core/identify/rank.ts';
import { reasonsFor } from '../core/identify/reasons.ts';
import { speedText } from '../core/quantity/format.ts';
import { parseDesignation } from '../core/standards/designation.ts';
import { limitsOf } from '../core/standards/limits.ts';
import { cautionText } from './cautions.ts';
import { limitsNoteText } from './limits.ts';
import { reasonText } from './reasons.ts';
import { mateChoices } from '../core/job/mate.ts';

/** A length in a sentence carries the unit at hand, and the other one nowhere. */
const WRONG = { mm: /\d\s*(in|")(?=[\s,.;:)]|$)(?! \d)/, in: /\d\s*mm\b/ } as const;
const rightIn = (u: 'mm' | 'in', text: string): void =>
  expect([text, WRONG[u].test(text.replace(/\d+(\.\d+)? mm \(0\.\d+ in\)/g, ''))]).toEqual([text, false]);

const NAMED: Readonly<Record<string, string>> = {
  why: 'no-name',
  station: 'fit',
  make: 'external',
  mate: 'internal',
  slip: 'point',
};
/** Half an inch, with its unit or without. */
const BARE = { mm: /12\.70*(?!\d| mm)|(?<!\d)0\.50/, in: /(?<!\d)0\.50*(?!\d| in)|12\.7/ } as const;
/** Figures for every problem: a length where one is wanted, text elsewhere. */
const FIGURES = new Proxy(
  {},
  {
    get: (_, key) => NAMED[String(key)] ?? (String(key).endsWith('Mm') ? 12.7 : String(key).endsWith('Deg') ? 30 : 'x'),
  },
);
const codes = [...readFileSync('core/quantity/problems.ts', 'utf8').matchAll(/^ {2}'([a-z0-9-]+)':/gm)].map(
  (m) => m[1] ?? '',
);
/** They speak of what is typed or fixed by a standard, in both units or in one that is the text's own. */
const OF_TYPED_TEXT = new Set([
  'nothing-typed',
  'not-a-number',
  'not-above-zero',
  'not-a-length-unit',
  'pitch-of-what',
  'not-a-pitch',
  'pitch-too-fine',
  'diameter-out-of-reach',
  'reading-without-span',
  'straight-has-no-standoff',
  'no-exact-number',
]);

describe.each(['mm', 'in'] as const)('every sentence that shows a length, in %s', (u) => {
  test('problems', () => {
    expect(codes.length).toBeGreaterThan(120);
    for (const code of codes) {
      if (OF_TYPED_TEXT.has(code)) continue;
      const problem = { field: 'x', code, figures: { ...FIGURES } } as unknown as Problem;
      const said = problemLine({ ...problem, figures: FIGURES }, u);
      expect(said).not.toMatch(/undefined|NaN/);
      expect([code, WRONG[u].test(said)]).toEqual([code, false]);
      expect([code, BARE[u].exec(said)?.[0]]).toEqual([code, undefined]);
    }
  });
  test('conclusions, card, motions and the way out, of every demo job', () => {
    const shop = changedBy(demoShop(), (d) => {
      d.settings.system = u;
      for (const lathe of d.lathes) for (const dial of [lathe.crossSlide, lathe.topSlide]) dial.unit = u;
    });
    for (const job of demoJobs()) {
      const states = stationStates(job, shop, threadOfJob(job));
      const machine = machineOf(job, shop, states);
      const lathe = shop.lathes.find((l) => l.id === job.gears.lathe) ?? null;
      const said = [
        // a lead is named in the system in which it is a round number
        ...STATIONS.filter((s) => s !== 'gears' && s !== 'name').map((s) => conclusion(s, job, shop, u) ?? ''),
        cardText(machine, job.intake.make, u),
        outText(machine.card, job.intake.make, u, lathe) ?? '',
        ...motionsOf(
          machine,
          { make: job.intake.make, leftHand: false, returnBy: job.cut.returnBy, end: job.setup.end, perTurnMm: null },
          lathe,
        ).map((m) => m.text),
        answersOf(job, shop, null).card.text,
      ];
      // a dial is described in its own unit, and a change of dials in both
      for (const text of said) if (!text.startsWith('The dials changed')) rightIn(u, text);
    }
  });
  test('cautions, and the reasons for a name', () => {
    for (const code of CAUTION_CODES) rightIn(u, cautionText(code, u));
    expect(cautionText('slack-unmeasured', u)).toContain(u === 'mm' ? '0.30 mm' : '0.0120 in');
    for (const job of demoJobs()) {
      const evidence = evidenceOfJob(job);
      const part = partOf(job);
      const { candidates } = rank({ part, evidence, context: { origin: null, use: null }, most: 2 });
      for (const c of candidates) {
        const why = reasonsFor(c.expectation, c.starts, evidence, part);
        for (const r of [...why.for, ...why.against]) rightIn(u, reasonText(r, u));
      }
    }
  });
  test('notes to limits, and a carriage\u2019s speed', () => {
    for (const d of ['1/2-14 NPT', 'M30x2', '1 1/4-7 UNC']) {
      const parsed = parseDesignation(d);
      const limits = parsed.ok ? limitsOf(parsed.value.thread, d === 'M30x2' ? '6g' : '2A', null) : parsed;
      if (!limits.ok) throw new Error(limits.problem.code);
      expect(limits.value.notes.length).toBeGreaterThan(0);
      for (const n of limits.value.notes) rightIn(u, limitsNoteText(n, u));
    }
    expect(speedText(25.4, u)).toBe(u === 'mm' ? '25.4 mm/s' : '1.00 in/s');
  });
  test('what is said of a blank, and of a worn mate', () => {
    const vice = demoJobs().find((j) => j.id === 'demo-vice');
    const thread = vice && threadOfJob(vice);
    if (!vice || !thread) throw new Error('demo');
    const choices = mateChoices(vice, thread);
    expect(choices).toHaveLength(3);
    for (const c of choices) rightIn(u, wornChoiceText(c, 'external', u));
    const plan = fitPlan(thread, { make: 'external', pitchClearanceMm: 0.1, crestReliefMm: 0.1, tip: null });
    const ready = checkReady(plan, thread, 29);
    expect(ready).toMatchObject({ code: 'blank-over', mm: 1 });
    for (const code of ['over-class', 'under-class', 'bore-small', 'bore-is-root', 'blank-over'] as ReadyCode[])
      rightIn(u, readyText({ ...ready, code }, u));
    expect(readyText(ready, 'in')).toContain('0.0394 in over');
  });
});
