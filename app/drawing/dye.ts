/** The same numbers for the same seed: a plate does not flicker when it is drawn again. */
function numbers(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** How far a bristle leaves bare metal at the two ends of a stroke, px; along it the brush holds the edge. */
const END_PX = 13;
const SIDE_PX = 3;

/**
 * The bare metal that the brush left at the edges of a plate, and its strokes. Drawn once for each size, as an image: the
 * page never holds a stroke.
 */
export function paintDye(canvas: HTMLCanvasElement, width: number, height: number, seed: number): void {
  const context = canvas.getContext('2d');
  if (!context || width < 1 || height < 1) return;
  canvas.width = width;
  canvas.height = height;
  const random = numbers(seed);
  context.fillStyle = '#c3cad0';
  // a brush's end is ragged, but neighbours go together
  for (const right of [false, true]) {
    let drift = 0.4;
    for (let y = 0; y < height; y += 2) {
      drift = Math.min(1, Math.max(0.1, drift + (random() - 0.5) * 0.35));
      const long = drift * END_PX * (0.35 + 0.65 * random());
      context.fillRect(right ? width - long : 0, y, long, 2);
    }
  }
  for (let x = 0; x < width; x += 3) {
    context.fillRect(x, 0, 3, random() ** 2 * SIDE_PX);
    const low = random() ** 2 * SIDE_PX;
    context.fillRect(x, height - low, 3, low);
  }
  for (let i = 0; i < height / 5; i += 1) {
    context.fillStyle = random() < 0.5 ? 'rgb(255 255 255 / 0.035)' : 'rgb(0 0 20 / 0.05)';
    context.fillRect(0, random() * height, width, 1 + random() * 2);
  }
}
