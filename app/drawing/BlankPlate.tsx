import type { BlankCode, BlankSheet } from '../../core/job/blankSheet.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { BLANK_NAMES, blankFigureText } from '../../words/blank.ts';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly sheet: BlankSheet;
  readonly system: UnitSystem;
}

/** The blank with its dimensions, drawn in proportion where they are known. */
export function BlankPlate(p: Props) {
  const said = p.sheet.figures.map((f) => `${BLANK_NAMES[f.code]} ${blankFigureText(f, p.system).figure}`).join('; ');
  return <Plate label={`The blank: ${said}`} className="min-h-96" draw={(size) => <Drawing {...p} {...size} />} />;
}

function Drawing({ sheet, system, w, h }: Props & Size) {
  const of = (code: BlankCode): number | null => sheet.figures.find((f) => f.code === code)?.value ?? null;
  const text = (code: BlankCode): string => {
    const f = sheet.figures.find((g) => g.code === code);
    return f ? blankFigureText(f, system).figure : '';
  };
  const nut = sheet.make === 'internal';
  const main = of(nut ? 'bore' : 'blank') ?? 1;
  const axis = h * 0.5;
  const left = 90;
  const right = w - 130;
  const length = of(nut ? 'nut-length' : 'thread-length') ?? main * 1.6;
  const groove = of(nut ? 'relief-width' : 'groove-width') ?? 0;
  const chamfer = nut ? (of('countersink') ?? main) : (of('start-chamfer') ?? main);
  const relief = of(nut ? 'relief-diameter' : 'groove-diameter');
  const px = Math.min((right - left) / (length + groove + length * 0.25), ((h - 190) / 2 / main) * 2);
  // along and across have one scale until it would be a thread of hair: then it is drawn thicker
  const across = Math.min((h - 190) / 1.3 / main, Math.max(px, (h * 0.34) / main));
  const r = (d: number): number => (d / 2) * across;
  const step = (Math.abs(main - chamfer) / 2) * across;
  const x1 = right;
  const x0 = right - length * px;
  const xg = x0 - groove * px;
  const body = nut ? r(main) + 46 : r(main) * 1.25;
  return (
    <>
      <text x="22" y="36" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {nut ? 'The nut before threading' : 'The blank before threading'}
      </text>
      {nut ? (
        [1, -1].map((s) => (
          <path
            key={s}
            d={`M${xg} ${axis + s * body}H${x1}V${axis + s * r(chamfer)}l${-step} ${-s * step}H${x0}${groove > 0 ? `V${axis + s * r(relief ?? main)}H${xg}` : `l${-step} ${s * step}`}Z`}
            fill="url(#hatch)"
            stroke="var(--scribe)"
            strokeWidth="2.5"
          />
        ))
      ) : (
        <path
          d={(() => {
            const top = [
              [left - 20, axis - body],
              [xg, axis - body],
              [xg, axis - r(relief ?? main)],
              [
                groove > 0 ? x0 - Math.min(groove * px * 0.6, (r(main) - r(relief ?? main)) * 1.7) : x0,
                axis - r(relief ?? main),
              ],
              [x0, axis - r(main)],
              [x1 - step, axis - r(main)],
              [x1, axis - r(chamfer)],
            ];
            const low = top.toReversed().map(([x = 0, y = 0]) => [x, 2 * axis - y]);
            return `M${[...top, ...low].map((q) => q.map((n) => n.toFixed(1)).join(' ')).join('L')}`;
          })()}
          fill="url(#hatch)"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
      )}
      <path d={`M${left - 50} ${axis}H${w - 40}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <Tag
        x={(x0 + x1) / 2}
        y={nut ? axis - 10 : axis - r(main) - 18}
        text={`\u2300 ${text(nut ? 'bore' : 'blank')}`}
        big
      />
      {relief !== null && (
        <Tag
          x={Math.max(90, (xg + x0) / 2)}
          y={axis + (nut ? body : r(main) * 1.25) + 26}
          text={`\u2300 ${text(nut ? 'relief-diameter' : 'groove-diameter')}`}
        />
      )}
      {groove > 0 && (
        <Tag
          x={Math.max(90, (xg + x0) / 2)}
          y={axis - (nut ? body : r(main) * 1.25) - 14}
          text={text(nut ? 'relief-width' : 'groove-width')}
        />
      )}
      <Tag
        x={x1 - 4}
        y={axis + (nut ? body : r(main)) + 26}
        text={`\u2300 ${text(nut ? 'countersink' : 'start-chamfer')}`}
        end
      />
      {text(nut ? 'nut-length' : 'thread-length') !== '' && (
        <g>
          <path d={`M${x0} ${h - 46}v14M${x1} ${h - 46}v14M${x0} ${h - 39}H${x1}`} stroke="var(--scribe)" fill="none" />
          <Tag x={(x0 + x1) / 2} y={h - 14} text={text(nut ? 'nut-length' : 'thread-length')} />
        </g>
      )}
    </>
  );
}

const Tag = ({
  x,
  y,
  text,
  big = false,
  end = false,
}: {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly big?: boolean;
  readonly end?: boolean;
}) => (
  <text
    x={x}
    y={y}
    textAnchor={end ? 'end' : 'middle'}
    fontSize={big ? 30 : 18}
    fontWeight="700"
    fontFamily="var(--font-mono)"
    fill="var(--scribe)"
    stroke="#0e2257"
    strokeWidth="5"
    paintOrder="stroke"
  >
    {text}
  </text>
);
