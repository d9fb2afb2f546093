import { useCallback, useId, useMemo, useRef, useState } from 'react';
import { Trash2 } from 'lucide-react';
import { flushSync } from 'react-dom';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { nextQuantity, QUANTITY_NAMES, readEntry, READING_ORDER } from '../../../core/job/entry.ts';
import { partOf } from '../../../core/job/evidence.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { FINE, lengthText, percentText } from '../../../core/quantity/format.ts';
import type { Problem } from '../../../core/quantity/outcome.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Panel } from '../../ui/controls.tsx';
import { inputClass, Problems } from '../../ui/fields.tsx';
import { useKeys } from '../../ui/keys.ts';

const LENGTHS: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'depth', 'lead'];
const WORN: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'depth'];
const ANGLES: readonly Quantity[] = ['flankAngle', 'leadingFlank', 'trailingFlank'];

export function Read() {
  const { job, top, ranking } = useJobView();
  const system = useSystem();
  const side = partOf(job);
  const [armed, setArmed] = useState<Quantity>(
    () => READING_ORDER.find((q) => !job.readings.some((r) => r.quantity === q)) ?? 'majorDiameter',
  );
  const valueRef = useRef<HTMLInputElement>(null);
  const arm = useCallback((q: Quantity) => {
    // at once: a caliper on a cable types its next reading without waiting for a frame
    flushSync(() => setArmed(q));
    valueRef.current?.focus();
  }, []);
  const keys = useMemo(
    () => Object.fromEntries(READING_ORDER.slice(0, 9).map((q, i) => [`Alt+${i + 1}`, () => arm(q)])),
    [arm],
  );
  useKeys(keys);
  const named = top ?? null;
  return (
    <StationFrame
      station="read"
      lead="What the part measures. Touch a dimension on the drawing, type what you read, Enter."
    >
      <ThreadDrawing
        thread={named}
        tentative
        side={side}
        readings={job.readings.map((r) => ({ quantity: r.quantity, text: shortText(r) }))}
        system={system}
        onTouch={arm}
        armed={armed}
      />
      <EntryForm key={armed} quantity={armed} side={side} inputRef={valueRef} onArm={arm} />
      <Readings side={side} />
      {ranking && top && (
        <p aria-live="polite" className="text-ink2">
          Likeliest so far: <strong className="num text-ink">{top.designation}</strong>,{' '}
          {percentText(Math.max(ranking.candidates[0]?.probability ?? 0, ranking.special.probability))}.
        </p>
      )}
    </StationFrame>
  );
}

interface EntryProps {
  readonly quantity: Quantity;
  readonly side: 'external' | 'internal';
  readonly inputRef: React.RefObject<HTMLInputElement | null>;
  readonly onArm: (q: Quantity) => void;
}

function EntryForm({ quantity, side, inputRef, onArm }: EntryProps) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const id = useId();
  const suits = useMemo(
    () =>
      shop.instruments.filter(
        (i) =>
          i.measures ===
          (LENGTHS.includes(quantity)
            ? 'length'
            : ANGLES.includes(quantity)
              ? 'angle'
              : quantity === 'taper'
                ? 'taper'
                : 'none'),
      ),
    [shop.instruments, quantity],
  );
  const lastUsed = job.readings.findLast((r) => suits.some((i) => i.id === r.instrument))?.instrument ?? null;
  const [text, setText] = useState('');
  const [span, setSpan] = useState('');
  const [leaf, setLeaf] = useState<'fits' | 'nearly' | 'no'>('fits');
  const [wear, setWear] = useState<Reading['wear']>('unknown');
  const [place, setPlace] = useState('');
  const [instrument, setInstrument] = useState<string | null>(lastUsed ?? suits[0]?.id ?? null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const names = QUANTITY_NAMES[quantity];

  const take = (): void => {
    const entry = readEntry({ quantity, text, spanText: span, leaf }, system);
    if (!entry.ok) {
      setProblem(entry.problem);
      return;
    }
    const used = suits.find((i) => i.id === instrument) ?? null;
    editJob(`take ${names[side].toLowerCase()} ${text.trim()}`, (d) => {
      d.readings.push({
        id: crypto.randomUUID().slice(0, 8),
        quantity,
        text: text.trim(),
        value: entry.value.value,
        span: entry.value.span,
        leaf: entry.value.leaf,
        instrument: used?.id ?? null,
        uncertainty: used?.uncertainty ?? null,
        place: place.trim(),
        wear,
        at: new Date().toISOString(),
      });
    });
    setText('');
    setProblem(null);
    const read = new Set([...job.readings.map((r) => r.quantity), quantity]);
    onArm(nextQuantity(quantity, read));
  };

  return (
    <form
      className="rounded-lg border border-line bg-panel p-4"
      aria-label={`Reading: ${names[side]}`}
      onSubmit={(e) => {
        e.preventDefault();
        take();
      }}
    >
      <div className="mb-3 flex flex-wrap gap-1" role="group" aria-label="What is read">
        {READING_ORDER.map((q, i) => (
          <button
            key={q}
            type="button"
            aria-pressed={q === quantity}
            title={i < 9 ? `Alt ${i + 1}` : undefined}
            onClick={() => onArm(q)}
            className={`min-h-12 rounded-md px-3 text-sm ${q === quantity ? 'bg-blue font-semibold text-onblue' : 'text-ink2 hover:bg-inset'}`}
          >
            {QUANTITY_NAMES[q][side]}
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <div className="grid min-w-44 grow basis-52 gap-1">
          <label htmlFor={`${id}-v`} className="text-sm text-ink2">
            {names[side]} ({names.hint})
          </label>
          <input
            id={`${id}-v`}
            ref={inputRef}
            value={text}
            onChange={(e) => setText(e.target.value)}
            className={`${inputClass} text-xl`}
            autoComplete="off"
            spellCheck={false}
            aria-invalid={problem?.field === 'value'}
            aria-describedby={`${id}-p`}
          />
        </div>
        {(quantity === 'crestCount' || quantity === 'pitchLeaf') && (
          <div className="grid w-36 gap-1">
            <label htmlFor={`${id}-s`} className="text-sm text-ink2">
              {quantity === 'crestCount' ? 'in a length of' : 'leaf is long'}
            </label>
            <input
              id={`${id}-s`}
              value={span}
              placeholder={quantity === 'crestCount' ? '1 in' : '10 mm'}
              onChange={(e) => setSpan(e.target.value)}
              className={inputClass}
              autoComplete="off"
              aria-invalid={problem?.field === 'span'}
              aria-describedby={`${id}-p`}
            />
          </div>
        )}
        {quantity === 'pitchLeaf' && (
          <Choice
            label="The leaf"
            value={leaf}
            options={[
              { value: 'fits', label: 'fits' },
              { value: 'nearly', label: 'nearly' },
              { value: 'no', label: 'does not' },
            ]}
            onChange={setLeaf}
          />
        )}
        {WORN.includes(quantity) && (
          <Choice
            label="The metal there is"
            value={wear}
            options={[
              { value: 'worn', label: 'worn' },
              { value: 'unworn', label: 'unworn' },
              { value: 'unknown', label: 'not known' },
            ]}
            onChange={setWear}
          />
        )}
        {suits.length > 0 && (
          <div className="grid gap-1">
            <label htmlFor={`${id}-i`} className="text-sm text-ink2">
              With
            </label>
            <select
              id={`${id}-i`}
              value={instrument ?? ''}
              onChange={(e) => setInstrument(e.target.value || null)}
              className="min-h-12 max-w-52 rounded-md border border-line bg-panel px-2"
            >
              {suits.map((i) => (
                <option key={i.id} value={i.id}>
                  {i.name}
                </option>
              ))}
            </select>
          </div>
        )}
        {WORN.includes(quantity) && (
          <div className="grid w-40 gap-1">
            <label htmlFor={`${id}-w`} className="text-sm text-ink2">
              Where on the part
            </label>
            <input
              id={`${id}-w`}
              value={place}
              onChange={(e) => setPlace(e.target.value)}
              placeholder="20 mm from the end"
              className={`${inputClass} font-sans text-base tracking-normal`}
              autoComplete="off"
            />
          </div>
        )}
        <Button tone="main" type="submit">
          Take
        </Button>
      </div>
      <div className="mt-2">
        <Problems id={`${id}-p`} problem={problem} />
      </div>
    </form>
  );
}

const shortText = (r: Reading): string =>
  `${r.text}${r.span ? ` in ${r.span.text}` : ''}${ANGLES.includes(r.quantity) ? '\u00b0' : ''}`;

function Readings({ side }: { readonly side: 'external' | 'internal' }) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  if (job.readings.length === 0) {
    return (
      <Panel title="Readings taken">
        <p className="text-ink2">
          None yet. Start with the outside diameter in two places, one worn and one not, then count crests over an inch.
        </p>
      </Panel>
    );
  }
  return (
    <Panel title="Readings taken">
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] text-left">
          <thead>
            <tr className="text-sm text-ink2">
              <th className="py-1 font-normal">What</th>
              <th className="font-normal">As typed</th>
              <th className="font-normal">Is</th>
              <th className="font-normal">Where, state</th>
              <th className="font-normal">With</th>
              <th>
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {job.readings.map((r) => (
              <tr key={r.id} className="border-t border-line">
                <td>{QUANTITY_NAMES[r.quantity][side]}</td>
                <td className="num">{shortText(r)}</td>
                <td className="num">{meaning(r, system)}</td>
                <td>
                  {[r.place, r.wear === 'unknown' ? '' : r.wear, r.leaf ?? ''].filter(Boolean).join(', ') || '\u2013'}
                </td>
                <td className="text-ink2">{shop.instruments.find((i) => i.id === r.instrument)?.name ?? '\u2013'}</td>
                <td className="text-right">
                  <Button
                    tone="quiet"
                    aria-label={`Remove ${QUANTITY_NAMES[r.quantity][side]} ${r.text}`}
                    onClick={() =>
                      editJob(`remove ${r.text}`, (d) => void (d.readings = d.readings.filter((x) => x.id !== r.id)))
                    }
                  >
                    <Trash2 aria-hidden size={18} />
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Panel>
  );
}

function meaning(r: Reading, system: 'mm' | 'in'): string {
  if (LENGTHS.includes(r.quantity)) {
    const sigma = r.uncertainty === null ? '' : ` \u00b1 ${lengthText(r.uncertainty, system, { ...FINE, bare: true })}`;
    return `${lengthText(r.value, system, FINE)}${sigma}`;
  }
  if (r.quantity === 'crestCount' && r.span) return `${lengthText(r.span.mm / r.value, system, FINE)} each`;
  if (r.quantity === 'pitchLeaf') return lengthText(r.value, system, FINE);
  if (ANGLES.includes(r.quantity))
    return `${r.value}\u00b0${r.uncertainty === null ? '' : ` \u00b1 ${r.uncertainty}\u00b0`}`;
  return String(Number(r.value.toFixed(4)));
}
