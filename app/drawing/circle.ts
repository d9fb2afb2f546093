export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A place on a circle on the screen: so many degrees from its top, with the clock. */
export function onCircle(c: Spot, r: number, deg: number): Spot {
  const a = (deg * Math.PI) / 180;
  return { x: c.x + r * Math.sin(a), y: c.y - r * Math.cos(a) };
}
