import { lengthText } from '../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { stepsOfKey } from '../../ui/stepsOfKey.ts';
import type { Handle } from '../../drawing/headHandles.ts';

interface Props {
  readonly handle: Handle;
  /** Radius that a finger needs, in the drawing's mm. */
  readonly finger: number;
  readonly held: boolean;
  /** Whether it has been measured on this lathe. */
  readonly known: boolean;
  readonly system: UnitSystem;
  readonly onHold: () => void;
  readonly onDrag: (e: React.PointerEvent) => void;
  readonly onDrop: () => void;
  readonly onCancel: () => void;
  /** So many steps by key. */
  readonly onBy: (steps: number) => void;
}

/** A punched point of the headstock end, dragged or moved by key to where it is. */
export function EndPoint({ handle: h, finger, held, known, system, onHold, onDrag, onDrop, onCancel, onBy }: Props) {
  const text = h.unit === 'mm' ? lengthText(h.value, system, { stepMm: 0.1, stepIn: 0.005 }) : `${h.value}\u00b0`;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Point: ${h.label}`}
      aria-valuenow={Number(h.value.toFixed(2))}
      aria-valuetext={known ? text : `${text}, not measured yet`}
      style={{ touchAction: 'none', cursor: 'grab' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        onHold();
      }}
      onPointerMove={onDrag}
      onPointerUp={onDrop}
      onPointerCancel={onCancel}
      onKeyDown={(e) => {
        const n = stepsOfKey(e.key);
        if (n === undefined) return;
        e.preventDefault();
        onBy(n);
      }}
    >
      <circle cx={h.at.x} cy={h.at.y} r={finger} fill="transparent" />
      <circle cx={h.at.x} cy={h.at.y} r="4.2" fill="var(--scribe)" />
      <circle cx={h.at.x} cy={h.at.y} r="1.8" fill={held ? 'var(--straw)' : known ? 'var(--deep)' : 'var(--scribe)'} />
      {held && (
        <text
          x={h.at.x}
          y={h.at.y - 8}
          textAnchor="middle"
          fontSize="11"
          fontWeight="700"
          fontFamily="var(--font-mono)"
          fill="var(--straw)"
          stroke="var(--plate)"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {text}
        </text>
      )}
    </g>
  );
}
