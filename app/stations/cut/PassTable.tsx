import { dialReading, type SlideDial } from '../../../core/lathe/dials.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useSystem } from '../../store/store.ts';

interface TableProps {
  readonly passes: readonly { readonly depthMm: number; readonly slideMm: number; readonly axialMm: number }[];
  readonly dial: SlideDial;
  readonly sections: readonly number[];
  readonly done: number;
}

/** Every pass with its reading on this lathe's dial; the next one lit. */
export function PassTable({ passes, dial, sections, done }: TableProps) {
  const system = useSystem();
  return (
    <div className="max-h-96 overflow-auto" role="region" aria-label="All passes" tabIndex={0}>
      <table className="num w-full text-right">
        <thead className="font-sans text-sm text-ink2">
          <tr>
            <th className="text-left font-normal">Pass</th>
            <th className="font-normal">Dial, {dial.unit}</th>
            <th className="font-normal">Depth</th>
            <th className="font-normal">Shift along</th>
            <th className="font-normal">Chip, mm&sup2;</th>
          </tr>
        </thead>
        <tbody>
          {passes.map((p, i) => (
            <tr
              key={p.depthMm}
              className={`border-t border-line ${i === done ? 'bg-bluesoft font-bold' : i < done ? 'text-ink2' : ''}`}
            >
              <td className="py-1 text-left">{i + 1}</td>
              <td>{dialReading(p.slideMm, dial).text}</td>
              <td>{lengthText(p.depthMm, system, FINE)}</td>
              <td>{lengthText(p.axialMm, system, FINE)}</td>
              <td>{(sections[i] ?? 0).toFixed(3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
