import type { Limits } from '../../core/standards/limits/index.ts';
import type { Zone } from '../../core/job/zones.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { ZONE_NAMES } from '../../words/fit.ts';
import { Punched } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly zones: readonly Zone[];
  readonly make: 'external' | 'internal';
  readonly system: UnitSystem;
}

/** Where each diameter may lie: nut white above its line, screw hatched below, the aim in straw, what was measured punched. */
export function ZonesPlate({ zones, make, system }: Props) {
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const label = `Where each diameter may lie. ${zones
    .map(
      (z) =>
        `${ZONE_NAMES[z.diameter][make]}: aim ${bare(z.aimMm)}${z.readMm === null ? '' : `, measured ${bare(z.readMm)}`}`,
    )
    .join('; ')}`;
  return (
    <Plate
      label={label}
      className="h-[27.5rem] w-full"
      draw={(size) => <Drawing zones={zones} make={make} bare={bare} {...size} />}
    />
  );
}

const TOP = 54;
const FOOT = 44;

/** All three on one scale, each about its own basic size: the zones can be compared. */
function Drawing({
  zones,
  make,
  bare,
  w,
  h,
}: Omit<Props, 'system'> & Size & { readonly bare: (mm: number) => string }) {
  const ends = (l: Limits | null): number[] => [l?.min, l?.max].filter((x): x is number => typeof x === 'number');
  const off = zones.flatMap((z) =>
    [...ends(z.screw), ...ends(z.nut), z.aimMm, ...(z.readMm === null ? [] : [z.readMm])].map((x) => x - z.basicMm),
  );
  const low = Math.min(0, ...off);
  const high = Math.max(0, ...off);
  const spread = Math.max(high - low, 0.02);
  const left = 150;
  const right = 90;
  const x = (z: Zone, mm: number): number =>
    left + ((mm - z.basicMm - low + spread * 0.04) / (spread * 1.08)) * (w - left - right);
  const row = (h - TOP - FOOT) / zones.length;
  return (
    <>
      <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
        Where each diameter may lie
      </text>
      {zones.map((z, i) => {
        const y = TOP + row * (i + 0.55);
        const bar = (l: Limits | null, nut: boolean) =>
          l && (
            <rect
              x={l.min === null ? left : x(z, l.min)}
              y={nut ? y - 24 : y}
              width={Math.max(3, (l.max === null ? w - right : x(z, l.max)) - (l.min === null ? left : x(z, l.min)))}
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
            <text x="22" y={y + 5} fontSize="16" fontFamily="var(--font-sans)" fontWeight="600">
              {ZONE_NAMES[z.diameter][make]}
            </text>
            <path d={`M${left} ${y}H${w - right}`} stroke="var(--scribe2)" />
            {bar(z.screw, false)}
            {bar(z.nut, true)}
            <path
              d={`M${x(z, z.basicMm)} ${y - 32}V${y + 34}`}
              stroke="var(--scribe2)"
              strokeWidth="1.5"
              strokeDasharray="10 3 2 3"
            />
            <text x={x(z, z.basicMm)} y={y + 46} fontSize="14" textAnchor="middle" fill="var(--scribe2)">
              {bare(z.basicMm)}
            </text>
            <rect x={x(z, z.aimMm) - 4} y={y - 29} width="8" height="58" fill="var(--straw)" stroke="#17130a" />
            <text x={x(z, z.aimMm)} y={y - 36} fontSize="20" fontWeight="700" textAnchor="middle" fill="var(--straw)">
              {bare(z.aimMm)}
            </text>
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
      <Legend y={h - 18} />
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
