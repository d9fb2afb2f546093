import { engagedOf, fitOfJob } from '../../../core/job/derive.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { Arrow, Compass } from '../../drawing/marks.tsx';
import { Plate, type Size } from '../../drawing/Plate.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';

type Act = 'mount' | 'measure' | 'touch';
const LABEL: Readonly<Record<Act, string>> = {
  mount: 'The work in the chuck, an indicator against it',
  measure: 'The work in the chuck, measured across',
  touch: 'The tool touching the surface',
};

/** The work in the chuck from above, headstock at the left, the person at the bottom; a nut is drawn cut through. */
export function PartPlate({ act }: { readonly act: Act }) {
  const { job } = useJobView();
  const u = useDialUnit();
  const fit = fitOfJob(job);
  const internal = job.intake.make === 'internal';
  const measured = useJobView().machine.metal.measuredMm;
  const diameterMm = measured ?? fit?.startDiameterMm ?? 30;
  const lengthMm = Math.max(engagedOf(job), diameterMm * 0.6);
  const figure =
    measured !== null ? lengthText(measured, u) : fit ? `\u2248 ${lengthText(fit.startDiameterMm, u)}` : '';
  return (
    <Plate
      label={`${LABEL[act]}, from above, headstock at the left`}
      draw={(size) => (
        <Drawing act={act} internal={internal} diameterMm={diameterMm} lengthMm={lengthMm} figure={figure} {...size} />
      )}
    />
  );
}

interface DrawProps extends Size {
  readonly act: Act;
  readonly internal: boolean;
  readonly diameterMm: number;
  readonly lengthMm: number;
  readonly figure: string;
}
function Drawing({ act, internal, diameterMm, lengthMm, figure, w, h }: DrawProps) {
  const left = w * 0.3;
  const wall = internal ? diameterMm * 0.28 : 0;
  const scale = Math.min((w - left - 50) / lengthMm, (h * 0.44) / (diameterMm + 2 * wall));
  const r = (diameterMm / 2) * scale;
  const outer = r + wall * scale;
  const axis = h * 0.44;
  const end = left + lengthMm * scale;
  const surface = axis + r;
  const x = left + (end - left) * 0.62;
  return (
    <>
      <Compass w={w} y={30} right="from above" />
      <rect
        x="14"
        y={axis - outer - 34}
        width={left * 0.55}
        height={2 * outer + 68}
        fill="url(#hatch)"
        stroke="var(--scribe2)"
      />
      {[-1, 1].map((s) => (
        <rect
          key={s}
          x={14 + left * 0.55}
          y={s < 0 ? axis - outer - 22 : axis + outer - 2}
          width={left * 0.45 + 26}
          height="24"
          fill="var(--deep)"
          stroke="var(--scribe2)"
        />
      ))}
      {internal ? (
        [-1, 1].map((s) => (
          <rect
            key={s}
            x={left}
            y={s < 0 ? axis - outer : axis + r}
            width={end - left}
            height={outer - r}
            fill="url(#hatch)"
            stroke="var(--scribe)"
            strokeWidth="2.5"
          />
        ))
      ) : (
        <rect
          x={left}
          y={axis - r}
          width={end - left}
          height={2 * r}
          fill="url(#hatch)"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
      )}
      <path d={`M6 ${axis}H${w - 10}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      {act === 'measure' && (
        <g stroke="var(--straw)" strokeWidth="3" fill="none">
          <path d={`M${x} ${axis - r}V${axis + r}`} />
          <path
            d={`M${x - 8} ${axis - r + 14}L${x} ${axis - r}L${x + 8} ${axis - r + 14}M${x - 8} ${axis + r - 14}L${x} ${axis + r}L${x + 8} ${axis + r - 14}`}
          />
        </g>
      )}
      {act === 'mount' && (
        <g stroke="var(--scribe)" strokeWidth="2.5" fill="var(--deep)">
          <path d={`M${x} ${internal ? surface : surface}V${surface + (internal ? -30 : 46)}`} />
          <circle cx={x} cy={surface + (internal ? -62 : 78)} r="32" />
          <path d={`M${x} ${surface + (internal ? -62 : 78)}l14 -18`} stroke="var(--straw)" strokeWidth="3.5" />
        </g>
      )}
      {act === 'touch' && (
        <g>
          <path
            d={
              internal
                ? `M${x} ${surface}l-20 -44h40zM${x - 20} ${surface - 44}h${w - x + 20}v-26h-${w - x + 20}z`
                : `M${x} ${surface}l-24 56v80h48v-80z`
            }
            fill="url(#steel)"
            stroke="var(--deep)"
          />
          <Arrow
            from={{ x: x + 60, y: internal ? surface - 50 : surface + 70 }}
            to={{ x: x + 60, y: internal ? surface - 6 : surface + 6 }}
          />
        </g>
      )}
      <text x="20" y={h - 24} fontSize="18" fill="var(--scribe)">
        {internal ? 'bore' : 'outside'}{' '}
        <tspan fontFamily="var(--font-mono)" fontWeight="700" fontSize="26">
          {figure}
        </tspan>
      </text>
      <text x={w - 20} y={h - 24} textAnchor="end" fontSize="16" fill="var(--scribe2)">
        {'you \u25be'}
      </text>
    </>
  );
}
