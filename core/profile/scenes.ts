import { formAt, specialForm } from '../form/shape.ts';
import type { Grey } from './grey.ts';
import { pictureOf, type Shot, type Solid } from './render.ts';
import { solidOf } from './solid.ts';
import { toolPicture } from './toolScene.ts';

/** What lies before the simulated camera. */
export const SCENES = ['press', 'vice', 'special', 'pinned', 'soft', 'half'] as const;
/** One of SCENES. */
export type Scene = (typeof SCENES)[number];

/** Tools before it. */
export const TOOL_SCENES = ['tool-flat', 'tool-round'] as const;
/** One of TOOL_SCENES. */
export type ToolScene = (typeof TOOL_SCENES)[number];

interface Laid {
  readonly solid: Solid;
  /** Width of what is seen, mm. */
  readonly acrossMm: number;
  readonly shot: Partial<Shot>;
}
/** Invented parts: a press screw worn on its load flank, a vice screw worn in the middle, a maker's own thread, a plain bolt. */
const LAID: Readonly<Record<Scene, () => Laid>> = {
  press: () => ({
    solid: solidOf(formAt('sawtooth30-3', 8), {
      majorMm: 49.82,
      pitchMm: 8,
      worn: [{ flank: 'trailing', fromMm: -18, toMm: 14, lostMm: 0.62 }],
    }),
    acrossMm: 116,
    shot: { rotationDeg: 2.4 },
  }),
  vice: () => ({
    solid: solidOf(formAt('trapezoidal30', 6), {
      majorMm: 29.9,
      pitchMm: 6,
      worn: [{ flank: 'leading', fromMm: -10, toMm: 17, lostMm: 0.34 }],
    }),
    acrossMm: 92,
    shot: { rotationDeg: -1.6, uneven: 0.18 },
  }),
  special: () => ({
    solid: solidOf(
      specialForm(4.5, { leadingDeg: 20, trailingDeg: 20, depthMm: 2.3, crestFlatMm: 1.4, rootFlatMm: 1.42 }),
      { majorMm: 31.2, pitchMm: 4.5 },
    ),
    acrossMm: 70,
    shot: { rotationDeg: 1.1, scan: true },
  }),
  pinned: () => ({
    solid: solidOf(formAt('iso60', 3), { majorMm: 23.95, pitchMm: 3 }),
    acrossMm: 58,
    shot: { rotationDeg: -2.2, pin: { diameterMm: 2.5, atMm: [2, -15.3], longMm: 26, turnDeg: -1 } },
  }),
  soft: () => ({
    solid: solidOf(formAt('iso60', 1.5), { majorMm: 23.9, pitchMm: 1.5 }),
    acrossMm: 60,
    shot: { blurPx: 14, noise: 0.02 },
  }),
  half: () => {
    const whole = solidOf(formAt('trapezoidal30', 6), { majorMm: 40, pitchMm: 6 });
    return { solid: whole, acrossMm: 80, shot: { rotationDeg: 1.5, plainBelow: true } };
  },
};

/** Invented tools: one ground to a flat, one with a nose. */
const TOOLS = {
  'tool-flat': { includedDeg: 60, tip: { kind: 'flat', wide: 0.37 } },
  'tool-round': { includedDeg: 55, tip: { kind: 'round', radius: 0.44 } },
} as const;

/** Pictures are so wide, as to 1600; what a shot gives in px is for that. */
const DRAWN_AT = 1600;

/**
 * One look through the simulated camera. @param w width in px; its height is five eighths of it
 * @example lookAt('press', 320, 1).w // 320
 */
export function lookAt(scene: Scene | ToolScene, w: number, seed: number): Grey {
  if (scene === 'tool-flat' || scene === 'tool-round')
    return toolPicture({
      ...TOOLS[scene],
      shankMm: 8,
      turnDeg: 3,
      pxPerMm: w / 22,
      w,
      h: Math.round(w * 0.625),
      blurPx: Math.max(0.6, (1.1 * w) / DRAWN_AT),
      noise: 0.012,
      seed,
      pinMm: 2,
    });
  const { solid, acrossMm, shot } = LAID[scene]();
  const share = w / DRAWN_AT;
  return pictureOf(solid, {
    w,
    h: Math.round(w * 0.625),
    pxPerMm: w / acrossMm,
    rotationDeg: 0,
    noise: 0.012,
    scan: false,
    uneven: 0.1,
    dust: 14,
    ...shot,
    blurPx: Math.max(0.6, (shot.blurPx ?? 1.1) * share),
    seed,
  });
}
