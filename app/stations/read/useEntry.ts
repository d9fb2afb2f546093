import { useMemo, useState } from 'react';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { nextQuantity } from '../../../core/job/entry.ts';
import type { Entry, Flank } from '../../../core/reading/kind.ts';
import { kindOf, readEntry } from '../../../core/reading/kinds.ts';
import { FINE_ENOUGH_MM } from '../../../core/reading/pitch.ts';
import { slipIn } from '../../../core/job/known.ts';
import type { Instrument, Reading } from '../../../core/job/schema.ts';
import type { Outcome, Problem } from '../../../core/quantity/outcome.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { useDraft } from '../../ui/drafts.ts';

export interface ReadingEntry {
  readonly quantity: Quantity;
  readonly suits: readonly Instrument[];
  readonly text: string;
  readonly setText: (t: string) => void;
  readonly span: string;
  readonly setSpan: (t: string) => void;
  readonly leaf: 'fits' | 'nearly' | 'no';
  readonly setLeaf: (l: 'fits' | 'nearly' | 'no') => void;
  /** Of a template: the flank it is held to; null: the whole form. */
  readonly flank: Flank | null;
  readonly setFlank: (f: Flank | null) => void;
  readonly wear: Reading['wear'];
  readonly setWear: (w: Reading['wear']) => void;
  readonly member: Reading['member'];
  readonly setMember: (m: Reading['member']) => void;
  readonly place: string;
  readonly setPlace: (p: string) => void;
  readonly instrument: string | null;
  readonly setInstrument: (id: string | null) => void;
  readonly problem: Problem | null;
  /** What was typed means this; null: nothing is typed. */
  readonly entry: Outcome<Entry> | null;
  readonly slip: ReturnType<typeof slipIn>;
  /** Takes the reading; as it was meant where a slip is shown. */
  readonly take: (asMeant: boolean) => void;
}

/** What is said with a reading besides its figure. */
interface Said {
  readonly quantity: Quantity;
  readonly leaf: 'fits' | 'nearly' | 'no';
  readonly flank: Flank | null;
  readonly wear: Reading['wear'];
  readonly member: Reading['member'];
  readonly instrument: string | null;
  readonly problem: Problem | null;
}

/** One reading on its way into the job: what is typed, with what and where it is taken, and what is wrong with it. */
export function useEntry(quantity: Quantity, positionMm: number | null, onArm: (q: Quantity) => void): ReadingEntry {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { measures: kind, worn } = kindOf(quantity);
  const suits = useMemo(() => shop.instruments.filter((i) => i.measures === kind), [shop.instruments, kind]);
  const lastUsed =
    job.readings.findLast(
      (r) => (r.quantity === 'crestCount') === (quantity === 'crestCount') && suits.some((i) => i.id === r.instrument),
    )?.instrument ?? null;
  // crests are counted against a rule unless it is said that they were measured from crest to crest
  const usual = quantity === 'crestCount' ? suits.find((i) => i.uncertainty > FINE_ENOUGH_MM) : suits[0];
  const [typed, setTyped] = useDraft(`reading ${quantity}`);
  const [typedSpan, setTypedSpan] = useDraft(`span ${quantity}`);
  const [typedPlace, setTypedPlace] = useDraft(`place ${quantity}`);
  const fresh: Said = {
    quantity,
    leaf: 'fits',
    flank: null,
    wear: 'unknown',
    member: 'part',
    instrument: lastUsed ?? usual?.id ?? null,
    problem: null,
  };
  const [held, setHeld] = useState(fresh);
  // another reading is armed: what was said of the last one is not said of it
  const said = held.quantity === quantity ? held : fresh;
  if (said !== held) setHeld(said);
  const { leaf, flank, wear, member, instrument, problem } = said;
  const say = (part: Partial<Said>): void =>
    setHeld((was) => ({ ...(was.quantity === quantity ? was : fresh), ...part }));
  const [text, span, place] = [typed ?? '', typedSpan ?? '', typedPlace ?? ''];
  const kept = (set: (t: string | null) => void) => (t: string) => set(t === '' ? null : t);
  const entry = useMemo(
    () => (text.trim() === '' ? null : readEntry({ quantity, text, spanText: span, leaf, flank }, system)),
    [quantity, text, span, leaf, flank, system],
  );
  const slip = useMemo(
    () =>
      entry?.ok && member === 'part'
        ? slipIn(job, quantity, entry.value.value, entry.value.span?.mm ?? null, text, system)
        : null,
    [entry, job, quantity, member, text, system],
  );
  const placed = worn ? positionMm : null;

  const take = (asMeant: boolean): void => {
    const read = entry ?? readEntry({ quantity, text, spanText: span, leaf, flank }, system);
    if (!read.ok) {
      say({ problem: read.problem });
      return;
    }
    const used = suits.find((i) => i.id === instrument) ?? null;
    const meant = asMeant && slip?.instead != null ? slip.instead : null;
    const refused = act({
      do: 'takeReading',
      reading: {
        quantity,
        text: meant === null ? text.trim() : `${text.trim()} (meant ${Number(meant.toFixed(3))})`,
        value: meant ?? read.value.value,
        span: read.value.span,
        leaf: read.value.leaf,
        ...(read.value.flank ? { flank: read.value.flank } : {}),
        instrument: used?.id ?? null,
        uncertainty: used?.uncertainty ?? null,
        member,
        place: place.trim(),
        positionMm: placed,
        wear,
      },
    });
    say({ problem: refused });
    if (refused) return;
    setTyped(null);
    // a series along the part stays on its quantity, and on its wires
    const next =
      placed === null ? nextQuantity(quantity, new Set([...job.readings.map((r) => r.quantity), quantity])) : quantity;
    if (next !== quantity) {
      setTypedSpan(null);
      setTypedPlace(null);
    }
    onArm(next);
  };

  return {
    quantity,
    suits,
    text,
    setText: (t) => {
      kept(setTyped)(t);
      say({ problem: null });
    },
    span,
    setSpan: kept(setTypedSpan),
    leaf,
    setLeaf: (l) => say({ leaf: l }),
    flank,
    setFlank: (f) => say({ flank: f }),
    wear,
    setWear: (x) => say({ wear: x }),
    member,
    setMember: (m) => say({ member: m }),
    place,
    setPlace: kept(setTypedPlace),
    instrument,
    setInstrument: (i) => say({ instrument: i }),
    problem,
    entry,
    slip,
    take,
  };
}
