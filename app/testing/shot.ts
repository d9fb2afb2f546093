import type { Shot } from '../../core/profile/render.ts';

/** A clean picture, at 20 px a mm, of which a test changes what it is about. */
export const SHOT: Shot = {
  w: 900,
  h: 620,
  pxPerMm: 20,
  rotationDeg: 0,
  blurPx: 0.8,
  noise: 0.008,
  scan: false,
  uneven: 0,
  seed: 7,
};
