import clsx from 'clsx';

/** How far a job is, one cell a station: dyed settled, straw next, violet stripes to be looked at again. */
export function ChainBar({ chain }: { readonly chain: string }) {
  const cells = [...chain];
  const next = cells.findIndex((c) => c !== 's');
  const settled = cells.filter((c) => c === 's').length;
  const again = cells.filter((c) => c === 'a').length;
  const said = `${settled} of ${cells.length} stations settled${again > 0 ? `, ${again} to be looked at again` : ''}`;
  return (
    <span role="img" aria-label={said} title={said} className="mt-1 flex gap-0.5">
      {cells.map((c, i) => (
        <span
          key={i}
          className={clsx(
            'h-2.5 w-5 border',
            c === 'a' ? 'again border-look' : c === 's' ? 'border-plate bg-plate' : 'border-edge',
            i === next && c !== 'a' && 'border-strawink bg-straw',
          )}
        />
      ))}
    </span>
  );
}
