import { known } from '../../app/testing/known.ts';
import { describe, expect, test } from '@jest/globals';
import { cardOf } from './card.ts';
import { notYet } from './chain.ts';
import { conclusion } from '../../words/conclusions.ts';
import { newJob } from './create.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { measurePlan } from './measure.ts';
import { mateChoices, playAt } from './mate.ts';
import { copiedFrom, matePlaces } from './places.ts';
import type { ThreadSpec } from '../standards/thread.ts';
import type { Edit } from './edits/index.ts';
import { metalOf } from './metal.ts';
import { partBefore } from './partBefore.ts';
import { partBeforeText } from '../../words/ledger.ts';
import { stoppedText } from '../../words/machine.ts';
import { AT, Bench, changedBy, m30, named, took } from '../../app/testing/bench.ts';

describe('what is made follows from what came in, what is wanted and the mate', () => {
  test.each([
    ['screw', 'copy', 'external'],
    ['screw', 'mate', 'internal'],
    ['screw', 'gauge', 'internal'],
    ['nut', 'copy', 'internal'],
    ['nut', 'mate', 'external'],
    ['broken-shaft', 'extend', 'external'],
  ] as const)('%s, %s: %s', (cameIn, wanted, make) => {
    const b = new Bench(newJob('x', 'x', new Date(AT))).do({ do: 'setIntake', cameIn, wanted });
    expect(b.job.intake.make).toBe(make);
    // and somebody who says otherwise is heard
    b.do({ do: 'setIntake', make: 'external' });
    expect(b.job.intake.make).toBe('external');
  });
  const read = (
    quantity: 'majorDiameter' | 'minorDiameter' | 'pitchDiameter',
    value: number,
    member: 'part' | 'mate',
    place = '',
  ): Edit => took(quantity, value, { member, place });
  test('a nut for a worn screw: bored over its true root, made to its thickest place, with the play at the others', () => {
    const b = named('M42.5x2', { cameIn: 'screw', wanted: 'mate', make: 'internal' }).do(
      read('minorDiameter', 40.1, 'part', 'ground off at the end'),
      read('minorDiameter', 40.5, 'part', 'another turn'),
      read('pitchDiameter', 41.15, 'part', 'top'),
      read('pitchDiameter', 40.95, 'part', 'middle of the travel'),
      { do: 'setFit', class: null, to: 'mate', pitchClearanceMm: 0.1 },
    );
    const fit = fitOfJob(b.job);
    expect(fit).toMatchObject({
      make: 'internal',
      pitchDiameterMm: expect.closeTo(41.25, 9),
      bounds: [{ code: 'screw-root' }],
    });
    expect(fit?.startDiameterMm).toBeCloseTo(40.8, 9);
    const thread = threadOfJob(b.job);
    if (!fit || !thread) throw new Error('no fit');
    // axial play is the clearance times tan 30
    expect(matePlaces(b.job, thread).map((p) => playAt(fit, p))).toEqual([
      expect.closeTo(0.1 * Math.tan(Math.PI / 6), 9),
      expect.closeTo(0.3 * Math.tan(Math.PI / 6), 9),
    ]);
  });
  test('a mate or a part that was not read is no size: nothing is cut, and it is said what to read', () => {
    const b = m30(29.93).do({ do: 'setFit', class: null, to: 'mate' });
    expect(fitOfJob(b.job)?.problem).toMatchObject({ field: 'to' });
    expect(b.card).toMatchObject({ do: 'check', settings: [] });
    expect(b.do({ do: 'check' }).card.stopped).toMatchObject({ code: 'plan' });
    b.do({ do: 'setFit', to: 'copy' });
    expect(fitOfJob(b.job)?.problem).toMatchObject({ code: 'part-not-read', figures: { make: 'external' } });
    b.do(read('pitchDiameter', 28.6, 'part'));
    expect(fitOfJob(b.job)?.problem).toBeNull();
  });
  test('a copy is made to where the part is not worn, outside and pitch diameter, and nothing is taken off them', () => {
    const spared = (e: Edit): Edit =>
      e.do === 'takeReading' ? { ...e, reading: { ...e.reading, wear: 'unworn' } } : e;
    const b = named('M30x2').do(
      read('pitchDiameter', 28.52, 'part', 'in the travel'),
      spared(read('pitchDiameter', 28.58, 'part', 'under the collar')),
      read('majorDiameter', 29.9, 'part'),
      spared(read('majorDiameter', 29.82, 'part')),
      { do: 'setFit', class: null, to: 'copy', pitchClearanceMm: 0.1, crestReliefMm: 0.1 },
    );
    expect(fitOfJob(b.job)).toMatchObject({ pitchDiameterMm: 28.58, startDiameterMm: 29.82, problem: null });
    const thread = threadOfJob(b.job);
    expect(thread && copiedFrom(b.job, thread).unworn).toBe(true);
    // a nut wears larger: the smallest is nearest to what it was
    const nut = named('M30x2', { cameIn: 'nut', make: 'internal' }).do(
      read('pitchDiameter', 28.9, 'part'),
      read('pitchDiameter', 28.8, 'part'),
      { do: 'setFit', class: null, to: 'copy' },
    );
    expect(fitOfJob(nut.job)?.pitchDiameterMm).toBe(28.8);
  });
  test('a nut for the travel alone: its bore follows the root there, its size the thickest place there', () => {
    const placed = (e: Edit, positionMm: number): Edit =>
      e.do === 'takeReading' ? { ...e, reading: { ...e.reading, positionMm } } : e;
    const b = named('Tr40x7', { cameIn: 'screw', wanted: 'mate', make: 'internal' }).do(
      placed(read('pitchDiameter', 36.5, 'part'), 10),
      placed(read('pitchDiameter', 36.2, 'part'), 150),
      placed(read('pitchDiameter', 36.1, 'part'), 200),
      placed(read('minorDiameter', 33.4, 'part'), 10),
      placed(read('minorDiameter', 33, 'part'), 180),
      { do: 'setFit', class: null, to: 'mate', pitchClearanceMm: 0.2, travel: { fromMm: 100, toMm: 250 } },
    );
    expect(fitOfJob(b.job)?.pitchDiameterMm).toBeCloseTo(36.7, 9);
    expect(mateChoices(b.job, threadOfJob(b.job) as ThreadSpec).map((c) => c.way)).toEqual([
      'thickest',
      'travel',
      'recut',
    ]);
    const wide = fitOfJob(b.job)?.startDiameterMm ?? NaN;
    b.do({ do: 'setFit', wornMate: 'travel' });
    expect(fitOfJob(b.job)?.pitchDiameterMm).toBeCloseTo(36.4, 9);
    expect(fitOfJob(b.job)?.startDiameterMm).toBeLessThan(wide);
    b.do({ do: 'setFit', wornMate: 'recut' });
    expect(fitOfJob(b.job)?.pitchDiameterMm).toBeCloseTo(36.3, 9);
  });
  test('a duty brings its clearance, and a clearance typed is no longer that duty\u2019s', () => {
    const b = named('Tr40x7').do({ do: 'setFit', duty: 'clamp' });
    expect(b.job.fit).toMatchObject({ class: null, duty: 'clamp' });
    expect(b.job.fit.pitchClearanceMm).toBeCloseTo((2 * 0.35) / (2 * Math.tan((15 * Math.PI) / 180)), 2);
    b.do({ do: 'setFit', pitchClearanceMm: 0.4 });
    expect(b.job.fit).toMatchObject({ duty: null, pitchClearanceMm: 0.4 });
  });
  test('a class of the other member is no plan for any station', () => {
    const b = m30();
    expect(conclusion('cut', b.job, b.shop, 'mm')).toMatch(/^Pass 1 of/);
    b.do({ do: 'setFit', class: '6H' });
    expect(fitOfJob(b.job)?.problem?.field).toBe('class');
    expect(conclusion('cut', b.job, b.shop, 'mm')).toBeNull();
  });
  test('what was right on the test piece is offered to the part after it', () => {
    const job = named('M30x2');
    job.do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'setQuantity', parts: 2, testPiece: true });
    job.do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.9 });
    expect(partBefore(job.job)).toBeNull();
    job.do({ do: 'touchOff' }, { do: 'deeper', byMm: 0.05 });
    while (job.card.do === 'set' && job.card.pass && !job.card.pass.spring) job.do({ do: 'passDone' });
    job.do({ do: 'overWires', mm: 30.1, text: '30.1' }, { do: 'tryMate', mate: 'the yoke', result: 'runs' });
    expect(measurePlan(job.job, job.shop)?.measured).toHaveLength(1);
    job.do({ do: 'finishPart' });
    const { depthMm, cuts } = metalOf(job.job);
    expect(partBefore(job.job)).toBeNull();
    job.do({ do: 'beginPart' });
    const before = partBefore(job.job);
    // what was measured and tried on the test piece proves nothing of this part
    expect(measurePlan(job.job, job.shop)?.measured).toEqual([]);
    expect(conclusion('prove', job.job, job.shop, 'mm')).not.toContain('yoke');
    expect(notYet('prove', job.job, job.shop)).toBe('nothing-tried');
    expect(before).toMatchObject({ part: 1, testPiece: true, deeperMm: 0.05, depthMm, passes: cuts });
    expect(cuts).toBeGreaterThan(3);
    // and the part that was scrapped in between teaches nothing
    job.do({ do: 'mount' }, { do: 'finishPart', verdict: 'scrapped', why: 'bent' }, { do: 'beginPart' });
    expect(partBefore(job.job)).toEqual(before);
    expect(before && partBeforeText(before, 'mm')).toMatch(
      /^The test piece was right at 1\.\d+ mm deep, 0\.050 mm deeper than planned, in \d+ passes\.$/,
    );
  });
  test('a lathe of which nobody has said dials or leadscrew stops the card', () => {
    const b = named('M30x2');
    const lathe = b.shop.lathes.find((l) => l.id === b.job.gears.lathe) ?? b.shop.lathes[0];
    if (!lathe) throw new Error('no lathe');
    b.do({ do: 'chooseLathe', lathe: lathe.id });
    const asks = changedBy(b.shop, (d) => {
      for (const l of d.lathes) if (l.id === lathe.id) l.unconfirmed = ['crossSlide'];
    });
    const { card } = cardOf(b.job, asks, null);
    expect(card.stopped).toEqual({ code: 'lathe-unknown', lathe: lathe.name, facts: ['crossSlide'] });
    expect(card.stopped && stoppedText(card.stopped, 'mm').what).toContain('the cross slide\u2019s dial');
  });
  test('a gauge is made to the class of what it gauges, and stops where there is none', () => {
    const b = named('M10', { cameIn: 'screw', wanted: 'copy' });
    expect(b.job.fit.class).toBe('6g');
    b.do({ do: 'setIntake', cameIn: 'nut', wanted: 'gauge' });
    expect(b.job).toMatchObject({ intake: { make: 'external' }, fit: { class: '6H' } });
    expect(fitOfJob(b.job)).toMatchObject({
      make: 'external',
      pitchDiameterMm: expect.closeTo(9.044, 3),
      gauge: { scrapAtMm: expect.closeTo(9.026, 3) },
    });
    b.do({ do: 'setFit', gauge: { end: 'not-go', school: 'inside' } });
    // Prove over wires judges by the gauge's own tenth, not by the work's limits
    const { limitsMm } = measurePlan(b.job, b.shop) ?? {};
    expect(known(limitsMm?.max) - known(limitsMm?.min)).toBeCloseTo(0.018, 3);
    b.do({ do: 'setFit', class: null });
    expect(fitOfJob(b.job)?.problem?.field).toBe('class');
    b.do({ do: 'setIntake', wanted: 'copy', cameIn: 'nut' });
    expect(fitOfJob(b.job)?.gauge).toBeNull();
  });
  test('a special changed by hand reaches depth and dial', () => {
    const b = named('50 mm x 8 mm 45/5', {}).do({ do: 'setSpecial', depthMm: 5, crestFlatMm: 1.6 });
    // the blank is turned under and the flanks get their clearance: a tenth off what was read
    expect(Math.abs((fitOfJob(b.job)?.depthMm ?? 0) - 5)).toBeLessThan(0.1);
    expect(b.try({ do: 'setSpecial', crestFlatMm: 4 })).toBe('crestFlatMm');
    expect(named('M30x2').try({ do: 'setSpecial', depthMm: 1 })).toBe('thread');
  });
  test('where a standard has classes its usual one is the rule; where none has, a clearance', () => {
    expect(named('M30x2').job.fit.class).toBe('6g');
    expect(named('1-5 Acme').job.fit.class).toBe('2G');
    expect(named('1 1/2 in x 3.5 TPI 29').job.fit.class).toBe('2G');
    expect(named('50 mm x 8 mm 45/5').job.fit.class).toBeNull();
    // and without a length of engagement each standard's own is taken
    expect(named('1-8 UNC').job.fit.engagementMm).toBeNull();
  });
});
