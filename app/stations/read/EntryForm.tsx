import { slipText } from '../../../words/slips.ts';
import { useId, useMemo, useState } from 'react';
import { useDraft } from '../../ui/drafts.ts';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { FINE_ENOUGH_MM, partOf } from '../../../core/job/evidence.ts';
import { nextQuantity, readEntry, READING_ORDER } from '../../../core/job/entry.ts';
import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { slipIn } from '../../../core/job/known.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import type { Problem } from '../../../core/quantity/outcome.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Note } from '../../ui/controls.tsx';
import { Problems } from '../../ui/fields.tsx';
import { inputClass } from '../../ui/inputClass.ts';
import { ANGLES, LENGTHS, WORN } from './kinds.ts';

interface EntryProps {
  readonly quantity: Quantity;
  readonly side: 'external' | 'internal';
  readonly inputRef: React.RefObject<HTMLInputElement | null>;
  readonly onArm: (q: Quantity) => void;
  /** Place pointed at along the part, mm; null when none is. */
  readonly positionMm: number | null;
}

const SPAN: Partial<Record<Quantity, { readonly label: string; readonly placeholder: string }>> = {
  crestCount: { label: 'in a length of', placeholder: '1 in' },
  pitchLeaf: { label: 'leaf is long', placeholder: '10 mm' },
  overWires: { label: 'wires of', placeholder: '2.05' },
};

/** Readings taken on nearly every part come first; the rest stand below a line. */
const USUAL = 6;

function Arm({
  quantity,
  side,
  armed,
  onArm,
}: Pick<EntryProps, 'quantity' | 'side' | 'onArm'> & { readonly armed: boolean }) {
  const place = READING_ORDER.indexOf(quantity);
  return (
    <button
      type="button"
      aria-pressed={armed}
      title={place < 9 ? `Alt ${place + 1}` : undefined}
      onClick={() => onArm(quantity)}
      className={`min-h-12 rounded-md px-2.5 text-sm ${armed ? 'bg-blue font-semibold text-onblue' : 'text-ink2 hover:bg-inset'}`}
    >
      {QUANTITY_NAMES[quantity][side]}
    </button>
  );
}

/** Where a reading is typed: armed for one quantity, Enter takes it and arms the next. */
export function EntryForm({ quantity, side, inputRef, onArm, positionMm }: EntryProps) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const id = useId();
  const suits = useMemo(
    () =>
      shop.instruments.filter(
        (i) =>
          i.measures ===
          (LENGTHS.includes(quantity) || quantity === 'crestCount'
            ? 'length'
            : ANGLES.includes(quantity)
              ? 'angle'
              : quantity === 'taper'
                ? 'taper'
                : 'none'),
      ),
    [shop.instruments, quantity],
  );
  const lastUsed =
    job.readings.findLast(
      (r) => (r.quantity === 'crestCount') === (quantity === 'crestCount') && suits.some((i) => i.id === r.instrument),
    )?.instrument ?? null;
  // crests are counted against a rule unless it is said that they were measured from crest to crest
  const usual = quantity === 'crestCount' ? suits.find((i) => /rule/i.test(i.name)) : suits[0];
  const [typed, setTyped] = useDraft(`reading ${quantity}`);
  const [typedSpan, setTypedSpan] = useDraft(`span ${quantity}`);
  const [text, span] = [typed ?? '', typedSpan ?? ''];
  const setText = (t: string): void => setTyped(t === '' ? null : t);
  const setSpan = (t: string): void => setTypedSpan(t === '' ? null : t);
  const [leaf, setLeaf] = useState<'fits' | 'nearly' | 'no'>('fits');
  const [wear, setWear] = useState<Reading['wear']>('unknown');
  const [member, setMember] = useState<Reading['member']>('part');
  const [typedPlace, setTypedPlace] = useDraft(`place ${quantity}`);
  const place = typedPlace ?? '';
  const setPlace = (t: string): void => setTypedPlace(t === '' ? null : t);
  const [instrument, setInstrument] = useState<string | null>(lastUsed ?? usual?.id ?? null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const names = QUANTITY_NAMES[quantity];
  const entry = useMemo(
    () => (text.trim() === '' ? null : readEntry({ quantity, text, spanText: span, leaf }, system)),
    [quantity, text, span, leaf, system],
  );
  const slip = useMemo(
    () =>
      entry?.ok && member === 'part' ? slipIn(job, quantity, entry.value.value, entry.value.span?.mm ?? null) : null,
    [entry, job, quantity, member],
  );

  const take = (asMeant: boolean): void => {
    const read = entry ?? readEntry({ quantity, text, spanText: span, leaf }, system);
    if (!read.ok) {
      setProblem(read.problem);
      return;
    }
    const used = suits.find((i) => i.id === instrument) ?? null;
    const meant = asMeant && slip?.instead != null ? slip.instead : null;
    const value = meant ?? read.value.value;
    const refused = act({
      do: 'takeReading',
      reading: {
        quantity,
        text: meant === null ? text.trim() : `${text.trim()} (meant ${Number(meant.toFixed(3))})`,
        value,
        span: read.value.span,
        leaf: read.value.leaf,
        instrument: used?.id ?? null,
        uncertainty: used?.uncertainty ?? null,
        member,
        place: place.trim(),
        positionMm: WORN.includes(quantity) ? positionMm : null,
        wear,
      },
    });
    setProblem(refused);
    if (refused) return;
    setText('');
    // a series along the part stays on its quantity, and on its wires
    const next =
      positionMm !== null && WORN.includes(quantity)
        ? quantity
        : nextQuantity(quantity, new Set([...job.readings.map((r) => r.quantity), quantity]));
    if (next !== quantity) {
      setSpan('');
      setPlace('');
    }
    onArm(next);
  };

  const spanField = SPAN[quantity];
  return (
    <form
      className="rounded-lg border border-line bg-panel p-4"
      aria-label={`Reading: ${names[side]}`}
      onSubmit={(e) => {
        e.preventDefault();
        take(false);
      }}
      onKeyDown={(e) => {
        if (e.key === 'Enter' && e.altKey && slip?.instead != null) {
          e.preventDefault();
          take(true);
        }
      }}
    >
      <div className="mb-3 grid gap-1" role="group" aria-label="What is read">
        {[READING_ORDER.slice(0, USUAL), READING_ORDER.slice(USUAL)].map((some, row) => (
          <div key={row} className={`flex flex-wrap gap-1 ${row > 0 ? 'border-t border-line pt-1' : ''}`}>
            {some.map((q) => (
              <Arm key={q} quantity={q} side={side} armed={q === quantity} onArm={onArm} />
            ))}
          </div>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <div className="grid min-w-44 grow basis-52 gap-1">
          <label htmlFor={`${id}-v`} className="text-sm text-ink2">
            {names[side]} ({names.hint})
          </label>
          <input
            id={`${id}-v`}
            data-armed="reading"
            data-numeric
            ref={inputRef}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setProblem(null);
            }}
            className={`${inputClass} text-xl`}
            autoComplete="off"
            spellCheck={false}
            aria-invalid={problem?.field === 'value'}
            aria-describedby={`${id}-p`}
          />
        </div>
        {spanField && (
          <div className="grid w-36 gap-1">
            <label htmlFor={`${id}-s`} className="text-sm text-ink2">
              {spanField.label}
            </label>
            <input
              id={`${id}-s`}
              data-numeric
              value={span}
              placeholder={spanField.placeholder}
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
                  {quantity === 'crestCount' && i.uncertainty <= FINE_ENOUGH_MM ? `${i.name}, crest to crest` : i.name}
                </option>
              ))}
            </select>
          </div>
        )}
        {WORN.includes(quantity) && (
          <>
            <div className="grid w-40 gap-1">
              <label htmlFor={`${id}-w`} className="text-sm text-ink2">
                Where on the part
              </label>
              <input
                id={`${id}-w`}
                value={place}
                onChange={(e) => setPlace(e.target.value)}
                placeholder="under the collar"
                className={`${inputClass} font-sans text-base tracking-normal`}
                autoComplete="off"
              />
            </div>
            <Choice
              label="Taken on"
              value={member}
              options={[
                { value: 'part', label: side === 'external' ? 'the screw' : 'the nut' },
                { value: 'mate', label: side === 'external' ? 'its nut' : 'its screw' },
              ]}
              onChange={setMember}
            />
          </>
        )}
        <Button tone="main" type="submit">
          Take
        </Button>
      </div>
      <div className="mt-2 grid gap-2" aria-live="polite">
        <Problems id={`${id}-p`} problem={problem} />
        {entry?.ok && LENGTHS.includes(quantity) && !problem && (
          <span className="num text-sm text-ink2">
            {lengthText(entry.value.value, 'mm', FINE)} &middot; {lengthText(entry.value.value, 'in', FINE)}
          </span>
        )}
        {slip && (
          <Note tone="caution">
            {slipText(slip, partOf(job), system)}{' '}
            {slip.instead !== null && (
              <Button onClick={() => take(true)} className="ml-2">
                Take it so <span className="text-sm text-ink2">Alt Enter</span>
              </Button>
            )}
          </Note>
        )}
      </div>
    </form>
  );
}
