/** A picture in grey, rows from the top; 0 black to 1 white. */
export interface Grey {
  readonly w: number;
  readonly h: number;
  readonly data: Float32Array;
}

/**
 * A picture made of its points, each from 0 (black) to 1.
 * @example greyOf(2, 1, (x) => x).w // 2
 */
export const greyOf = (w: number, h: number, at: (x: number, y: number) => number): Grey => {
  const data = new Float32Array(w * h);
  for (let y = 0; y < h; y += 1) for (let x = 0; x < w; x += 1) data[y * w + x] = at(x, y);
  return { w, h, data };
};

/**
 * Averaged over square blocks, so that it is at most so wide. @returns the small picture and the block's side
 * @example reduced({ w: 4, h: 2, data: new Float32Array(8) }, 2).small.w // 2
 */
export function reduced(g: Grey, most: number): { readonly small: Grey; readonly by: number } {
  const by = Math.max(1, Math.ceil(g.w / most));
  const [w, h] = [Math.floor(g.w / by), Math.floor(g.h / by)];
  const data = new Float32Array(w * h);
  const n = by * by;
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      let s = 0;
      for (let j = 0; j < by; j += 1) {
        const row = (y * by + j) * g.w + x * by;
        for (let i = 0; i < by; i += 1) s += g.data[row + i] ?? 0;
      }
      data[y * w + x] = s / n;
    }
  return { small: { w, h, data }, by };
}
