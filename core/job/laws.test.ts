import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoShop } from '../../demo/index.ts';
import { turnTravelMm } from '../lathe/dials.ts';
import { parseDesignation } from '../standards/designation.ts';
import { numberOf, exact } from '../quantity/rational.ts';
import { sinDeg, tanDeg } from '../quantity/units.ts';
import { angledMove, gearSlip, parallelMove, startMove, turnOfWork, type Groove } from '../pickup/moves.ts';
import { cardOf } from './card.ts';
import { newJob } from './create.ts';
import { applyEdit, type Edit } from './edits/index.ts';
import { lastN, metalOf, standing } from './metal.ts';
import type { Job, Shop } from './schema.ts';

const AT = '2026-11-26T08:00:00.000Z';
const apply = (job: Job, shop: Shop, e: Edit): { job: Job; shop: Shop } | null => {
  const done = applyEdit(job, shop, e, { id: 'law', at: AT });
  return done.ok ? done.value : null;
};

/** The other slide is brought back to the nearest half division: half of that is left open, mm. */
const SETTING_MM = 0.007;

/** What may be done to a job at the lathe, at any moment, in any order. */
const edits: fc.Arbitrary<Edit> = fc.oneof(
  { weight: 12, arbitrary: fc.constant<Edit>({ do: 'passDone' }) },
  { weight: 2, arbitrary: fc.constant<Edit>({ do: 'springDone' }) },
  fc.integer({ min: 1, max: 40 }).map((passes): Edit => ({ do: 'setSchedule', passes })),
  fc.double({ min: 0.04, max: 0.4, noNaN: true }).map((firstMaxMm): Edit => ({ do: 'setSchedule', firstMaxMm })),
  fc.constantFrom('constant-area', 'constant-depth').map((rule): Edit => ({ do: 'setSchedule', rule })),
  fc.constantFrom('plunge', 'flank', 'modified').map((infeed): Edit => ({ do: 'setUp', infeed })),
  fc.double({ min: 0.005, max: 0.2, noNaN: true }).map((byMm): Edit => ({ do: 'deeper', byMm })),
  fc.double({ min: 0, max: 0.15, noNaN: true }).map((pitchClearanceMm): Edit => ({ do: 'setFit', pitchClearanceMm })),
  fc.double({ min: 0, max: 0.2, noNaN: true }).map((fullMm): Edit => ({ do: 'runOut', fullMm })),
  fc.constant<Edit>({ do: 'check' }),
  fc.constant<Edit>({ do: 'slipped' }),
  fc.constant<Edit>({ do: 'changeTool' }),
  fc.constant<Edit>({ do: 'rezero' }),
  fc.constant<Edit>({ do: 'inGroove', way: 'by-eye' }),
  fc.constantFrom('surface', 'groove').map((on): Edit => ({ do: 'touchOff', on })),
  fc.constant<Edit>({ do: 'airPass' }),
  fc.integer({ min: 1, max: 60 }).map((of): Edit => ({ do: 'void', of })),
);

const begun = (designation: string, lathe: string, blankOff: number, make: 'external' | 'internal') => {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(designation);
  const thread = { ...parsed.value.thread };
  delete (thread as { special?: unknown }).special;
  let now = { job: newJob('law', 'Law', new Date(AT)), shop: demoShop() };
  const must = (...list: Edit[]): void => {
    for (const e of list) {
      const next = apply(now.job, now.shop, e);
      if (!next) throw new Error(e.do);
      now = next;
    }
  };
  must(
    { do: 'setIntake', make },
    { do: 'acceptName', thread, probability: 1, overruled: true, reason: '' },
    { do: 'chooseLathe', lathe },
  );
  if (lathe !== 'lathe-els')
    must({ do: 'takeTrain', train: { drivers: [40], driven: [40], gearbox: '1' } }, { do: 'mountGears' });
  const fit =
    make === 'external'
      ? parsed.value.thread.majorMm
      : parsed.value.thread.majorMm - 1.0825 * numberOf(exact(thread.pitch));
  must(
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: fit + blankOff },
    { do: 'touchOff' },
    { do: 'provePitch', by: 'scratch' },
  );
  return now;
};

test('whatever is done and changed, the next reading keeps the cap, never goes back, and the tool always clears', () => {
  const jobs = fc.record({
    designation: fc.constantFrom('M30x2', 'M16', '1 1/4-7 BSW', 'Tr40x7', '1-5 Acme'),
    lathe: fc.constantFrom('lathe-bess', 'lathe-dreyl', 'lathe-els'),
    blankOff: fc.double({ min: -0.2, max: 0.1, noNaN: true }),
    make: fc.constantFrom('external' as const, 'internal' as const),
    list: fc.array(edits, { maxLength: 45 }),
  });
  fc.assert(
    fc.property(jobs, ({ designation, lathe, blankOff, make, list }) => {
      let { job, shop } = begun(designation, lathe, blankOff, make);
      for (const e of list) {
        // what proves the pitch may have been struck through: it is scratched again before a pass
        const due = e.do === 'passDone' && cardOf(job, shop, null).card.pitch;
        if (due) ({ job, shop } = apply(job, shop, { do: 'provePitch', by: due.by }) ?? { job, shop });
        const before = metalOf(job);
        const asked = cardOf(job, shop, null);
        const next = apply(job, shop, e);
        if (!next) continue;
        // the ledger only grows, and its numbers only rise
        expect(next.job.events.slice(0, job.events.length)).toEqual(job.events);
        expect(lastN(next.job)).toBeGreaterThanOrEqual(lastN(job));
        ({ job, shop } = next);
        const metal = metalOf(job);
        if (e.do === 'passDone') {
          // what was cut adds up to what is there
          expect(metal.depthMm).toBeCloseTo(before.depthMm + (asked.card.takesMm ?? NaN), 9);
          expect(metal.cuts).toBe(before.cuts + 1);
        }
        const { card, plan, request, feed } = cardOf(job, shop, null);
        if (metal.phase === 'lost' && metal.facts) expect(['pickup', 'check', 'mount']).toContain(card.do);
        if (card.do !== 'set' || !plan || !request) continue;
        if (card.pass?.spring) {
          expect(card.depthMm).toBe(metal.depthMm);
          continue;
        }
        const takes = card.takesMm ?? NaN;
        expect(takes).toBeGreaterThan(0);
        expect(takes).toBeLessThanOrEqual((job.cut.firstMaxMm ?? Infinity) + 1e-6);
        // sideways: along the trailing flank at the most, from where the tool stands
        if (card.writes?.kind === 'cut' && before.cuts > 0 && feed.liesDeg !== null && metal.cuts > 0) {
          const along = (card.writes.topMm - metal.topMm) * sinDeg(feed.liesDeg);
          const steepest = Math.max(tanDeg(request.trailingDeg), tanDeg(request.leadingDeg));
          if (feed.liesDeg < 90) expect(Math.abs(along)).toBeLessThanOrEqual(takes * steepest + SETTING_MM);
        }
        // out: clear of the surface by the margin, on the way back from the deepest depth
        const out = card.outMm ?? NaN;
        const from = make === 'internal' ? (card.depthMm ?? 0) : Math.max(plan.depthMm, metal.depthMm);
        expect(out - from).toBeGreaterThanOrEqual(request.clearanceMm + metal.runOutMm - 1e-9);
        const dial = shop.lathes.find((l) => l.id === job.gears.lathe)?.crossSlide;
        if (card.outTurns !== null && dial)
          expect(card.outTurns * turnTravelMm(dial) - request.slackMm).toBeGreaterThanOrEqual(out - 1e-9);
      }
      // and the whole ledger, gone through again, leaves the same metal
      expect(metalOf({ ...job, events: structuredClone(job.events) })).toEqual(metalOf(job));
      expect(standing(job.events).length).toBeLessThanOrEqual(job.events.length);
    }),
    { numRuns: 120 },
  );
});

describe('picking up, on a lathe that is moved by its own kinematics', () => {
  /**
   * Half-nuts shut, spindle at rest: the carriage stands where spindle, gears and leadscrew put it. Forward is +, and carries
   * the carriage towards the headstock for a right-hand thread, away from it for a left-hand one.
   */
  interface Lathe {
    readonly lead: number;
    readonly dir: 1 | -1;
    workTurn: number;
    carriage: number;
    slide: number;
  }
  /** Where the groove lies from the tool, + towards the headstock: turned forward, a groove runs that way. */
  const offset = (l: Lathe, at: number): number => at + (l.dir * l.workTurn * l.lead) / 360 - l.carriage - l.slide;
  const rest = (x: number, every: number): number => Math.abs(x - every * Math.round(x / every));
  const cases = fc.record({
    at: fc.integer({ min: -900, max: 900 }),
    pitch: fc.constantFrom('2', '5/2', '127/65', '254/35'),
    starts: fc.integer({ min: 1, max: 3 }),
    leftHand: fc.boolean(),
    anyStart: fc.boolean(),
    teeth: fc.integer({ min: 16, max: 127 }),
    turns: fc.constantFrom('1', '1/2', '4/5', '63/80'),
    deg: fc.double({ min: 5, max: 90, noNaN: true }),
  });
  test('every way ends in the groove, for both hands, any starts, any gearbox', () => {
    fc.assert(
      fc.property(cases, ({ at, pitch, starts, leftHand, anyStart, teeth, turns, deg }) => {
        const lead = exact(pitch).mul(BigInt(starts));
        const every = anyStart ? exact(pitch) : lead;
        const groove: Groove = { offset: exact(`${at}/100`), lead, every, leftHand };
        const dir = leftHand ? -1 : 1;
        const fresh = (): Lathe => ({ lead: numberOf(lead), dir, workTurn: 0, carriage: 0, slide: 0 });
        const ends = (l: Lathe): number => rest(offset(l, at / 100), numberOf(every));

        const a = fresh();
        a.slide = numberOf(parallelMove(groove));
        expect(ends(a)).toBeCloseTo(0, 9);

        const b = fresh();
        // the angled slide runs forward in the direction of the cut: for a left hand it is swung the other way
        const move = angledMove(groove, deg);
        b.slide = move.slideMm * sinDeg(deg) * dir;
        expect(ends(b)).toBeCloseTo(0, 9);
        expect(move.crossOutMm).toBeCloseTo(move.slideMm * Math.cos((deg * Math.PI) / 180), 9);

        const c = fresh();
        c.workTurn = numberOf(turnOfWork(groove));
        expect(ends(c)).toBeCloseTo(0, 9);

        const d = fresh();
        const gear = { teeth, leadscrewTurnsPerTurn: exact(turns), leadscrew: exact('6') };
        const slip = gearSlip(groove, gear, 60);
        d.carriage = dir * (slip.teeth / teeth) * numberOf(exact(turns)) * 6;
        expect(ends(d)).toBeCloseTo(Math.abs(numberOf(slip.left)), 9);

        const e = fresh();
        const { startMm } = startMove(groove, exact('0'), exact('0'));
        // + away from the headstock
        e.slide = -numberOf(startMm);
        expect(ends(e)).toBeCloseTo(0, 9);
        expect(numberOf(startMm)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 300 },
    );
  });
});
