import { describe, expect, test } from '@jest/globals';
import { rank } from '../identify/rank.ts';
import { formAt } from '../form/shape.ts';
import { pictureOf } from '../profile/render.ts';
import { solidOf } from '../profile/solid.ts';
import { lookAt, type Scene } from '../profile/scenes.ts';
import { readProfile } from '../profile/readProfile.ts';
import type { ProfileRead } from '../profile/types.ts';
import { applyEdit } from './edits/index.ts';
import { emptyShop, newJob } from './create.ts';
import { evidenceOfRows, rowsOfPicture, seenAs, type PictureRow } from './fromPicture.ts';
import { formGiven } from './formFromPicture.ts';
import type { Job } from './schema.ts';

const { abs } = Math;
const read = (scene: Scene, knownMajorMm: number | null, pinMm: number | null = null): ProfileRead =>
  readProfile(lookAt(scene, 1200, 5), { pxPerMm: null, pinMm, knownMajorMm, starts: null, leadAngleDeg: null });
const press = read('press', 49.82);
const vice = read('vice', 29.9);
const row = (rows: readonly PictureRow[], key: PictureRow['key']): PictureRow => {
  const found = rows.find((r) => r.key === key);
  if (!found) throw new Error(`no ${key}`);
  return found;
};

describe('flanks are named by what they face, once it is said which end is free', () => {
  test('the press screw: 30 degrees faces the free end when that is right, the head when it is left', () => {
    const right = rowsOfPicture(press, { freeEnd: 'right', beginsMm: 0 });
    expect(row(right, 'leading').value ?? NaN).toBeCloseTo(30, 0);
    expect(row(right, 'trailing').why).toMatchObject({ kind: 'hidden', range: { fromDeg: 0 } });
    const left = rowsOfPicture(press, { freeEnd: 'left', beginsMm: 0 });
    expect(row(left, 'trailing').value ?? NaN).toBeCloseTo(30, 0);
    expect(row(left, 'leading').why?.kind).toBe('hidden');
  });
  test('what gave the scale is the person’s own, and is not taken again', () => {
    const major = row(rowsOfPicture(press, { freeEnd: 'right', beginsMm: 0 }), 'major');
    expect([major.taken, major.why?.kind]).toEqual([false, 'yours']);
    const pinned = rowsOfPicture(read('pinned', null, 2.5), { freeEnd: 'right', beginsMm: 0 });
    expect(row(pinned, 'major').taken).toBe(true);
    expect(abs((row(pinned, 'major').value ?? NaN) - 23.95)).toBeLessThan(3 * row(pinned, 'major').uncertainty);
  });
  test('without a scale only angles and taper are lines', () => {
    const keys = rowsOfPicture(read('pinned', null), { freeEnd: 'right', beginsMm: 0 }).map((r) => r.key);
    expect(keys).toEqual(['included', 'taper']);
  });
});

describe('wear becomes diameters at places', () => {
  // drawn: the flank that faces the free end lost 0.34 mm from 10 mm left of the middle to 17 mm right of it, of 92 mm in view
  test.each([
    ['right', 46 - 17, 'leading'],
    ['left', 46 - 10, 'trailing'],
  ] as const)('free end %s', (freeEnd, fromMm, where) => {
    const wear = row(rowsOfPicture(vice, { freeEnd, beginsMm: 0 }), 'wear');
    expect(wear.value ?? NaN).toBeCloseTo(0.34, 1);
    expect(wear.why).toMatchObject({ kind: 'worn', where });
    expect(abs((wear.why?.kind === 'worn' ? wear.why.fromMm : NaN) - fromMm)).toBeLessThan(6);
    const worn = wear.gives.filter((g) => g.wear === 'worn');
    const sound = wear.gives.filter((g) => g.wear === 'unworn');
    expect(worn.every((g) => g.quantity === 'pitchDiameter' && (g.positionMm ?? 0) > fromMm - 6)).toBe(true);
    // a flank that lost e thins the ridge by e: 2 e / (tan 15 + tan 15) on the pitch diameter
    const lost = (sound[0]?.value ?? NaN) - (worn[0]?.value ?? NaN);
    expect(lost).toBeCloseTo(0.34 / Math.tan(Math.PI / 12), 1);
  });
  test('a picture that begins farther in lies farther in', () => {
    const at = (beginsMm: number): number =>
      row(rowsOfPicture(vice, { freeEnd: 'right', beginsMm }), 'wear').gives[0]?.positionMm ?? NaN;
    expect(at(100) - at(0)).toBeCloseTo(100, 6);
  });
});

describe('what it says for naming', () => {
  const named = (r: ProfileRead, all = false): { name: string; p: number; special: number } => {
    const rows = rowsOfPicture(r, { freeEnd: 'right', beginsMm: 0 }).map((x) =>
      all && x.key === 'major' ? { ...x, taken: true } : x,
    );
    const ranking = rank({
      part: 'external',
      evidence: evidenceOfRows(rows),
      context: { origin: null, use: null },
      most: 3,
    });
    const [best] = ranking.candidates;
    return { name: best?.thread.designation ?? '', p: best?.probability ?? 0, special: ranking.special.probability };
  };
  test('the press screw is a saw-tooth and no buttress, though its load flank is hidden', () => {
    const { name, p } = named(press, true);
    expect(name).toMatch(/^S 50x8/);
    expect(p).toBeGreaterThan(0.5);
  });
  test('a trapezoidal vice screw, a bolt by its pin', () => {
    expect(named(vice, true).name).toMatch(/^Tr 30x6/);
    expect(named(read('pinned', null, 2.5)).name).toBe('M24');
  });
  test('a maker’s own thread is in no table', () => {
    expect(named(read('special', 31.2), true).special).toBeGreaterThan(0.9);
  });
});

test('what 7 degrees would show on the press screw: about 8, by the silhouette’s own law', () => {
  // against the drawn silhouette of one that its crest does not hide: 7 degrees, 4 mm on 28
  const drawn = readProfile(
    pictureOf(solidOf(formAt('buttress45-7', 4), { majorMm: 28, pitchMm: 4 }), {
      w: 900,
      h: 760,
      pxPerMm: 20,
      rotationDeg: 0,
      blurPx: 0.8,
      noise: 0.005,
      scan: false,
      uneven: 0,
      seed: 2,
    }),
    { pxPerMm: 20, pinMm: null, knownMajorMm: null, starts: null, leadAngleDeg: null },
  );
  expect(seenAs(7, 4, 12.7)).toBeCloseTo(drawn.left?.apparentDeg ?? NaN, 0);
  expect(seenAs(7, 8, 22)).toBeGreaterThan(7.5);
  expect(seenAs(7, 8, 22)).toBeLessThan(8.5);
  // without a lead it is itself
  expect(seenAs(7, 1e-9, 22)).toBeCloseTo(7, 6);
});

describe('taken into a job, and away again', () => {
  const at = '2026-11-27T08:00:00.000Z';
  const reading = {
    quantity: 'depth',
    text: '6.9',
    value: 6.9,
    span: null,
    leaf: null,
    instrument: null,
    uncertainty: 0.02,
    member: 'part',
    place: '',
    positionMm: null,
    wear: 'unworn',
  } as const;
  const picture = {
    id: 'p1',
    name: 'press',
    type: 'image/jpeg',
    place: '',
    shadow: { scale: null, freeEnd: 'right', beginsMm: 0, starts: null, shown: {} },
  } as const;
  const edited = (job: Job, e: Parameters<typeof applyEdit>[2]): Job => {
    const out = applyEdit(job, emptyShop(), e, { id: `e${job.readings.length}`, at });
    if (!out.ok) throw new Error(out.problem.code);
    return out.value.job;
  };
  const empty = newJob('j', 'Press', new Date(at));
  const once = edited(empty, {
    do: 'takePicture',
    picture: { ...picture, shadow: { ...picture.shadow, shown: {} } },
    readings: [reading, reading],
  });
  test('its readings know their picture, and a second reading of it replaces them', () => {
    expect(once.readings.map((r) => r.picture)).toEqual(['p1', 'p1']);
    const twice = edited(once, {
      do: 'takePicture',
      picture: { ...picture, shadow: { ...picture.shadow, shown: {} } },
      readings: [reading],
    });
    expect([twice.readings.length, twice.pictures.length]).toEqual([1, 1]);
  });
  test('away with the picture go its readings; one that is not there is refused', () => {
    const away = edited(once, { do: 'removePicture', picture: 'p1' });
    expect([away.readings, away.pictures]).toEqual([[], []]);
    expect(applyEdit(away, emptyShop(), { do: 'removePicture', picture: 'p1' }, { id: 'x', at })).toMatchObject({
      ok: false,
      problem: { field: 'picture' },
    });
  });
});

test('the finished thread’s form: both flanks also where they are alike, and the lead over as many pitches as are read', () => {
  const bolt = read('pinned', null, 2.5);
  const rows = rowsOfPicture(bolt, { freeEnd: 'right', beginsMm: 0 });
  const job: Job = {
    ...newJob('j', 'Bolt', new Date()),
    name: {
      thread: { designation: 'M24x3', family: 'M', majorMm: 24, pitch: '3', starts: 1, leftHand: false, form: 'iso60' },
      probability: 1,
      overruled: false,
      reason: '',
    },
  };
  const given = new Map(formGiven(job, bolt, rows, 'right').map((g) => [g.what, g]));
  expect(given.get('leadingFlank')?.value ?? NaN).toBeCloseTo(30, 0);
  expect(given.get('trailingFlank')?.value ?? NaN).toBeCloseTo(30, 0);
  const lead = given.get('lead');
  expect(lead?.spanMm).toBe(24);
  expect(lead?.value ?? NaN).toBeCloseTo(24, 0);
  expect(formGiven(newJob('k', 'Nothing named', new Date()), bolt, rows, 'right')).toEqual([]);
});
