import type { PictureRow } from '../../../../core/job/fromPicture.ts';
import { rowFigures, rowNote } from '../../../../words/picture.ts';
import { useSystem } from '../../../store/store.ts';

interface Props {
  readonly rows: readonly PictureRow[];
  readonly chosen: ReadonlySet<number>;
  readonly onChoose: (i: number) => void;
  readonly nameOf: (row: PictureRow) => string;
}

/** What was read, line by line, each to be taken or put aside. */
export function ReadRows({ rows, chosen, onChoose, nameOf }: Props) {
  const system = useSystem();
  return (
    <ul aria-label="What was read" className="grid">
      {rows.map((r, i) => {
        const { value, sigma } = rowFigures(r, system);
        const note = rowNote(r, system);
        return (
          <li key={`${r.key} ${i}`} className="border-t border-line">
            <label className="grid min-h-12 grid-cols-[1.75rem_minmax(0,1fr)_auto] items-center gap-x-2 py-0.5">
              <input
                type="checkbox"
                className="size-6 accent-(--blue)"
                checked={chosen.has(i)}
                disabled={r.gives.length === 0}
                onChange={() => onChoose(i)}
              />
              <span className="leading-tight">
                {nameOf(r)}
                {note !== '' && <span className="block text-sm text-ink2">{note}</span>}
              </span>
              <span className="num text-right leading-tight">
                <strong className="text-[17px]">{value}</strong>
                <span className="block text-sm text-ink2">{sigma}</span>
              </span>
            </label>
          </li>
        );
      })}
    </ul>
  );
}
