import { describe, expect, test } from '@jest/globals';
import { SHOT } from '../../app/testing/shot.ts';
import { readProfile } from './readProfile.ts';
import type { ProfileAskedFor, ProfileRead } from './types.ts';
import { pictureOf, type Shot, type Solid } from './render.ts';

const { abs, hypot, PI, tan } = Math;

/** A thread by its axial section: ridge's crest flat, flanks left and right of a ridge, depth. Invented sizes, standard angles. */
function solid(p: {
  pitch: number;
  major: number;
  left: number;
  right: number;
  depth: number;
  flat: number;
  starts?: number;
  worn?: (z: number) => number;
}): Solid {
  const [l, r] = [tan((p.left * PI) / 180), tan((p.right * PI) / 180)];
  return {
    majorMm: p.major,
    leadMm: p.pitch * (p.starts ?? 1),
    radiusAt: (z) => {
      const turn = z / p.pitch;
      const x = (turn - Math.floor(turn + 0.5)) * p.pitch;
      const lost = x < 0 ? (p.worn?.(z) ?? 0) : 0;
      const off = x < 0 ? (-x + lost - p.flat / 2) / l : (x - p.flat / 2) / r;
      return p.major / 2 - (off < 0 ? 0 : off > p.depth ? p.depth : off);
    },
  };
}
const M24 = { pitch: 3, major: 24, left: 30, right: 30, depth: 1.84, flat: 0.375 };
const ASK: ProfileAskedFor = { pxPerMm: 20, pinMm: null, knownMajorMm: null, starts: null, leadAngleDeg: null };
const look = (s: Solid, shot: Partial<Shot> = {}, ask: Partial<ProfileAskedFor> = {}): ProfileRead =>
  readProfile(pictureOf(s, { ...SHOT, ...shot }), { ...ASK, ...ask });

/** Within what is asked of a clean picture: pitch 0.1 %, flanks 0.3 degrees apparent and 0.5 axial, major 0.2 %, root 1.5 px. */
function right(r: ProfileRead, of: typeof M24, pxPerMm = SHOT.pxPerMm): void {
  expect(r.confident).toBe(true);
  expect(abs((r.pitchPx?.value ?? NaN) / pxPerMm / of.pitch - 1)).toBeLessThan(0.001);
  expect(abs((r.majorPx ?? NaN) / pxPerMm / of.major - 1)).toBeLessThan(0.002);
  for (const [side, deg] of [
    ['left', of.left],
    ['right', of.right],
  ] as const) {
    const f = r[side];
    // the axial section is what was drawn; the shadow is wider
    expect(abs((f?.axialDeg ?? NaN) - deg)).toBeLessThan(0.5);
    expect(f?.apparentDeg ?? NaN).toBeGreaterThan(deg - 0.3);
  }
  // the helix hides the root's bottom: the shadow's root lies at or above the section's, by little
  expect(((r.rootPx ?? NaN) - (of.major - 2 * of.depth) * pxPerMm) / 2).toBeGreaterThan(-1.5);
  expect(((r.rootPx ?? NaN) - (of.major - 2 * of.depth) * pxPerMm) / 2).toBeLessThan(1.5);
}

describe('clean pictures, over families', () => {
  test.each([
    ['60 degrees', M24],
    ['55 degrees, 8 tpi', { pitch: 3.175, major: 25.4, left: 27.5, right: 27.5, depth: 1.9, flat: 0.4 }],
    ['Acme', { pitch: 5.08, major: 28, left: 14.5, right: 14.5, depth: 2.54, flat: 1.88 }],
    ['trapezoidal', { pitch: 5, major: 28, left: 15, right: 15, depth: 2.75, flat: 1.83 }],
    ['buttress 7 and 45', { pitch: 4, major: 28, left: 7, right: 45, depth: 2.4, flat: 0.6 }],
  ])('%s', (_, of) => {
    right(look(solid(of), { rotationDeg: 3 }), of);
  });
  test('the two forms five degrees apart are told at once', () => {
    const sixty = look(solid({ ...M24, left: 30, right: 30 }));
    const whitworth = look(solid({ ...M24, left: 27.5, right: 27.5, depth: 1.9 }));
    const apart = (sixty.left?.axialDeg ?? 0) - (whitworth.left?.axialDeg ?? 0);
    expect(apart).toBeGreaterThan(6 * hypot(sixty.left?.uncertaintyDeg ?? 1, whitworth.left?.uncertaintyDeg ?? 1));
  });
});

test.each([
  ['level', {}],
  ['turned 7', { rotationDeg: 7 }],
  ['turned back 19', { rotationDeg: -19, h: 760 }],
  ['a scan', { scan: true, rotationDeg: 2 }],
  ['soft and noisy', { blurPx: 2, noise: 0.03, rotationDeg: 1 }],
  ['uneven light', { uneven: 0.25, rotationDeg: 5 }],
] as const)('the same thread, %s, gives the same answer', (_, shot) => {
  const r = look(solid(M24), shot);
  right(r, M24);
  expect(r.rotationDeg).toBeCloseTo('rotationDeg' in shot ? shot.rotationDeg : 0, 1);
  expect(r.startsSeen).toBe('odd');
});
test('at another scale the same in mm', () => {
  const r = look(solid(M24), { pxPerMm: 33, w: 1200, h: 1000 }, { pxPerMm: 33 });
  right(r, M24, 33);
});

test('scale from the outside just measured: what is known comes back, and the pitch with it', () => {
  const r = look(solid(M24), { rotationDeg: 5 }, { pxPerMm: null, knownMajorMm: 24 });
  const scale = r.pxPerMm?.value ?? NaN;
  expect((r.majorPx ?? NaN) / scale).toBeCloseTo(24, 6);
  expect((r.pitchPx?.value ?? NaN) / scale).toBeCloseTo(3, 2);
  const without = look(solid(M24), {}, { pxPerMm: null });
  expect(without.pxPerMm).toBeNull();
  // angles, and pitch over diameter, hold without any
  expect((without.pitchPx?.value ?? NaN) / (without.majorPx ?? NaN)).toBeCloseTo(3 / 24, 4);
});

test('a flank that the crest hides is not told', () => {
  const r = look(solid({ pitch: 6, major: 32, left: 3, right: 30, depth: 4.5, flat: 1.5 }), { w: 1000, h: 800 });
  expect(r.confident).toBe(true);
  expect(r.left?.axialDeg).toBeNull();
  // a 3 degree flank throws a shadow of about twice that, as the notes of the trade have it
  expect(r.left?.apparentDeg ?? NaN).toBeGreaterThan(5);
  expect(r.right?.axialDeg ?? NaN).toBeCloseTo(30, 0);
});

test('a taper is told on diameter, and its flanks are those of its axis', () => {
  const straight = solid(M24);
  // one in sixteen on diameter, growing to the right
  const tapered: Solid = { ...straight, radiusAt: (z) => straight.radiusAt(z) + z / 32 };
  const r = look(tapered, { rotationDeg: 2 });
  expect(r.taper ?? NaN).toBeCloseTo(1 / 16, 3);
  expect((r.majorPx ?? NaN) / SHOT.pxPerMm).toBeCloseTo(24, 1);
  expect(r.left?.axialDeg ?? NaN).toBeCloseTo(30, 0);
  expect(r.right?.axialDeg ?? NaN).toBeCloseTo(30, 0);
  expect(abs((r.pitchPx?.value ?? NaN) / SHOT.pxPerMm / 3 - 1)).toBeLessThan(0.001);
});

test('with one edge in view there is a pitch and no diameter; the lead angle gives the section', () => {
  const whole = pictureOf(solid(M24), { ...SHOT, rotationDeg: 2 });
  const rows = Math.round(SHOT.h / 2) + 30;
  const half = { w: whole.w, h: rows, data: whole.data.slice(0, rows * whole.w) };
  const r = readProfile(half, ASK);
  expect(r.confident).toBe(true);
  expect(r.pitchPx?.value ?? NaN).toBeCloseTo(60, 1);
  expect([r.majorPx, r.rootPx, r.startsSeen, r.taper, r.left?.axialDeg ?? null]).toEqual([
    null,
    null,
    null,
    null,
    null,
  ]);
  const leadAngleDeg = (Math.atan(3 / (PI * 22.16)) * 180) / PI;
  expect(readProfile(half, { ...ASK, leadAngleDeg }).left?.axialDeg ?? NaN).toBeCloseTo(30, 0);
});

describe('what bends a picture is found, taken out and said', () => {
  /** The picture as it would be were each of its places drawn from another. */
  const drawnFrom = (g: ReturnType<typeof pictureOf>, from: (x: number, y: number) => readonly [number, number]) => {
    const data = new Float32Array(g.data.length);
    const at = (x: number, y: number): number =>
      g.data[Math.max(0, Math.min(g.h - 1, y)) * g.w + Math.max(0, Math.min(g.w - 1, x))] ?? 0;
    for (let y = 0; y < g.h; y += 1)
      for (let x = 0; x < g.w; x += 1) {
        const [u, v] = from(x, y);
        const [i, j] = [Math.floor(u), Math.floor(v)];
        const [f, k] = [u - i, v - j];
        data[y * g.w + x] =
          (at(i, j) * (1 - f) + at(i + 1, j) * f) * (1 - k) + (at(i, j + 1) * (1 - f) + at(i + 1, j + 1) * f) * k;
      }
    return { w: g.w, h: g.h, data };
  };
  const [w, h] = [1200, 700];
  const straight = pictureOf(solid(M24), { ...SHOT, w, h });

  test('a bent part', () => {
    const r = readProfile(
      drawnFrom(straight, (x, y) => [x, y - 6 * ((2 * x) / w - 1) ** 2]),
      ASK,
    );
    expect(r.asks).toEqual(['bent']);
    right(r, M24);
  });
  test.each([
    ['barrel', 1],
    ['cushion', -1],
  ])('a lens that draws a %s', (_, sign) => {
    // 1.2 per cent at the ends
    const k = (sign * 0.012) / (w / 2) ** 2;
    const r = readProfile(
      drawnFrom(straight, (x, y) => {
        const [dx, dy] = [x - w / 2, y - h / 2];
        const f = 1 + k * (dx * dx + dy * dy);
        return [w / 2 + dx * f, h / 2 + dy * f];
      }),
      ASK,
    );
    expect(r.asks).toEqual(['bowed']);
    expect(Math.sign(r.warp?.barrelPx ?? 0)).toBe(-sign);
    expect(abs((r.pitchPx?.value ?? NaN) / 20 / 3 - 1)).toBeLessThan(0.002);
    expect(r.left?.axialDeg ?? NaN).toBeCloseTo(30, 0);
  });
  test('a camera that is not square: its growth is no taper', () => {
    const p = 0.01 / (w / 2);
    const r = readProfile(
      drawnFrom(straight, (x, y) => {
        const g = 1 / (1 + p * (x - w / 2));
        return [w / 2 + (x - w / 2) * g, h / 2 + (y - h / 2) * g];
      }),
      ASK,
    );
    expect(r.asks).toEqual(['not-square']);
    expect(abs(r.taper ?? NaN)).toBeLessThan(0.004);
    expect(abs((r.pitchPx?.value ?? NaN) / 20 / 3 - 1)).toBeLessThan(0.004);
  });
  test('a pitch that grows while the diameter does not is the part’s own', () => {
    const grown = solid(M24);
    const r = look({ ...grown, radiusAt: (z) => grown.radiusAt(z - 0.0006 * z * z) }, { w, h });
    expect(r.asks).toEqual(['lead-grows']);
    expect(r.warp?.leadGrows ?? 0).toBeGreaterThan(0);
  });
  test('a straight picture is left as it is', () => {
    expect(readProfile(straight, ASK).warp).toBeNull();
  });
  test('bent too far', () => {
    const r = readProfile(
      drawnFrom(straight, (x, y) => [x, y - 60 * ((2 * x) / w - 1) ** 2]),
      ASK,
    );
    expect(r.confident).toBe(false);
  });
});

test('two starts stand in step, and are asked about; the lead they make goes into the section', () => {
  const r = look(solid({ ...M24, starts: 2 }));
  expect(r.startsSeen).toBe('even');
  expect(r.asks).toContain('even-or-rings');
  expect(r.left?.axialDeg ?? NaN).toBeCloseTo(30, 0);
});

test('a worn stretch is seen, on the flank that wore, and the rest is read as if it were not there', () => {
  const worn = { ...M24, worn: (z: number): number => (z > 4 && z < 14 ? 0.18 : 0) };
  const r = look(solid(worn));
  right(r, M24);
  const left = r.wear.filter((w) => w.where === 'left');
  expect(left).toHaveLength(1);
  expect((left[0]?.lostPx ?? 0) / SHOT.pxPerMm).toBeCloseTo(0.18, 1);
  // the middle of the picture is z = 0
  expect(abs((left[0]?.fromPx ?? 0) / SHOT.pxPerMm - (4 + SHOT.w / 2 / SHOT.pxPerMm))).toBeLessThan(M24.pitch);
  expect(look(solid(M24)).wear).toEqual([]);
});

test('truth lies within two of its uncertainties in nearly all of many pictures', () => {
  let [inside, of] = [0, 0];
  for (let seed = 1; seed <= 8; seed += 1) {
    const shot = { seed, noise: 0.02, rotationDeg: (seed % 7) - 3, blurPx: 0.6 + (seed % 4) * 0.4, w: 700, h: 560 };
    const r = look(solid(M24), shot);
    const within = (value: number | null | undefined, u: number | null | undefined, truth: number): void => {
      of += 1;
      if (abs((value ?? NaN) - truth) <= 2 * (u ?? 0)) inside += 1;
    };
    within(r.pitchPx?.value, r.pitchPx?.uncertainty, 60);
    within(r.majorPx, r.diameterUncertaintyPx, 480);
    within(r.left?.axialDeg, r.left?.uncertaintyDeg, 30);
    within(r.right?.axialDeg, r.right?.uncertaintyDeg, 30);
  }
  expect(of).toBe(32);
  expect(inside).toBeGreaterThanOrEqual(0.93 * of);
});

describe('it says what it wants instead of guessing', () => {
  const nothing = (r: ProfileRead, why: string): void => {
    expect(r.confident).toBe(false);
    expect(r.asks).toEqual([why]);
    expect(r.pitchPx).toBeNull();
  };
  test('a plain shaft', () => {
    nothing(look({ majorMm: 24, leadMm: 1, radiusAt: () => 12 }, { rotationDeg: 5 }), 'nothing-repeats');
  });
  test('an empty picture', () => {
    nothing(look({ majorMm: 0, leadMm: 1, radiusAt: () => 0 }), 'no-part');
  });
  test('a knurl', () => {
    nothing(look(solid({ ...M24, left: 62, right: 62, depth: 0.7, flat: 0.2 })), 'knurl');
  });
  test('too soft for its depth', () => {
    nothing(look(solid({ pitch: 1, major: 24, left: 30, right: 30, depth: 0.6, flat: 0.1 }), { blurPx: 6 }), 'blurred');
  });
  test('a rack: teeth on one edge and the other plain', () => {
    const rack = solid(M24);
    const picture = pictureOf(rack, SHOT);
    // the lower half of the picture is that of a plain shaft
    const plain = pictureOf({ majorMm: 24, leadMm: 3, radiusAt: () => 11 }, SHOT);
    picture.data.set(plain.data.subarray((SHOT.h / 2) * SHOT.w), (SHOT.h / 2) * SHOT.w);
    nothing(readProfile(picture, ASK), 'rack');
  });
});

test('the silhouette of a helicoid is wider than its section by what the notes of the trade say', () => {
  // 60 degrees at 3 degrees of lead angle: + 0.1; a 14.5 degree Acme flank at 4 degrees reads 15.0
  const lead = (deg: number, d2: number): number => PI * d2 * tan((deg * PI) / 180);
  const at = (half: number, leadDeg: number, d2: number, depth: number, flat: number): number => {
    const pitch = lead(leadDeg, d2);
    const r = look(solid({ pitch, major: d2 + depth, left: half, right: half, depth, flat }), { w: 1200, h: 800 });
    return (r.left?.apparentDeg ?? NaN) - half;
  };
  expect(at(30, 3, 22, 2, 0.5)).toBeCloseTo(0.1, 1);
  expect(at(14.5, 4, 24, 2.6, 1.9)).toBeCloseTo(0.5, 0);
});
