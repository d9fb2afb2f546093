import type { Limits } from '../../core/standards/limits.ts';
import type { Zone } from '../../core/job/zones.ts';
import { scaleLinear } from 'd3-scale';
import { FINE, HAND_STEP_IN, HAND_STEP_MM, lengthText } from '../../core/quantity/format.ts';
import { MM_PER_INCH, type UnitSystem } from '../../core/quantity/units.ts';
import { ZONE_NAMES } from '../../words/fit.ts';
import { Plate, type Size } from './Plate.tsx';
import { ZoneRow, ZonesLegend } from './ZoneRow.tsx';

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
  const step = system === 'mm' ? HAND_STEP_MM / 2 : (HAND_STEP_IN * MM_PER_INCH) / 2;
  return (
    <>
      <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {w >= NARROW ? 'Where each diameter may lie' : ''}
      </text>
      {zones.map((z, i) => (
        <ZoneRow
          key={z.diameter}
          zone={z}
          y={zoneRowY(h, zones.length, i)}
          along={along}
          from={left}
          to={w - edge}
          narrow={w < NARROW}
          onAim={aimed.includes(z.diameter) ? (mm) => onAim(z.diameter, mm) : null}
          {...{ make, step, spread, bare, w }}
        />
      ))}
      {w >= NARROW && <ZonesLegend y={h - 18} />}
    </>
  );
}
