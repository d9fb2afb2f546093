import { CAPITAL, type Sheet } from '../../core/sheet/shapes.ts';

/** A page as it will lie on the paper: black on white in either theme, in mm. */
export function SheetPicture({ sheet, label }: { readonly sheet: Sheet; readonly label: string }) {
  const { widthMm: w, heightMm: h } = sheet;
  return (
    <svg
      className="sheet-picture block h-auto w-full bg-white"
      width={`${w}mm`}
      height={`${h}mm`}
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={label}
    >
      {sheet.shapes.map((s, i) => {
        if (s.kind === 'text')
          return (
            <text
              key={i}
              x={s.at.x}
              y={s.at.y}
              fontSize={s.mm / CAPITAL}
              textAnchor={s.anchor}
              fill="#000"
              style={{
                fontFamily: s.mono ? 'var(--font-mono)' : 'var(--font-sans)',
                fontWeight: s.bold ? 700 : 400,
                letterSpacing: 0,
                whiteSpace: 'pre',
              }}
            >
              {s.text}
            </text>
          );
        const d = `M${s.points.map((p) => `${p.x.toFixed(3)} ${p.y.toFixed(3)}`).join('L')}`;
        return s.kind === 'area' ? (
          <path key={i} d={`${d}Z`} fill="#000" />
        ) : (
          <path
            key={i}
            d={s.closed ? `${d}Z` : d}
            fill="none"
            stroke="#000"
            strokeWidth={s.heavy ? 0.35 : 0.18}
            {...(s.dashed ? { strokeDasharray: '2 1.2' } : {})}
          />
        );
      })}
    </svg>
  );
}
