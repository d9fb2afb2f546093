import type { ScaleLinear } from 'd3-scale';
import type { Zone } from '../../core/job/zones.ts';
import type { Limits } from '../../core/standards/limits.ts';
import { ZONE_NAMES } from '../../words/fit.ts';
import { Punched } from './marks.tsx';
import { useAimHandle } from './useAimHandle.ts';

interface Props {
  readonly zone: Zone;
  readonly make: 'external' | 'internal';
  readonly y: number;
  /** Off the basic size in mm, to px. */
  readonly along: ScaleLinear<number, number>;
  /** Where the row begins and ends, and the whole plate's width, px. */
  readonly from: number;
  readonly to: number;
  readonly w: number;
  readonly narrow: boolean;
  readonly step: number;
  readonly spread: number;
  readonly bare: (mm: number) => string;
  /** Null: the aim follows from the others. */
  readonly onAim: ((mm: number) => void) | null;
}

/** One diameter about its basic size: nut above the line, screw below, the aim to drag, what was measured. */
export function ZoneRow({ zone: z, make, y, along, from, to, w, narrow, step, spread, bare, onAim }: Props) {
  const { heldMm, grip } = useAimHandle({ zone: z, make, along, w, step, spread, bare, onAim });
  const aimMm = heldMm ?? z.aimMm;
  const x = (mm: number): number => along(mm - z.basicMm);
  const bar = (l: Limits | null, nut: boolean) =>
    l && (
      <rect
        x={l.min === null ? from : x(l.min)}
        y={nut ? y - 24 : y}
        width={Math.max(3, (l.max === null ? to : x(l.max)) - (l.min === null ? from : x(l.min)))}
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
    <g fontFamily="var(--font-mono)" fill="var(--scribe)">
      <text x="22" y={narrow ? y - 62 : y + 5} fontSize="16" fontFamily="var(--font-sans)" fontWeight="600">
        {ZONE_NAMES[z.diameter][make]}
      </text>
      <path d={`M${from} ${y}H${to}`} stroke="var(--scribe2)" />
      {bar(z.screw, false)}
      {bar(z.nut, true)}
      <path
        d={`M${x(z.basicMm)} ${y - 32}V${y + 42}`}
        stroke="var(--scribe2)"
        strokeWidth="1.5"
        strokeDasharray="10 3 2 3"
      />
      <text x={x(z.basicMm)} y={y + 54} fontSize="14" textAnchor="middle" fill="var(--scribe2)">
        {bare(z.basicMm)}
      </text>
      {!narrow &&
        [z.screw, z.nut].map(
          (l, k) =>
            l && (
              <g key={k} fontSize="14" fill="var(--scribe2)">
                {l.min !== null && bare(l.min) !== bare(z.basicMm) && (
                  <text x={x(l.min) - 5} y={k ? y - 8 : y + 18} textAnchor="end">
                    {bare(l.min)}
                  </text>
                )}
                {l.max !== null && (
                  <text x={x(l.max) + 5} y={k ? y - 8 : y + 18}>
                    {bare(l.max)}
                  </text>
                )}
              </g>
            ),
        )}
      <g {...grip}>
        {grip && <rect x={x(aimMm) - 26} y={y - 36} width="52" height="72" fill="transparent" />}
        <rect
          x={x(aimMm) - (grip ? 6 : 3)}
          y={y - 30}
          width={grip ? 12 : 6}
          height="60"
          rx="2"
          fill="var(--straw)"
          stroke="#17130a"
        />
        {grip && (
          <path
            d={`M${x(aimMm) - 12} ${y}l-7 -6v12zM${x(aimMm) + 12} ${y}l7 -6v12z`}
            fill="var(--straw)"
            stroke="#17130a"
          />
        )}
      </g>
      {heldMm !== null && (
        <text
          x={x(aimMm)}
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
          <Punched x={x(z.readMm)} y={y} r={8} />
          <text x={x(z.readMm)} y={y + 28} fontSize="15" fontWeight="700" textAnchor="middle">
            {bare(z.readMm)}
          </text>
        </>
      )}
    </g>
  );
}

/** What each mark means. */
export function ZonesLegend({ y }: { readonly y: number }) {
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
