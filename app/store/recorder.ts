import { createNextState, type Draft } from '@reduxjs/toolkit';
import { bothChanged } from '../../core/formats/changes.ts';
import type { Edit } from '../../core/job/edits/index.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import type { Problem } from '../../core/quantity/outcome.ts';
import { db, loadJob, writeDocuments, writeRoad } from '../storage/db.ts';
import { checkShop } from '../../core/formats/checkShop.ts';
import { knowing } from '../storage/knowing.ts';
import { begin, edit, redo, undo, type History } from '../storage/history.ts';
import type { Channel } from './channel.ts';

/** Identity and time of what is done. */
export interface Made {
  readonly id: string;
  readonly at: string;
}
/** What was done since the record was last written, as recipes on data: they can be done again on a newer document. */
export type Act =
  | { readonly kind: 'edit'; readonly edit: Edit; readonly label: string; readonly made: Made }
  | { readonly kind: 'back' | 'forward'; readonly made: Made }
  | { readonly kind: 'shop'; readonly label: string; readonly recipe: (draft: Draft<Shop>) => void }
  | { readonly kind: 'shopBack' | 'shopForward' }
  /** Nothing is changed, and the document is written all the same. */
  | { readonly kind: 'keep' };

/** What the recorder has to say to the one who works. */
export interface Told {
  /** Written; the last try failed, with the reason; the job was taken away in another window. */
  readonly state: 'written' | 'writing' | 'failed' | 'gone';
  readonly because: unknown;
}
/** Another window changed the same facts: what stands now is the later change. */
export interface Overlap {
  readonly places: readonly string[];
  readonly refused: Problem | null;
}

export interface Work {
  readonly job: History<Job> | null;
  readonly shop: History<Shop> | null;
}
interface Hooks {
  readonly work: () => Work;
  readonly tell: (t: Told) => void;
  /** The documents as they are after another window's changes, ours done again on top. */
  readonly rebased: (work: Work, overlap: Overlap | null) => void;
  readonly channel: Channel;
}

/** Another window left a document that is damaged, or of a newer Gelvin. */
class UnreadableError extends Error {
  override readonly name = 'UnreadableError';
}

const RETRY_MS = [500, 1500, 4000, 10_000] as const;
/** Fields that every edit changes. */
const ALWAYS = ['changed'];

/** Does one act to the documents; the problem where it is refused. */
export function perform(work: Work, act: Act): Work | Problem {
  const { job, shop } = work;
  switch (act.kind) {
    case 'keep':
      return work;
    case 'edit': {
      if (!job || !shop) return work;
      const done = knowing().applyEdit(job.present, shop.present, act.edit, act.made);
      if (!done.ok) return done.problem;
      const { job: next, shop: nextShop, events } = done.value;
      return {
        job: edit(job, next, act.label, events),
        shop: nextShop === shop.present ? shop : edit(shop, nextShop, act.label),
      };
    }
    case 'back':
    case 'forward':
      return job
        ? {
            ...work,
            job: (act.kind === 'back' ? undo : redo)(job, (present, step) => knowing().goOver(present, step, act.made)),
          }
        : work;
    case 'shop':
      return shop ? { ...work, shop: edit(shop, createNextState(shop.present, act.recipe), act.label) } : work;
    case 'shopBack':
    case 'shopForward':
      return shop ? { ...work, shop: (act.kind === 'shopBack' ? undo : redo)(shop) } : work;
  }
}
export const isWork = (x: Work | Problem): x is Work => 'shop' in x;

/**
 * Keeps memory and record together: what is done is written at once, again and again where that fails, and done anew on top
 * where another window was first. One at a time: a slow disk never lets an older document overwrite a newer one.
 */
export class Recorder {
  private pending: Act[] = [];
  private jobRev: number | null = null;
  private shopRev: number | null = null;
  /** Documents as they were last read or written. */
  private base: { job: Job | null; shop: Shop | null } = { job: null, shop: null };
  private running: Promise<void> | null = null;
  private failures = 0;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private gone = false;
  private readonly hooks: Hooks;
  constructor(hooks: Hooks) {
    this.hooks = hooks;
  }

  /** A document was opened as it lies in the record. */
  openedJob(job: Job | null, rev: number | null): void {
    this.base.job = job;
    this.jobRev = rev;
    this.gone = false;
  }
  openedShop(shop: Shop, rev: number): void {
    this.base.shop = shop;
    this.shopRev = rev;
  }
  get revs(): { readonly job: number | null; readonly shop: number | null } {
    return { job: this.jobRev, shop: this.shopRev };
  }
  get unwritten(): boolean {
    return this.pending.length > 0;
  }

  /** Something was done in memory: it is written. */
  done(act: Act): void {
    this.pending.push(act);
    this.hooks.tell({ state: this.gone ? 'gone' : 'writing', because: null });
    void this.flush();
  }
  /** Resolves when everything done so far was written, or could not be for now. */
  async settled(): Promise<void> {
    while (this.running) await this.running;
  }
  /** Tries again at once. */
  retry(): void {
    this.flush().catch(() => undefined);
  }
  /** What was taken away elsewhere is kept all the same: written as new. */
  keep(): void {
    this.gone = false;
    this.jobRev = null;
    this.base.job = null;
    this.done({ kind: 'keep' });
  }
  /** Lets go of what could not be written. */
  drop(): void {
    this.pending = [];
    this.gone = false;
    this.hooks.tell({ state: 'written', because: null });
  }

  private flush(): Promise<void> {
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = null;
    this.running ??= this.write().finally(() => {
      this.running = null;
    });
    return this.running;
  }
  private async write(): Promise<void> {
    while (this.pending.length > 0 && !this.gone) {
      const acts = this.pending.length;
      const { job, shop } = this.hooks.work();
      const [newJob, newShop] = [job?.present ?? null, shop?.present ?? null];
      try {
        const written = await writeDocuments({
          job: newJob && newJob !== this.base.job ? { doc: newJob, rev: this.jobRev } : null,
          shop: newShop && newShop !== this.base.shop ? { doc: newShop, rev: this.shopRev } : null,
        });
        this.failures = 0;
        if (!written.done) {
          if (written.gone) {
            this.gone = true;
            this.hooks.tell({ state: 'gone', because: null });
            return;
          }
          await this.rebase();
          continue;
        }
        this.pending.splice(0, acts);
        this.base = { job: newJob, shop: newShop };
        this.jobRev = written.jobRev ?? this.jobRev;
        this.shopRev = written.shopRev ?? this.shopRev;
        if (this.pending.length === 0) this.hooks.tell({ state: 'written', because: null });
        if (newJob && written.jobRev !== null)
          this.hooks.channel.say({ what: 'job', id: newJob.id, rev: written.jobRev });
        if (written.shopRev !== null) this.hooks.channel.say({ what: 'shop', rev: written.shopRev });
        if (job && newJob && written.jobRev !== null)
          // the road may follow: without its last step only one way back is missing
          await writeRoad(
            newJob,
            job.past,
            newShop && this.shopRev !== null ? { doc: newShop, rev: this.shopRev } : null,
          );
      } catch (e) {
        this.hooks.tell({ state: 'failed', because: e });
        const wait = RETRY_MS[Math.min(this.failures, RETRY_MS.length - 1)];
        this.failures += 1;
        this.timer = setTimeout(() => void this.flush(), wait);
        return;
      }
    }
  }

  /** Another window wrote: follows it, and does again what was not written yet. */
  async follow(): Promise<void> {
    await this.settled();
    if (this.gone) return;
    // in its turn, as a write is: a document read while another was written would be an old one
    // and what cannot be read now is met again with the next act
    this.running = this.rebase()
      .catch(() => undefined)
      .finally(() => {
        this.running = null;
      });
    await this.running;
    if (this.pending.length > 0) await this.flush();
  }

  private async rebase(): Promise<void> {
    const id = this.hooks.work().job?.present.id ?? null;
    const [found, storedShop] = await Promise.all([id === null ? null : loadJob(id), db.shop.get('shop')]);
    // what was done while the record was read is among the pending
    const now = this.hooks.work();
    if (now.job && now.job.present.id !== id) return;
    if (now.job && !found) {
      this.gone = true;
      this.hooks.tell({ state: 'gone', because: null });
      return;
    }
    const mine = { job: now.job?.present ?? null, shop: now.shop?.present ?? null };
    const jobMoved = found !== null && found.rev !== this.jobRev && found.checked.state === 'good';
    const theirShop = storedShop && storedShop.rev !== this.shopRev ? checkShop(storedShop.doc) : null;
    // nothing is done on top of what is not read here: it is tried again, and said
    if (now.job && found && found.rev !== this.jobRev && !jobMoved) throw new UnreadableError();
    if (theirShop && theirShop.state !== 'good') throw new UnreadableError();
    const again = this.pending.length > 0;
    let work: Work = {
      job:
        now.job && jobMoved && found.checked.state === 'good'
          ? begin(found.checked.doc, found.past)
          : again && now.job && this.base.job
            ? begin(this.base.job, found?.past ?? [])
            : now.job,
      shop:
        now.shop && theirShop?.state === 'good'
          ? begin(theirShop.doc)
          : again && now.shop && this.base.shop
            ? begin(this.base.shop)
            : now.shop,
    };
    const theirs = { job: work.job?.present ?? null, shop: work.shop?.present ?? null };
    let refused: Problem | null = null;
    const kept: Act[] = [];
    for (const act of this.pending) {
      // a way back that was meant for another document goes nowhere now
      if (act.kind !== 'edit' && act.kind !== 'shop' && act.kind !== 'keep') continue;
      const next = perform(work, act);
      if (isWork(next)) {
        work = next;
        kept.push(act);
      } else refused = next;
    }
    const places = again
      ? [
          ...bothChanged(this.base.job, theirs.job, mine.job, ALWAYS),
          ...bothChanged(this.base.shop, theirs.shop, mine.shop, ALWAYS),
        ]
      : [];
    this.pending = kept;
    this.base = theirs;
    if (jobMoved) this.jobRev = found.rev;
    if (theirShop?.state === 'good' && storedShop) this.shopRev = storedShop.rev;
    this.hooks.rebased(work, places.length > 0 || refused ? { places, refused } : null);
    if (kept.length === 0) this.hooks.tell({ state: 'written', because: null });
  }
}
