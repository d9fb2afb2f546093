import type { Quantity } from '../../core/evidence/evidence.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
import { sectionOf, type Section } from './section.ts';

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
interface Spot {
  readonly x: number;
  readonly y: number;
}
type Feature = 'crest' | 'root' | 'leading' | 'trailing';

/** The section through the lens, px: its line by features, and where each reading is taken on it. */
export interface LensShape {
  readonly pieces: readonly { readonly feature: Feature; readonly d: string }[];
  /** The whole line, to be closed on the side of the metal. */
  readonly line: string;
  readonly outerY: number;
  readonly innerY: number;
  readonly pitchPx: number;
  readonly at: Readonly<Partial<Record<Quantity, Spot>>>;
}

const RIDGES = 3;
/** What lies within this share of the depth from an end belongs to the crest or the root. */
const END = 0.07;
/** Most of the box that the depth may take: the body below it has to be seen. */
const DEEPEST = 0.62;
/** Where nothing is known: no promise of a form, only a crest and a root. */
const UNKNOWN = { depthOfPitch: 0.5 };

/** On a nut the outer line is the root and the inner one the crest. */
const featureOf = (outer: boolean, side: 'external' | 'internal'): Feature =>
  outer === (side === 'external') ? 'crest' : 'root';

const unknown: Section = {
  points: Array.from({ length: 2 * RIDGES + 1 }, (_, i) => ({ x: i / 2, y: i % 2 === 0 ? UNKNOWN.depthOfPitch : 0 })),
  width: RIDGES,
  depth: UNKNOWN.depthOfPitch,
};

/** The tooth true to the proportion of its form, from groove to groove, in a box. The free end of a screw lies to the right. */
export function lensShape(thread: ThreadSpec | null, side: 'external' | 'internal', box: Box): LensShape {
  const { points, width, depth } = thread ? sectionOf(thread, side, RIDGES) : unknown;
  const scale = Math.min(box.w / width, (box.h * DEEPEST) / depth);
  const left = box.x + (box.w - width * scale) / 2;
  const metal = box.h - depth * scale;
  const outerY = box.y + (side === 'external' ? metal * 0.32 : metal * 0.62);
  const px = points.map((p) => ({ x: left + p.x * scale, y: outerY + p.y * scale }));
  const innerY = outerY + depth * scale;
  const near = END * (innerY - outerY);
  const pieces: { feature: Feature; d: string }[] = [];
  const to = (p: Spot): string => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
  px.slice(1).forEach((b, i) => {
    const a = px[i] as Spot;
    const feature: Feature =
      a.y <= outerY + near && b.y <= outerY + near
        ? featureOf(true, side)
        : a.y >= innerY - near && b.y >= innerY - near
          ? featureOf(false, side)
          : b.y > a.y
            ? 'leading'
            : 'trailing';
    const last = pieces.at(-1);
    if (last?.feature === feature) last.d += `L${to(b)}`;
    else pieces.push({ feature, d: `M${to(a)}L${to(b)}` });
  });
  const pitchPx = (width * scale) / RIDGES;
  const crestX = (n: number): number => left + (n + 0.5) * pitchPx;
  const rootX = (n: number): number => left + n * pitchPx;
  const middle = (outerY + innerY) / 2;
  const flankX = (feature: Feature, n: number): number => {
    const on = px.filter((p) => Math.abs(p.y - middle) < (innerY - outerY) * 0.5 + 1);
    const after = feature === 'leading' ? crestX(n) : rootX(n);
    const before = feature === 'leading' ? rootX(n + 1) : crestX(n);
    const within = on.filter((p) => p.x >= after - 0.5 && p.x <= before + 0.5);
    const a = within[0];
    const b = within.at(-1);
    return a && b ? (a.x + b.x) / 2 : (after + before) / 2;
  };
  const external = side === 'external';
  // crest and root of what is read: of a nut the crest is the inner end
  const [crest, root] = external
    ? [
        { x: crestX(1), y: outerY },
        { x: rootX(2), y: innerY },
      ]
    : [
        { x: rootX(2), y: innerY },
        { x: crestX(1), y: outerY },
      ];
  return {
    pieces,
    line: px.map((p, i) => `${i === 0 ? 'M' : 'L'}${to(p)}`).join(''),
    outerY,
    innerY,
    pitchPx,
    at: {
      majorDiameter: { x: crestX(0), y: outerY },
      pitchDiameter: { x: flankX('trailing', 0), y: middle },
      minorDiameter: { x: rootX(0), y: innerY },
      overWires: { x: rootX(1), y: middle },
      crestCount: { x: crestX(0) + pitchPx / 2, y: outerY },
      pitchLeaf: { x: crestX(1), y: outerY },
      lead: { x: crestX(2), y: outerY },
      flankAngle: { x: rootX(RIDGES) - pitchPx * 0.12, y: middle },
      leadingFlank: { x: flankX('leading', 2), y: middle },
      trailingFlank: { x: flankX('trailing', 2), y: middle },
      depth: { x: rootX(RIDGES), y: innerY },
      crestFlat: crest,
      crestRadius: crest,
      rootFlat: root,
      rootRadius: root,
    },
  };
}
