import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { laterAnswerer } from '../../cli/answer.ts';
import { profileOp } from '../../ops/profile.ts';
import { greyOf, type Grey } from './grey.ts';
import { pictureOf } from './render.ts';

const { abs, floor, hypot, tan, PI } = Math;
const HALF = tan(PI / 6);
/** M24x3, its crests 0.375 mm wide, with a round pin of 3 mm beside it. */
const PX = 20;
const thread = (): Grey => {
  const g = pictureOf(
    {
      majorMm: 24,
      leadMm: 3,
      radiusAt: (z) => {
        const x = abs((z / 3 - floor(z / 3 + 0.5)) * 3);
        const off = (x - 0.1875) / HALF;
        return 12 - (off < 0 ? 0 : off > 1.84 ? 1.84 : off);
      },
    },
    { w: 900, h: 760, pxPerMm: PX, rotationDeg: 3, blurPx: 0.8, noise: 0.008, scan: false, uneven: 0, seed: 3 },
  );
  const pin = 1.5 * PX;
  return greyOf(g.w, g.h, (x, y) => {
    const off = hypot(x + 0.5 - 60, y + 0.5 - 45) - pin;
    const light = off > 1 ? 1 : off < -1 ? 0 : (off + 1) / 2;
    const here = g.data[y * g.w + x] ?? 0;
    const inked = 0.1 + 0.75 * light;
    return here < inked ? here : inked;
  });
};
let dir = '';
const answer = laterAnswerer(profileOp);
const ask = async (file: string, more: object = {}): Promise<{ ok: boolean; reply: Record<string, unknown> }> =>
  (await answer(JSON.stringify({ file: join(dir, file), ...more }))) as never;

beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), 'gelvin-'));
  const g = thread();
  const bytes = Buffer.from(Uint8Array.from(g.data, (v) => v * 255));
  const raw = { raw: { width: g.w, height: g.h, channels: 1 as const } };
  await sharp(bytes, raw).png().toFile(join(dir, 'p.png'));
  await sharp(bytes, raw).jpeg({ quality: 92 }).toFile(join(dir, 'p.jpg'));
  await sharp(bytes, raw).webp({ quality: 92 }).toFile(join(dir, 'p.webp'));
  // lying on its side in the file, and a tag that says how to hold it
  await sharp(bytes, raw)
    .rotate(90)
    .jpeg({ quality: 92 })
    .withMetadata({ orientation: 8 })
    .toFile(join(dir, 'tag.jpg'));
  writeFileSync(join(dir, 'no.png'), 'no picture');
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

test.each(['p.png', 'p.jpg', 'p.webp', 'tag.jpg'])('%s: the same thread', async (file) => {
  const { ok, reply } = await ask(file, { pxPerMm: PX });
  expect(ok).toBe(true);
  expect(reply).toMatchObject({
    confident: true,
    asks: [],
    startsSeen: 'odd',
    majorMm: expect.closeTo(24, 1),
    left: { axialDeg: expect.closeTo(30, 0) },
    wear: [],
    crestFlatMm: expect.closeTo(0.375, 1),
    crestRadiusMm: null,
    fit: { designation: 'M24' },
  });
  expect(abs(((reply['pitchMm'] as { value: number }).value ?? NaN) / 3 - 1)).toBeLessThan(0.001);
  // d2 of the shape that was drawn: the crest is 0.375 mm wide, so half a pitch 1.125 / 2 tan 30 below it; the shadow a little over
  expect(abs((reply['apparentPitchDiameterMm'] as number) - (24 - 1.125 / HALF))).toBeLessThan(0.08);
});

test('a pin beside it is found, and gives the scale', async () => {
  const { reply } = await ask('p.png', { pinMm: 3 });
  const scale = reply['pxPerMm'] as { value: number; uncertainty: number };
  expect(abs(scale.value / PX - 1)).toBeLessThan(0.01);
  expect(scale.uncertainty).toBeGreaterThan(0.001 * PX);
  expect(abs((reply['majorMm'] as number) - 24)).toBeLessThan(0.25);
  // without a scale there are no millimetres
  expect((await ask('p.png')).reply).toMatchObject({ pxPerMm: null, pitchMm: null, majorMm: null });
});

test('what is no picture, or not there, or has no thread in it, is said', async () => {
  expect(await ask('no.png')).toMatchObject({ ok: false, reply: { problem: { field: 'file' } } });
  expect(await ask('nobody.png')).toMatchObject({ ok: false, reply: { problem: { field: 'file' } } });
  await sharp({ create: { width: 300, height: 200, channels: 3, background: '#eee' } })
    .png()
    .toFile(join(dir, 'empty.png'));
  const { ok, reply } = await ask('empty.png');
  expect(ok).toBe(true);
  expect(reply).toMatchObject({ confident: false, pitchPx: null });
  expect((reply['asks'] as string[])[0]).toMatch(/lamp behind it/);
});
