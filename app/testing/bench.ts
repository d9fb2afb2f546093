import { demoJobs, demoShop } from '../../demo/index.ts';
import { parseDesignation } from '../../core/standards/designation.ts';
import { cardOf } from '../../core/job/card.ts';
import { newJob } from '../../core/job/create.ts';
import { applyEdit, type Edit } from '../../core/job/edits/index.ts';
import { metalOf } from '../../core/job/metal.ts';
import type { Job, JobDraft, Reading, Shop, ShopDraft } from '../../core/job/schema.ts';

/** A reading as it is typed: a value of the part itself, unless it is said otherwise. */
export const readingOf = (
  quantity: Reading['quantity'],
  value: number,
  over: Partial<Reading> = {},
): Omit<Reading, 'id' | 'at'> => ({
  quantity,
  text: String(value),
  value,
  span: null,
  leaf: null,
  instrument: null,
  uncertainty: null,
  member: 'part',
  place: '',
  positionMm: null,
  wear: 'unknown',
  ...over,
});
/** Taking it. */
export const took = (...reading: Parameters<typeof readingOf>): Edit => ({
  do: 'takeReading',
  reading: readingOf(...reading),
});

export const AT = '2026-11-26T08:00:00.000Z';
/** A document changed by hand, as another document: what core has worked out from the first stays true of it. */
export function changedBy(doc: Job, change: (draft: JobDraft) => void): Job;
export function changedBy(doc: Shop, change: (draft: ShopDraft) => void): Shop;
export function changedBy(doc: Job | Shop, change: (draft: never) => void): Job | Shop {
  const draft = structuredClone(doc);
  change(draft as never);
  return draft;
}
/** A job and its shop, changed by named edits alone. */
export class Bench {
  job: Job;
  shop: Shop;
  constructor(job: Job, shop: Shop = demoShop()) {
    this.job = job;
    this.shop = shop;
  }
  private n = 0;
  /** The pitch is proved as soon as the tool is touched off: most of what is tested comes after it. */
  proves = true;
  try(e: Edit): string | null {
    this.n += 1;
    const done = applyEdit(this.job, this.shop, e, { id: `t${this.n}`, at: AT });
    if (!done.ok) return done.problem.field;
    this.job = done.value.job;
    this.shop = done.value.shop;
    return null;
  }
  do(...edits: Edit[]): this {
    for (const e of edits) {
      const wrong = this.try(e);
      if (wrong !== null) throw new Error(`${e.do}: ${wrong}`);
      if (this.proves && e.do === 'touchOff' && this.card.pitch) this.try({ do: 'provePitch', by: 'scratch' });
    }
    return this;
  }
  passes(n: number): this {
    for (let i = 0; i < n; i += 1) this.do({ do: 'passDone' });
    return this;
  }
  get view() {
    return cardOf(this.job, this.shop, null);
  }
  get card() {
    return this.view.card;
  }
  get metal() {
    return metalOf(this.job);
  }
  get reading(): number {
    return this.card.settings[0]?.toMm ?? NaN;
  }
}
export const named = (designation: string, over: Partial<Job['intake']> = {}): Bench => {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(parsed.problem.code);
  const { special, ...plain } = parsed.value.thread;
  const job = newJob('j', 'Bench', new Date(AT));
  return new Bench({ ...job, intake: { ...job.intake, ...over } }).do({
    do: 'acceptName',
    thread: special ? { ...plain, special: { ...special } } : plain,
    probability: 0.9,
    overruled: true,
    reason: '',
  });
};
/** What a control is, where one is wanted. */
export const CONTROL = { word: 'G32', diameterProgramming: true, unit: 'mm' } as const;
/** The lathe with an electronic leadscrew as one with a control. */
export const atControl = (b: Bench, control: typeof CONTROL | null = CONTROL): Bench => {
  b.shop = {
    ...b.shop,
    lathes: b.shop.lathes.map((l) => (l.id === 'lathe-els' ? { ...l, kind: 'control' as const, control } : l)),
  };
  return b;
};
export const TRAIN_2MM = { drivers: [63, 20], driven: [40, 50], gearbox: '1' };
/** M30x2 on the inch lathe, put up, measured, touched off. */
export const m30 = (blankMm = 29.93, over: Partial<Job['intake']> = {}): Bench =>
  named('M30x2', over).do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: TRAIN_2MM },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: blankMm },
    { do: 'touchOff' },
  );
/** Made once: edits never change a job, they make another. */
let made: Job[] | null = null;
export const demo = (id: string): Bench => {
  made ??= demoJobs();
  const job = made.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return new Bench(job);
};
