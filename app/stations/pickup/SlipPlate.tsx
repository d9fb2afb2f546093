import { onCircle } from '../../drawing/circle.ts';
import { Plate, type Size } from '../../drawing/Plate.tsx';

/** The gear that is turned, with the teeth to count in straw, every fifth numbered; the words beside say which way. */
export function SlipPlate({ gear, teeth }: { readonly gear: number; readonly teeth: number }) {
  return (
    <Plate
      label={`The gear of ${gear}, ${teeth} teeth counted`}
      draw={(size) => <Drawing gear={gear} teeth={teeth} {...size} />}
    />
  );
}

function Drawing({ gear, teeth, w, h }: Size & { readonly gear: number; readonly teeth: number }) {
  // clear of the field that lies at the lower right
  const c = { x: w * 0.42, y: h * 0.46 };
  const pitch = Math.min(w * 0.34, h * 0.34);
  const m = (2 * pitch) / gear;
  const [tip, root] = [pitch + m, pitch - 1.25 * m];
  const step = 360 / gear;
  const point = (r: number, a: number): string => {
    const { x, y } = onCircle(c, r, a);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  };
  const tooth = (i: number): string => {
    const a = i * step;
    return `M${point(root, a - step * 0.26)}L${point(tip, a - step * 0.13)}L${point(tip, a + step * 0.13)}L${point(root, a + step * 0.26)}`;
  };
  return (
    <>
      <path
        d={Array.from({ length: gear }, (_, i) => `${i === 0 ? 'M' : 'L'}${tooth(i).slice(1)}`).join('') + 'Z'}
        fill="url(#steel)"
        stroke="var(--deep)"
        strokeWidth="1.5"
      />
      {Array.from({ length: Math.min(teeth, gear) }, (_, k) => k + 1).map((k) => {
        const [x, y] = point(tip + 16, (k - 0.5) * step).split(' ');
        return (
          <g key={k}>
            <path d={`${tooth(k - 0.5)}Z`} fill="var(--straw)" stroke="#17130a" />
            {(k % 5 === 0 || k === teeth) && (
              <text
                x={x}
                y={Number(y) + 6}
                textAnchor="middle"
                fontSize={k === teeth ? 24 : 17}
                fontWeight="700"
                fill="var(--scribe)"
              >
                {k}
              </text>
            )}
          </g>
        );
      })}
      <circle
        cx={c.x}
        cy={c.y}
        r={Math.max(14, pitch * 0.14)}
        fill="var(--deep)"
        stroke="var(--scribe)"
        strokeWidth="2"
      />
      <text
        x={c.x}
        y={c.y + pitch * 0.55}
        textAnchor="middle"
        fontSize={pitch * 0.3}
        fontWeight="800"
        fill="#0e2257"
        fontFamily="var(--font-mono)"
      >
        {gear}
      </text>
      <circle cx={c.x} cy={c.y - tip - 12} r="8" fill="#fff" stroke="#12161a" />
      <text x="20" y="36" fontSize="18" fontWeight="700" fill="var(--scribe)">
        Count from the chalk mark
      </text>
    </>
  );
}
