import type { ScaleLinear } from 'd3-scale';
import { scaleLinear } from 'd3-scale';
import type { WearProfile } from '../../../core/evidence/wearMap.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useSystem } from '../../store/store.ts';

export const PLOT = { width: 680, left: 70, right: 14 } as const;
const H = 132;
const TOP = 12;
const BOTTOM = 10;

interface Props {
  readonly title: string;
  readonly profile: WearProfile;
  readonly x: ScaleLinear<number, number>;
  /** Place pointed at, mm; null when none is. */
  readonly positionMm: number | null;
  readonly onPoint: (e: React.MouseEvent<SVGSVGElement>) => void;
}

/** One kind of reading along the part: green where it is taken as unworn, brass where the travel has worn it. */
export function WearPlot({ title, profile, x, positionMm, onPoint }: Props) {
  const system = useSystem();
  const ds = profile.spots.map((s) => s.diameterMm);
  const spread = Math.max(0.1, Math.max(...ds) - Math.min(...ds));
  const y = scaleLinear([Math.min(...ds) - spread * 0.2, Math.max(...ds) + spread * 0.2], [H - BOTTOM, TOP]);
  const len = (mm: number): string => lengthText(mm, system, FINE);
  const band = ({ fromMm, toMm }: { readonly fromMm: number; readonly toMm: number }, fill: string) => (
    <rect
      x={x(fromMm) - 4}
      y={TOP}
      width={Math.max(8, x(toMm) - x(fromMm) + 8)}
      height={H - TOP - BOTTOM}
      fill={fill}
    />
  );
  return (
    <figure>
      <figcaption className="flex flex-wrap justify-between gap-x-3 text-sm text-ink2">
        <span>{title}</span>
        <span>
          reference {len(profile.referenceMm)}, worst {len(profile.worstMm)} gone
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${PLOT.width} ${H}`}
        className="w-full cursor-crosshair rounded-md bg-inset"
        onClick={onPoint}
        role="img"
        aria-label={`${title} along the part: ${profile.spots.length} places, worst ${len(profile.worstMm)} gone`}
      >
        {band(profile.unworn, 'var(--gosoft)')}
        {profile.used && band(profile.used, 'var(--looksoft)')}
        <path
          d={`M${PLOT.left} ${y(profile.referenceMm)}H${PLOT.width - PLOT.right}`}
          stroke="var(--go)"
          strokeDasharray="6 4"
        />
        <path
          d={profile.spots.map((s, i) => `${i === 0 ? 'M' : 'L'}${x(s.positionMm)} ${y(s.diameterMm)}`).join(' ')}
          fill="none"
          stroke="var(--blue)"
          strokeWidth="2"
        />
        {profile.spots.map((s, i) => (
          <circle key={i} cx={x(s.positionMm)} cy={y(s.diameterMm)} r="5" fill="var(--blue)" />
        ))}
        {y.ticks(3).map((t) => (
          <text key={t} x={PLOT.left - 6} y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--ink2)">
            {lengthText(t, system, { ...FINE, bare: true })}
          </text>
        ))}
        {positionMm !== null && <path d={`M${x(positionMm)} 4V${H - 4}`} stroke="var(--stop)" strokeWidth="2" />}
      </svg>
    </figure>
  );
}
