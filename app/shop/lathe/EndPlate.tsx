import { type Whole, type Measures, armFrom } from './measures.ts';
import type { LathePanel } from './edit.ts';
import { useSystem } from '../../store/store.ts';
import { useRef, useState, useMemo } from 'react';
import { useSize } from '../../ui/useSize.ts';
import { headBox, HeadEnd } from '../../drawing/HeadEnd.tsx';
import { type Moved, type Handle, handlesOf } from '../../drawing/headHandles.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { movedLathe } from './moved.ts';
import { type Arm as Geometry, armOf, mountOn } from '../../../core/gearing/mounting/index.ts';
import { DyeCoat, PlateDefs } from '../../drawing/Plate.tsx';
import { EndPoint } from './EndPoint.tsx';
import { EndTyped } from './EndTyped.tsx';
import { measureOf, valueOf, movedOf } from './endMeasures.ts';

/** A finger needs this much, px, whatever the scale. */
const FINGER = 24;

/** Of the page of a lathe nobody has measured: a general form, drawn dashed, and nothing of it kept. */
const GENERAL: Whole = { centresMm: 120, fromMm: 40, toMm: 110, bossRadiusMm: 9, shaftRadiusMm: 11 };

const USUAL_LEAN = 28;

interface Props extends LathePanel {
  /** What was dragged or typed of an arm that is not whole yet. */
  readonly read: Measures;
  readonly onRead: (read: Measures) => void;
}

/** The headstock end as a drawing: its studs, slots, walls and leadscrew are dragged to where they are. */
export function EndPlate({ lathe, edit, read, onRead }: Props) {
  const system = useSystem();
  const svg = useRef<SVGSVGElement>(null);
  const figure = useRef<HTMLElement>(null);
  const room = useSize(figure, { w: 600, h: 500 });
  const [held, setHeld] = useState<{ readonly id: string; readonly moved: Moved | null } | null>(null);
  const [view, setView] = useState<ReturnType<typeof headBox> | null>(null);
  const measured = lathe.arm !== null;
  const kept: Lathe = measured ? lathe : { ...lathe, arm: armFrom({ ...GENERAL, ...given(read) }) };
  const shown = held?.moved ? movedLathe(kept, held.moved) : kept;
  const arm: Geometry = armOf({ ...shown, moduleMm: shown.moduleMm ?? 1.5 }) ?? {
    ...GENERAL,
    moduleMm: 1.5,
    slots: [],
  };
  const mount = useMemo(() => {
    const m = lathe.mounted && lathe.arm ? mountOn(lathe, lathe.mounted, false) : null;
    return m?.fits ? m : null;
  }, [lathe]);
  const leanDeg =
    mount?.armDeg ?? (arm.swing ? Math.max(arm.swing.fromDeg, Math.min(arm.swing.toDeg, USUAL_LEAN)) : USUAL_LEAN);
  // while something is dragged the drawing keeps its scale under the finger
  const box = view ?? headBox(arm);
  const handles = handlesOf(arm, leanDeg);
  const known = (h: Handle): boolean => {
    const key = measureOf(h.by(0));
    return measured || key === null || read[key] !== undefined;
  };

  const commit = (moved: Moved): void => {
    if (measured) edit('move a point of the arm', (l) => void Object.assign(l, movedLathe(l, moved)));
    else {
      const key = measureOf(moved);
      if (key !== null && 'mm' in moved) onRead({ ...read, [key]: moved.mm });
    }
  };
  const letGo = (): void => {
    setHeld(null);
    setView(null);
  };
  const placeOf = (e: React.PointerEvent) => {
    const m = svg.current?.getScreenCTM();
    return m ? new DOMPoint(e.clientX, e.clientY).matrixTransform(m.inverse()) : null;
  };
  const finger = (FINGER * box.w) / Math.max(room.w, 1);
  return (
    <figure ref={figure} className="plate on-plate relative overflow-hidden">
      <DyeCoat />
      <svg
        ref={svg}
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        className="relative block max-h-[32rem] w-full"
        role="group"
        aria-label="The headstock end, seen with the cover off"
        fontFamily="var(--font-sans)"
      >
        <PlateDefs />
        <HeadEnd arm={arm} leanDeg={leanDeg} measured={measured} mount={held ? null : mount} />
        <text x={0} y={(arm.shaftRadiusMm ?? 10) + 12} textAnchor="middle" fontSize="8" fill="var(--scribe)">
          spindle stud
        </text>
        <text
          x={arm.centresMm}
          y={(arm.shaftRadiusMm ?? 10) + 12}
          textAnchor="middle"
          fontSize="8"
          fill="var(--scribe)"
        >
          {lathe.kind === 'gearbox' ? 'gearbox input' : 'leadscrew'}
        </text>
        {handles
          .filter((h) => measured || !h.id.startsWith('beside'))
          .map((h) => (
            <EndPoint
              key={h.id}
              handle={h}
              finger={finger}
              held={held?.id === h.id}
              known={known(h)}
              system={system}
              onHold={() => {
                setView(box);
                setHeld({ id: h.id, moved: null });
              }}
              onDrag={(e) => {
                if (held?.id !== h.id) return;
                const p = placeOf(e);
                const from = handlesOf(armOf({ ...kept, moduleMm: 1.5 }) ?? arm, leanDeg).find((x) => x.id === h.id);
                if (p && from) setHeld({ id: h.id, moved: from.to(p) });
              }}
              onDrop={() => {
                if (held?.moved) commit(held.moved);
                letGo();
              }}
              onCancel={letGo}
              onBy={(n) => commit(h.by(n))}
            />
          ))}
      </svg>
      <EndTyped
        valueOf={(key) => (measured ? valueOf(kept.arm, key) : (read[key] ?? null))}
        onType={(key, mm) => commit(movedOf(key, mm))}
      />
      <figcaption className="relative px-4 pt-2 pb-3 text-scribe">
        {measured
          ? 'Drag a punched point, or type it.'
          : 'Not measured: a general form, dashed. Drag each point to where it is on this lathe, or type it; nothing is kept until all of it is said.'}
      </figcaption>
    </figure>
  );
}

const given = (m: Measures): Partial<Whole> => Object.fromEntries(Object.entries(m).filter(([, v]) => v !== undefined));
