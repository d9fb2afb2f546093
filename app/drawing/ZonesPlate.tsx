import type { Limits } from '../../core/standards/limits.ts';
import type { Zone } from '../../core/job/zones.ts';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { FINE, HAND_STEP_IN, HAND_STEP_MM, lengthText } from '../../core/quantity/format.ts';
import { MM_PER_INCH, type UnitSystem } from '../../core/quantity/units.ts';
import { ZONE_NAMES } from '../../words/fit.ts';
import { Punched } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';

type Diameter = Zone['diameter'];

interface Props {
  readonly zones: readonly Zone[];
  readonly make: 'external' | 'internal';
  readonly system: UnitSystem;
  /** Those whose aim is dragged; the third follows from them. */
  readonly aimed: readonly Diameter[];
  readonly onAim: (d: Diameter, mm: number) => void;
  /** Room kept at the right for what is typed there, px; 0: it stands elsewhere. */
  readonly right: number;
}

/** Where each row of the plate lies, px. */
export const zoneRowY = (h: number, rows: number, i: number): number => TOP + ((h - TOP - FOOT) / rows) * (i + 0.55);

/** Where each diameter may lie: nut white above its line, screw hatched below, the aim in straw, what was measured punched. */
export function ZonesPlate(p: Props) {
  const bare = (mm: number): string => lengthText(mm, p.system, { ...FINE, bare: true });
  const label = `Where each diameter may lie. ${p.zones
    .map(
      (z) =>
        `${ZONE_NAMES[z.diameter][p.make]}: aim ${bare(z.aimMm)}${z.readMm === null ? '' : `, measured ${bare(z.readMm)}`}`,
    )
    .join('; ')}`;
  return (
    <Plate
      label={label}
      role="group"
      className="absolute! inset-0 border-0!"
      draw={(size) => <Drawing {...p} bare={bare} {...size} />}
    />
  );
}

const NARROW = 640;
/** Room for the figures beside the outermost bars, as a share of what is shown. */
const PAD = 0.12;
const TOP = 54;
const FOOT = 44;

/** All three on one scale, each about its own basic size: the zones can be compared. */
function Drawing({
  zones,
  make,
  system,
  aimed,
  onAim,
  right,
  bare,
  w,
  h,
}: Props & Size & { readonly bare: (mm: number) => string }) {
  // while it is dragged the aim is only here
  const [held, setHeld] = useState<{ readonly d: Diameter; readonly mm: number } | null>(null);
  const ends = (l: Limits | null): number[] => [l?.min, l?.max].filter((x): x is number => typeof x === 'number');
  const off = zones.flatMap((z) =>
    [...ends(z.screw), ...ends(z.nut), z.aimMm, ...(z.readMm === null ? [] : [z.readMm])].map((x) => x - z.basicMm),
  );
  const low = Math.min(0, ...off);
  const high = Math.max(0, ...off);
  const spread = Math.max(high - low, 0.02);
  const left = w < NARROW ? 24 : 150;
  const edge = right + 60;
  // off the basic size
  const along = scaleLinear([low - spread * PAD, low + spread * (1 + PAD)], [left, w - edge]);
  const x = (z: Zone, mm: number): number => along(mm - z.basicMm);
  const step = system === 'mm' ? HAND_STEP_MM / 2 : (HAND_STEP_IN * MM_PER_INCH) / 2;
  const handle = (z: Zone) => {
    const limits = make === 'external' ? z.screw : z.nut;
    const [min, max] = [limits?.min ?? z.basicMm - spread, limits?.max ?? z.basicMm + spread];
    const within = (mm: number): number => Math.min(max, Math.max(min, mm));
    const at = (e: React.PointerEvent<SVGGElement>): number => {
      const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
      const mm = box ? along.invert(((e.clientX - box.left) / box.width) * w) + z.basicMm : z.aimMm;
      return within(Math.round(mm / step) * step);
    };
    return {
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
        setHeld({ d: z.diameter, mm: z.aimMm });
      },
      onPointerMove: (e: React.PointerEvent<SVGGElement>) => {
        if (held?.d === z.diameter) setHeld({ d: z.diameter, mm: at(e) });
      },
      onPointerUp: () => {
        if (held && held.mm !== z.aimMm) onAim(z.diameter, Number(held.mm.toFixed(5)));
        setHeld(null);
      },
      onPointerCancel: () => setHeld(null),
      onKeyDown: (e: React.KeyboardEvent) => {
        const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 10, PageDown: -10 }[e.key];
        if (by === undefined) return;
        e.preventDefault();
        e.stopPropagation();
        onAim(z.diameter, Number(within(z.aimMm + by * step).toFixed(5)));
      },
    };
  };
  return (
    <>
      <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {w >= NARROW ? 'Where each diameter may lie' : ''}
      </text>
      {zones.map((z, i) => {
        const y = zoneRowY(h, zones.length, i);
        const aimMm = held?.d === z.diameter ? held.mm : z.aimMm;
        const grip = aimed.includes(z.diameter) ? handle(z) : null;
        const bar = (l: Limits | null, nut: boolean) =>
          l && (
            <rect
              x={l.min === null ? left : x(z, l.min)}
              y={nut ? y - 24 : y}
              width={Math.max(3, (l.max === null ? w - edge : x(z, l.max)) - (l.min === null ? left : x(z, l.min)))}
              height="24"
              fill={nut ? '#ffffff' : 'url(#hatch)'}
              stroke={nut ? 'none' : 'var(--scribe)'}
              strokeWidth="1.5"
              // open to one side: the standard leaves it
              strokeDasharray={l.min === null || l.max === null ? '5 4' : undefined}
              opacity={nut && (l.min === null || l.max === null) ? 0.6 : 1}
            />
          );
        return (
          <g key={z.diameter} fontFamily="var(--font-mono)" fill="var(--scribe)">
            <text x="22" y={w < NARROW ? y - 62 : y + 5} fontSize="16" fontFamily="var(--font-sans)" fontWeight="600">
              {ZONE_NAMES[z.diameter][make]}
            </text>
            <path d={`M${left} ${y}H${w - edge}`} stroke="var(--scribe2)" />
            {bar(z.screw, false)}
            {bar(z.nut, true)}
            <path
              d={`M${x(z, z.basicMm)} ${y - 32}V${y + 42}`}
              stroke="var(--scribe2)"
              strokeWidth="1.5"
              strokeDasharray="10 3 2 3"
            />
            <text x={x(z, z.basicMm)} y={y + 54} fontSize="14" textAnchor="middle" fill="var(--scribe2)">
              {bare(z.basicMm)}
            </text>
            {w >= NARROW &&
              [z.screw, z.nut].map(
                (l, k) =>
                  l && (
                    <g key={k} fontSize="14" fill="var(--scribe2)">
                      {l.min !== null && l.min !== z.basicMm && (
                        <text x={x(z, l.min) - 5} y={k ? y - 8 : y + 18} textAnchor="end">
                          {bare(l.min)}
                        </text>
                      )}
                      {l.max !== null && (
                        <text x={x(z, l.max) + 5} y={k ? y - 8 : y + 18}>
                          {bare(l.max)}
                        </text>
                      )}
                    </g>
                  ),
              )}
            <g {...grip}>
              {grip && <rect x={x(z, aimMm) - 26} y={y - 36} width="52" height="72" fill="transparent" />}
              <rect
                x={x(z, aimMm) - (grip ? 6 : 3)}
                y={y - 30}
                width={grip ? 12 : 6}
                height="60"
                rx="2"
                fill="var(--straw)"
                stroke="#17130a"
              />
              {grip && (
                <path
                  d={`M${x(z, aimMm) - 12} ${y}l-7 -6v12zM${x(z, aimMm) + 12} ${y}l7 -6v12z`}
                  fill="var(--straw)"
                  stroke="#17130a"
                />
              )}
            </g>
            {held?.d === z.diameter && (
              <text
                x={x(z, aimMm)}
                y={y - 42}
                fontSize="20"
                fontWeight="700"
                textAnchor="middle"
                fill="var(--straw)"
                stroke="var(--plate)"
                strokeWidth="5"
                paintOrder="stroke"
              >
                {bare(aimMm)}
              </text>
            )}
            {z.readMm !== null && (
              <>
                <Punched x={x(z, z.readMm)} y={y} r={8} />
                <text x={x(z, z.readMm)} y={y + 28} fontSize="15" fontWeight="700" textAnchor="middle">
                  {bare(z.readMm)}
                </text>
              </>
            )}
          </g>
        );
      })}
      {w >= NARROW && <Legend y={h - 18} />}
    </>
  );
}

function Legend({ y }: { readonly y: number }) {
  return (
    <g fontSize="15" fill="var(--scribe)">
      <rect x="22" y={y - 12} width="18" height="14" fill="#ffffff" />
      <text x="46" y={y}>
        nut may lie
      </text>
      <rect x="142" y={y - 12} width="18" height="14" fill="url(#hatch)" stroke="var(--scribe)" />
      <text x="166" y={y}>
        screw may lie
      </text>
      <rect x="278" y={y - 13} width="7" height="16" fill="var(--straw)" stroke="#17130a" />
      <text x="294" y={y}>
        aim
      </text>
      <Punched x={342} y={y - 5} />
      <text x="356" y={y}>
        measured
      </text>
      <path d={`M446 ${y - 14}v18`} stroke="var(--scribe2)" strokeDasharray="10 3 2 3" />
      <text x="456" y={y}>
        basic
      </text>
    </g>
  );
}
