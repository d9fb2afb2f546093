import type { PlaceRound } from '../../core/practice/place.ts';
import { PLACE_SEES } from '../../words/practice.ts';
import { Compass, Punched } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';

/** The lathe as one comes back to it, from above: chuck, work, tool where it stands, lever, spindle, and the passes ticked. */
export function PlacePlate({ r }: { readonly r: PlaceRound }) {
  return (
    <Plate
      label={`The tool is ${PLACE_SEES.tool[r.tool]}, ${PLACE_SEES.toolAt[r.toolAt]}; half-nuts shut`}
      draw={(size) => <Drawing r={r} {...size} />}
    />
  );
}

function Drawing({ r, w, h }: { readonly r: PlaceRound } & Size) {
  const axis = h * (r.internal ? 0.26 : 0.3);
  const half = h * 0.12;
  const head = w * 0.14;
  const [from, to] = [w * 0.34, w * 0.86];
  const relief = w * 0.07;
  const crests = 14;
  const step = (to - from) / crests;
  const deep = 12;
  // outside the thread shows on the side of the person; in a nut it lies on the far wall of the bore
  const y = r.internal ? axis + half : axis + half;
  const up = r.internal ? 1 : -1;
  const saw = Array.from({ length: crests }, () => `l${step * 0.5} ${up * deep}l${step * 0.5} ${-up * deep}`).join('');
  const end = r.leftHand ? to + relief * 0.5 : from - relief * 0.5;
  const start = r.leftHand ? from - relief * 0.5 : to + w * 0.04;
  const beyond = r.leftHand ? from - relief * 0.9 : to + w * 0.1;
  const x = r.toolAt === 'end' ? end : r.toolAt === 'start' ? start : beyond;
  const tip = r.internal ? y + (r.tool === 'in' ? deep : -26) : y + (r.tool === 'in' ? -deep : 30);
  const tool = r.internal ? `M${x - 6} ${tip}h12l14 -40v-30h-40v30Z` : `M${x - 6} ${tip}h12l14 46v24h-40v-24Z`;
  const low = h * 0.78;
  const dots = Math.min(r.of + r.springs, 26);
  const gap = (w - 60) / dots;
  return (
    <>
      <path
        d={`M20 ${axis - half * 2}H${head}V${axis + half * 2}H20`}
        fill="url(#hatch)"
        stroke="var(--scribe)"
        strokeWidth="2.5"
      />
      <path
        d={`M${head} ${axis - half * 1.6}h${w * 0.05}v${half * 0.8}h${-w * 0.05}M${head} ${axis + half * 0.8}h${w * 0.05}v${half * 0.8}h${-w * 0.05}`}
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="2.5"
      />
      <path
        d={`M${head + w * 0.05} ${axis - half}H${from - relief}v${r.internal ? 0 : deep}H${from}v${r.internal ? 0 : -deep}H${to}V${y}`}
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="3"
      />
      <path
        d={`M${head + w * 0.05} ${y}H${from - relief}v${up * deep}H${from}v${-up * deep}${saw}`}
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="3"
      />
      <path d={`M${head} ${axis}H${w - 20}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <path d={tool} fill="url(#steel)" stroke="var(--deep)" strokeWidth="1.5" />
      {r.chips === 'fresh' && (
        <path
          d={`M${x + 18} ${tip + 8}q18 -10 26 6t-16 14t-10 -20`}
          fill="none"
          stroke="var(--straw)"
          strokeWidth="3"
        />
      )}
      <g fill="var(--scribe)" fontSize="18" fontWeight="700">
        <circle cx="70" cy={low - 46} r="26" fill="none" stroke="var(--scribe)" strokeWidth="2.5" />
        <path d={`M70 ${low - 46}l44 32`} stroke="var(--steel2)" strokeWidth="14" strokeLinecap="round" />
        <text x="136" y={low - 40}>
          half-nuts shut
        </text>
        <circle cx={w * 0.58} cy={low - 46} r="26" fill="none" stroke="var(--scribe)" strokeWidth="2.5" />
        <path
          d={r.spindleRan === 'forward' ? `M${w * 0.58} ${low - 46}v-24` : `M${w * 0.58} ${low - 46}v24`}
          stroke="var(--scribe)"
          strokeWidth="6"
        />
        <text x={w * 0.58 + 40} y={low - 40}>
          spindle stands, {PLACE_SEES.spindleRan[r.spindleRan]}
        </text>
      </g>
      {Array.from({ length: dots }, (_, i) => {
        const cx = 40 + i * gap;
        const n = i + 1;
        if (n > r.of)
          return (
            <path key={i} d={`M${cx} ${low + 34}l9 9l-9 9l-9 -9Z`} fill="none" stroke="var(--scribe)" strokeWidth="2" />
          );
        const ticked = n < r.pass || (n === r.pass && r.ticked);
        return ticked ? (
          <Punched key={i} x={cx} y={low + 43} r={8} />
        ) : (
          <circle
            key={i}
            cx={cx}
            cy={low + 43}
            r={n === r.pass ? 11 : 8}
            fill="none"
            stroke={n === r.pass ? 'var(--straw)' : 'var(--scribe)'}
            strokeWidth={n === r.pass ? 4 : 2}
          />
        );
      })}
      <text
        x={40 + (Math.min(r.pass, dots) - 1) * gap}
        y={low + 18}
        textAnchor="middle"
        fontSize="19"
        fontWeight="700"
        fill="var(--scribe)"
      >
        {r.pass}
      </text>
      <Compass w={w} y={34} right="from above" />
    </>
  );
}
