import type { ScaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { Zone } from '../../core/job/zones.ts';
import { ZONE_NAMES } from '../../words/fit.ts';
import { stepsOfKey } from '../ui/stepsOfKey.ts';

interface Asked {
  readonly zone: Zone;
  readonly make: 'external' | 'internal';
  /** Off the basic size in mm, to px. */
  readonly along: ScaleLinear<number, number>;
  /** Width of the plate, px. */
  readonly w: number;
  /** What a hand sets, mm. */
  readonly step: number;
  /** How far an aim goes where the standard leaves it open, mm. */
  readonly spread: number;
  readonly bare: (mm: number) => string;
  readonly onAim: ((mm: number) => void) | null;
}

/** An aim that is dragged, or moved with the arrow keys, within its limits. While it is dragged it is only here: `heldMm`. */
export function useAimHandle({ zone: z, make, along, w, step, spread, bare, onAim }: Asked) {
  const [heldMm, setHeldMm] = useState<number | null>(null);
  if (!onAim) return { heldMm: null, grip: null };
  const limits = make === 'external' ? z.screw : z.nut;
  const [min, max] = [limits?.min ?? z.basicMm - spread, limits?.max ?? z.basicMm + spread];
  const within = (mm: number): number => Math.min(max, Math.max(min, mm));
  const at = (e: React.PointerEvent<SVGGElement>): number => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const mm = box ? along.invert(((e.clientX - box.left) / box.width) * w) + z.basicMm : z.aimMm;
    return within(Math.round(mm / step) * step);
  };
  const grip = {
    role: 'slider',
    tabIndex: 0,
    'aria-label': `Aim for the ${ZONE_NAMES[z.diameter][make]}`,
    'aria-valuemin': min,
    'aria-valuemax': max,
    'aria-valuenow': z.aimMm,
    'aria-valuetext': bare(z.aimMm),
    style: { touchAction: 'none', cursor: 'ew-resize' } as const,
    onPointerDown: (e: React.PointerEvent<SVGGElement>) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      setHeldMm(z.aimMm);
    },
    onPointerMove: (e: React.PointerEvent<SVGGElement>) => {
      if (heldMm !== null) setHeldMm(at(e));
    },
    onPointerUp: () => {
      if (heldMm !== null && heldMm !== z.aimMm) onAim(Number(heldMm.toFixed(5)));
      setHeldMm(null);
    },
    onPointerCancel: () => setHeldMm(null),
    onKeyDown: (e: React.KeyboardEvent) => {
      const by = stepsOfKey(e.key);
      if (by === undefined) return;
      e.preventDefault();
      e.stopPropagation();
      onAim(Number(within(z.aimMm + by * step).toFixed(5)));
    },
  };
  return { heldMm, grip };
}
