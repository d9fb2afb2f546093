import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formAt, FORM_IDS, specialForm } from '../form/shape.ts';
import { radiusWithin } from './ends.ts';
import { pictureOf, type Shot } from './render.ts';
import { readProfile } from './readProfile.ts';
import { sectionBy, shadowOf } from './shadow.ts';
import { solidOf } from './solid.ts';
import { readTip } from './tip.ts';
import { toolPicture } from './toolScene.ts';
import type { ProfileRead } from './types.ts';

const { abs, cos, sin, max, PI, sqrt, tan } = Math;
const PX = 20;
const SHOT: Shot = {
  w: 1000,
  h: 760,
  pxPerMm: PX,
  rotationDeg: 2,
  blurPx: 0.9,
  noise: 0.008,
  scan: false,
  uneven: 0.05,
  seed: 3,
};
const look = (
  form: ReturnType<typeof formAt>,
  pitchMm: number,
  majorMm: number,
  shot: Partial<Shot> = {},
  view: 'side' | 'groove' | null = 'side',
): ProfileRead =>
  readProfile(pictureOf(solidOf(form, { majorMm, pitchMm }), { ...SHOT, ...shot }), {
    pxPerMm: PX,
    pinMm: null,
    knownMajorMm: null,
    starts: null,
    leadAngleDeg: null,
    ...(view === null ? {} : { view }),
  });
const mm = (px: number): number => px / PX;

test('an arc between two flanks: half the sharp width over the tangent of half the rest of a right angle', () => {
  // H/6 at the root of 60 degrees: its level cuts the flanks' lines P/8 + ... apart; ISO 68-1: r = 0.14434 P at H/4 less the arc
  const p = 3;
  const h = (sqrt(3) / 2) * p;
  const wide = 2 * (h / 4 - h / 12) * tan(PI / 6);
  expect(radiusWithin(wide, 30, 30)).toBeCloseTo(0.14434 * p, 2);
  fc.assert(
    fc.property(fc.double({ min: 5, max: 45, noNaN: true }), fc.double({ min: 0.1, max: 3, noNaN: true }), (deg, r) => {
      // the circle's distance from each flank's line is its radius
      const w = r * 2 * tan((PI / 2 - (deg * PI) / 180) / 2);
      expect(radiusWithin(w, deg, deg)).toBeCloseTo(r, 9);
      // a flank's line goes through (w/2, 0), outwards and down; the circle's middle lies at (0, -r)
      const a = (deg * PI) / 180;
      expect((w / 2) * cos(a) + r * sin(a)).toBeCloseTo(r, 9);
    }),
  );
});

test('the shadow of a section is the greatest height over the turn about the axis: at a sharp crest it falls as r cos psi', () => {
  const lead = 6;
  const c = lead / (2 * PI);
  // a disc without width: what is seen beside it is its own edge turning away
  const s = shadowOf(
    sectionBy(6, lead, (z) => (abs(z) < 0.02 ? 20 : 5), 6000),
    0,
  );
  for (const z of [0.1, 0.3, 0.5]) {
    expect(s.at(z)).toBeGreaterThan(20 * cos(z / c) - 0.02);
    expect(s.at(z)).toBeLessThan(20 * cos((z - 0.02) / c) + 0.02);
  }
  // without a lead it is the section itself
  const rings = shadowOf(
    sectionBy(6, 0, (z) => 18 - abs(z)),
    0,
  );
  expect(rings.at(1)).toBeCloseTo(17, 1);
});

test('blur takes a round top down by half its curvature times the square of sigma', () => {
  const r = 3;
  const round = sectionBy(12, 0, (z) => 20 + (abs(z) < r ? sqrt(r * r - z * z) : 0), 4000);
  const sigma = 0.2;
  expect(shadowOf(round, 0).at(0) - shadowOf(round, sigma).at(0)).toBeCloseTo((sigma * sigma) / (2 * r), 3);
});

describe('crest and root of the axial section, by the standards’ own figures', () => {
  // flats and radii follow from each standard's proportions (named in core/form/shape)
  test.each([
    ['iso60', 3, 24, { crest: ['flat', 3 / 8], root: ['round', 0.433] }],
    ['american60', 3, 24, { crest: ['flat', 3 / 8], root: ['flat', 3 / 8] }],
    ['whitworth55', 3.175, 25.4, { crest: ['round', 0.137329 * 3.175], root: ['round', 0.137329 * 3.175] }],
    ['ba47', 2, 14, { crest: ['round', 0.180835 * 2], root: ['round', 0.180835 * 2] }],
    ['acme29', 5.08, 30, { crest: ['flat', 0.3707 * 5.08], root: ['flat', 0.3707 * 5.08 - 0.259 * 0.508] }],
    ['trapezoidal30', 5, 28, { crest: ['flat', 0.366 * 5], root: ['flat', 0.366 * 5 - 0.536 * 0.25] }],
    ['round30', 4.2, 28, { crest: ['round', 0.238507 * 4.2], root: ['round', 0.238507 * 4.2] }],
  ] as const)('%s', (id, pitch, major, is) => {
    const r = look(formAt(id, pitch), pitch, major);
    for (const end of ['crest', 'root'] as const) {
      const found = r.ends?.[end];
      const [kind, size] = is[end];
      expect(found?.kind).toBe(kind);
      const read = found ? (found.kind === 'flat' ? found.wide : found.radius) : NaN;
      expect(abs(mm(read) - size)).toBeLessThan(max(0.03, 0.03 * size));
      // and within what it says of itself
      expect(abs(mm(read) - size)).toBeLessThan(4 * mm(r.ends?.[`${end}Uncertainty`] ?? 0));
    }
    expect(abs(mm(2 * (r.ends?.ridge.outer ?? NaN)) / major - 1)).toBeLessThan(0.002);
  });
});

describe('a picture along the groove, as on a projector, shows the section itself', () => {
  // 15/15 degrees, P 4: flats of 1.200 and 1.728 by geometry
  const form = specialForm(4, { leadingDeg: 15, trailingDeg: 15, depthMm: 2, crestFlatMm: 1.2 });
  const root = 4 - 1.2 - 4 * tan(PI / 12);
  const flats = (r: ProfileRead) =>
    (['crest', 'root'] as const).map((end) => {
      const found = r.ends?.[end];
      return { mm: found?.kind === 'flat' ? mm(found.wide) : NaN, u: mm(r.ends?.[`${end}Uncertainty`] ?? NaN) };
    });
  test.each([
    ['along it, and said so', true, 'groove'],
    ['square to the axis, and said so', false, 'side'],
  ] as const)('%s: to a hundredth', (_, alongGroove, view) => {
    const [c, b] = flats(look(form, 4, 30, { alongGroove, rotationDeg: 0.7 }, view));
    expect(c?.mm).toBeCloseTo(1.2, 2);
    expect(abs((b?.mm ?? NaN) - root)).toBeLessThan(0.012);
  });
  test.each([true, false])('along it: %s, and nobody said: what is given holds for both', (alongGroove) => {
    const [c, b] = flats(look(form, 4, 30, { alongGroove, rotationDeg: 0.7 }, null));
    expect(abs((c?.mm ?? NaN) - 1.2)).toBeLessThan(2 * (c?.u ?? 0));
    expect(abs((b?.mm ?? NaN) - root)).toBeLessThan(2 * (b?.u ?? 0));
    expect(c?.u).toBeGreaterThan(0.03);
  });
});

describe('forms laid over: the one that it is lies closest, the one it might be taken for does not', () => {
  const NAMES = ['iso60', 'acme29', 'trapezoidal30', 'buttress45-7', 'sawtooth30-3', 'square', 'round30'] as const;
  test.each(NAMES)('%s', (id) => {
    const r = look(formAt(id, 5), 5, 30);
    expect(r.forms[0]?.form).toBe(id);
    expect(r.forms[0]?.residual ?? NaN).toBeLessThan(0.3);
    const next = r.forms.find((f) => f.form !== id && !(id === 'iso60' && f.form === 'american60'));
    expect((next?.residual ?? Infinity) / (r.forms[0]?.residual ?? NaN)).toBeGreaterThan(1.5);
  });
  test('saw-tooth and buttress the other way round are told by the side of their flanks', () => {
    const mirrored = { ...formAt('buttress45-7', 5), leadingDeg: 7, trailingDeg: 45 };
    const [first] = look(mirrored, 5, 30).forms;
    expect(first).toMatchObject({ form: 'buttress45-7', flipped: true });
  });
  test('a maker’s own is none of them', () => {
    const own = specialForm(5, { leadingDeg: 22, trailingDeg: 22, depthMm: 2.2, crestFlatMm: 1.6 });
    const r = look(own, 5, 30);
    expect(r.forms[0]?.residual ?? NaN).toBeGreaterThan(5 * (r.ends?.residual ?? NaN));
  });
  test('all that are listed are known', () => {
    for (const f of look(formAt('iso60', 3), 3, 24).forms) expect(FORM_IDS).toContain(f.form);
  });
});

test('a flank behind its own crest: 3 degrees may be anything to about 4, and 7 is told', () => {
  const saw = look(formAt('sawtooth30-3', 6), 6, 32);
  expect(saw.left?.axialDeg).toBeNull();
  expect(saw.hidden.left?.fromDeg).toBe(0);
  expect(saw.hidden.left?.toDeg ?? NaN).toBeGreaterThanOrEqual(3);
  expect(saw.hidden.left?.toDeg ?? NaN).toBeLessThanOrEqual(5.5);
  expect(saw.hidden.right).toBeNull();
  const buttress = look(formAt('buttress45-7', 4), 4, 28);
  expect(buttress.left?.axialDeg ?? NaN).toBeCloseTo(7, 0);
  expect(buttress.hidden.left).toBeNull();
});

describe('a tool’s end', () => {
  const tool = { shankMm: 8, pxPerMm: 60, w: 1300, h: 900, noise: 0.01, seed: 4, pinMm: 2 };
  test.each([
    [60, { kind: 'flat', wide: 0.375 }, 0],
    [60, { kind: 'round', radius: 0.43 }, 8],
    [55, { kind: 'round', radius: 0.44 }, -20],
    [29, { kind: 'flat', wide: 1.8 }, 3],
  ] as const)('of %s degrees, %j, turned %s', (includedDeg, tip, turnDeg) => {
    const r = readTip(toolPicture({ ...tool, includedDeg, tip, turnDeg, blurPx: 1.1 }), { pxPerMm: null, pinMm: 2 });
    expect(r.asks).toEqual([]);
    expect(abs((r.includedDeg?.value ?? NaN) - includedDeg)).toBeLessThan(0.15);
    const size = r.tip ? (r.tip.kind === 'flat' ? r.tip.wide : r.tip.radius) : NaN;
    expect(r.tip?.kind).toBe(tip.kind);
    expect(abs(size / (r.pxPerMm?.value ?? NaN) - (tip.kind === 'flat' ? tip.wide : tip.radius))).toBeLessThan(0.02);
  });
  test('lying whole in the picture it asks for its shank; without a pin there is no scale', () => {
    const whole = toolPicture({ ...tool, includedDeg: 60, tip: { kind: 'flat', wide: 0.4 }, turnDeg: 0, blurPx: 1 });
    // cut off below, so that ground lies all about it
    for (let y = whole.h - 60; y < whole.h; y += 1) whole.data.fill(0.85, y * whole.w, (y + 1) * whole.w);
    expect(readTip(whole, { pxPerMm: null, pinMm: null }).asks).toEqual(['no-shank']);
    const r = readTip(
      toolPicture({ ...tool, includedDeg: 60, tip: { kind: 'flat', wide: 0.4 }, turnDeg: 0, blurPx: 1 }),
      {
        pxPerMm: null,
        pinMm: null,
      },
    );
    expect(r.pxPerMm).toBeNull();
    expect(r.includedDeg?.value ?? NaN).toBeCloseTo(60, 0);
  });
});
