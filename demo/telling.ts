import { basisOf, RESTS_ON } from '../core/job/chain.ts';
import { emptyShop } from '../core/job/create.ts';
import { suitFit } from '../core/job/defaults.ts';
import { applyEdit, type Edit } from '../core/job/edits/index.ts';
import { evidenceOfJob, partOf } from '../core/job/evidence.ts';
import { rank } from '../core/identify/rank.ts';
import { readEntry } from '../core/reading/kinds.ts';
import type { EntryText } from '../core/reading/kind.ts';
import type { Job, JobDraft, Reading, Shop } from '../core/job/schema.ts';
import type { StationId } from '../core/job/stations.ts';
import { parseDesignation } from '../core/standards/designation.ts';

/** How a demo job is told: as somebody would have typed it, and done it. */
export type Told = readonly [
  quantity: EntryText['quantity'],
  text: string,
  more?: {
    at?: number;
    mate?: boolean;
    span?: string;
    leaf?: EntryText['leaf'];
    wear?: Reading['wear'];
    place?: string;
    with?: string;
  },
];

/** The job as it is now, as core takes documents: never written to again. */
export const asWritten = (job: JobDraft): Job => structuredClone(job);

export function tell(job: JobDraft, told: readonly Told[]): void {
  const shop = emptyShop();
  told.forEach(([quantity, text, more = {}], i) => {
    const entry = readEntry({ quantity, text, spanText: more.span ?? '', leaf: more.leaf ?? 'fits' }, 'mm');
    if (!entry.ok) throw new Error(`demo reading ${text}: ${entry.problem.code}`);
    const instrument = shop.instruments.find((x) => x.id === more.with) ?? null;
    job.readings.push({
      id: `r${i + 1}`,
      quantity,
      text,
      ...entry.value,
      instrument: instrument?.id ?? null,
      uncertainty: instrument?.uncertainty ?? null,
      member: more.mate ? 'mate' : 'part',
      place: more.place ?? '',
      positionMm: more.at ?? null,
      wear: more.wear ?? 'unknown',
      at: job.created,
    });
  });
}

/** Names a demo job; how sure that is comes from its own readings. */
export function name(job: JobDraft, designation: string, reason = ''): void {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(`demo thread ${designation}: ${parsed.problem.code}`);
  const { special, ...plain } = parsed.value.thread;
  const now = asWritten(job);
  const ranking = rank({
    part: partOf(now),
    evidence: evidenceOfJob(now),
    context: { origin: job.intake.origin, use: job.intake.use },
    most: 20,
  });
  const found = ranking.candidates.find((c) => c.thread.designation === plain.designation);
  const probability = found?.probability ?? (plain.family === 'Special' ? ranking.special.probability : 0);
  job.name = {
    thread: special ? { ...plain, special: { ...special } } : plain,
    probability,
    overruled: reason !== '',
    reason,
  };
  Object.assign(job, structuredClone(suitFit(asWritten(job))));
}

export function settled(job: JobDraft, shop: Shop, stations: readonly StationId[]): void {
  const now = asWritten(job);
  const believed = now.name?.thread ?? null;
  for (const s of stations) {
    for (const under of RESTS_ON[s])
      if (!stations.includes(under)) throw new Error(`demo: ${s} settled before ${under}`);
    job.settled[s] = { basis: { ...basisOf(s, now, shop, believed) }, at: job.changed };
  }
}

/** Acts at the lathe, a quarter of an hour apart: written to the ledger as the interface writes them. */
export function acts(job: JobDraft, shop: Shop, from: string, edits: readonly Edit[]): void {
  const start = Date.parse(from);
  let now = asWritten(job);
  edits.forEach((e, i) => {
    const at = new Date(start + i * 15 * 60_000).toISOString();
    const done = applyEdit(now, shop, e, { id: `demo-${i + 1}`, at });
    if (!done.ok) throw new Error(`demo ${job.id}, ${e.do}: ${done.problem.code}`);
    now = done.value.job;
  });
  Object.assign(job, structuredClone(now));
}
export const times = (n: number, e: Edit): Edit[] => Array.from({ length: n }, () => e);
