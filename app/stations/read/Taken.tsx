import { Trash2 } from 'lucide-react';
import { readEntry } from '../../../core/reading/kinds.ts';
import { partOf, pitchOfCount } from '../../../core/job/evidence.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { ALONG, degreesText, FINE, lengthText } from '../../../core/quantity/format.ts';
import { good, type Outcome } from '../../../core/quantity/outcome.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { handText, QUANTITY_NAMES } from '../../../words/readings.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Copied } from '../../ui/Copy.tsx';
import { DraftScope } from '../../ui/drafts.ts';
import { TypedField } from '../../ui/TypedField.tsx';
import { ANGLES, LENGTHS, WORN } from './kinds.ts';

/** A reading as it was typed, with what it was taken over. */
export const readingText = (r: Reading): string =>
  `${r.text}${r.span ? ` ${r.quantity === 'overWires' ? 'over' : 'in'} ${r.span.text}` : ''}${ANGLES.includes(r.quantity) && !r.text.includes('\u00b0') ? '\u00b0' : ''}`;

/** Every reading, compact: its figure is typed over where it stands; what it means stands beside it. */
export function Taken() {
  const { job } = useJobView();
  const side = partOf(job);
  if (job.readings.length === 0)
    return (
      <p className="text-ink2">
        None yet. Start with the outside diameter in two places, one worn and one not, then count crests over an inch.
      </p>
    );
  return (
    <Copied label="Copy the readings">
      <table className="w-full text-left">
        <thead className="sr-only">
          <tr>
            <th>What, where</th>
            <th>As read</th>
            <th>Remove</th>
          </tr>
        </thead>
        <tbody>
          {job.readings.map((r) => (
            <DraftScope key={r.id} id={r.id}>
              <Row r={r} side={side} />
            </DraftScope>
          ))}
        </tbody>
      </table>
    </Copied>
  );
}

function Row({ r, side }: { readonly r: Reading; readonly side: 'external' | 'internal' }) {
  const shop = useShop();
  const system = useSystem();
  const name = QUANTITY_NAMES[r.quantity][side];
  const where = [
    r.member === 'mate' ? 'its mate' : '',
    r.positionMm === null ? '' : `at ${lengthText(r.positionMm, system, ALONG)}`,
    r.place,
    r.picture ? 'from a picture' : '',
    r.span ? `${r.quantity === 'overWires' ? 'wires of' : 'in'} ${r.span.text}` : '',
    r.leaf ?? '',
    r.flank ? QUANTITY_NAMES[r.flank === 'leading' ? 'leadingFlank' : 'trailingFlank'][side] : '',
    shop.instruments.find((i) => i.id === r.instrument)?.name ?? '',
  ].filter(Boolean);
  const change = (text: string): Outcome<{ value: number; text: string }> => {
    const read = readEntry(
      { quantity: r.quantity, text, spanText: r.span?.text ?? '', leaf: r.leaf ?? 'fits', flank: r.flank ?? null },
      system,
    );
    return read.ok ? good({ value: read.value.value, text: text.trim() }) : read;
  };
  return (
    <tr className="border-t border-line align-top">
      <td className="py-1 pr-2">
        <span className="block leading-tight">{name}</span>
        <span className="block text-sm leading-tight text-ink2">{where.join(', ') || meaning(r, system)}</span>
        {WORN.includes(r.quantity) && (
          <select
            aria-label={`The metal there, ${name} ${r.text}`}
            value={r.wear}
            onChange={(e) =>
              act({ do: 'editReading', reading: r.id, changes: { wear: e.target.value as Reading['wear'] } })
            }
            className="min-h-11 rounded-md border border-line bg-panel px-1 text-sm"
          >
            <option value="unknown">wear not known</option>
            <option value="unworn">unworn</option>
            <option value="worn">worn</option>
          </select>
        )}
      </td>
      <td className="w-32 py-1">
        <TypedField
          label={`${name}, as read`}
          hideLabel
          shown={r.text}
          parse={change}
          onCommit={(v) => act({ do: 'editReading', reading: r.id, changes: v })}
          hint={<span className="num">{meaning(r, system)}</span>}
        />
      </td>
      <td className="w-12 py-1 text-right">
        <Button
          tone="quiet"
          aria-label={`Remove ${name} ${r.text}`}
          onClick={() => act({ do: 'removeReading', reading: r.id })}
        >
          <Trash2 aria-hidden size={18} />
        </Button>
      </td>
    </tr>
  );
}

function meaning(r: Reading, system: UnitSystem): string {
  if (LENGTHS.includes(r.quantity)) {
    const sigma = r.uncertainty === null ? '' : ` \u00b1 ${lengthText(r.uncertainty, system, { ...FINE, bare: true })}`;
    return `${lengthText(r.value, system, FINE)}${sigma}`;
  }
  if (r.quantity === 'crestCount') {
    const pitch = pitchOfCount(r);
    return pitch
      ? `${lengthText(pitch.mm, system, FINE)} \u00b1 ${lengthText(pitch.sigmaMm, system, { ...FINE, bare: true })} each`
      : 'over no length';
  }
  if (r.quantity === 'pitchLeaf') return lengthText(r.value, system, FINE);
  if (r.quantity === 'hand') return `${handText(r.value < 0)} hand`;
  if (ANGLES.includes(r.quantity))
    return `${degreesText(r.value, 0.01)}${r.uncertainty === null ? '' : ` \u00b1 ${degreesText(r.uncertainty, 0.01)}`}`;
  return String(Number(r.value.toFixed(4)));
}
