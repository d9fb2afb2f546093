import { stationsOf, stationStates } from '../../core/job/chain.ts';
import { threadOfJob } from '../../core/job/derive.ts';
import { lessonOf, type Lesson } from '../../core/job/lesson.ts';
import { madeThread, type MadeThread } from '../../core/job/madeBefore.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import type { Quantity } from '../../core/evidence/evidence.ts';
import { trainText } from '../../core/gearing/trainText.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { StationId } from '../../core/job/stations.ts';
import type { Checked } from '../../core/formats/check.ts';
import { titleOf } from '../../core/formats/documents.ts';
import { conclusion, threadLine } from '../../words/conclusions.ts';
import { problemLine } from '../../words/problems.ts';
import { ROW_VERSION } from './rowVersion.ts';
import { sectionOf } from '../drawing/section.ts';

/** What the list of jobs shows of one, kept beside it so that the list need not open ten thousand documents. */
export interface JobRow {
  readonly id: string;
  /** Order of last change: a counter, whatever the clock says. */
  readonly touched: number;
  readonly state: 'good' | 'newer' | 'damaged';
  /** Of a damaged one, what is wrong; of a newer one, its version. */
  readonly why: string | null;
  readonly title: string;
  readonly customer: string;
  readonly thread: string | null;
  readonly done: boolean;
  /** When it was last changed; rows of an older Gelvin have none. */
  readonly changed?: string;
  /** Shape of the row; one of an older Gelvin is made again. */
  readonly v?: number;
  /** All the words by which it is found while the index is on its way, in small letters. */
  readonly find: string;
  /** What was read, as typed and in both systems. */
  readonly seek?: string;
  /** Notes, material and set-up. */
  readonly notes?: string;
  /** Family of its thread, by which the list is sifted. */
  readonly family?: string | null;
  readonly archived?: boolean;
  /** What it taught, and the thread by which it is known again; null: nothing yet. */
  readonly lesson?: Lesson | null;
  readonly made?: MadeThread | null;
  readonly train?: string | null;
  /** Identity of the lathe that was chosen. */
  readonly lathe?: string | null;
  /** Where to go on and what is concluded there; null until somebody has seen it since the shop last changed. */
  readonly line: RowLine | null;
}
export interface RowLine {
  /** Revision of the shop that it was concluded with. */
  readonly shopRev: number;
  readonly next: StationId;
  readonly mm: string | null;
  readonly in: string | null;
  /** The stations in order, a letter each: settled, open, again, waits; rows of an older Gelvin have none. */
  readonly chain?: string;
  /** The form of the part’s thread as a path in a box of 72 by 24, with its metal; rows of an older Gelvin have none. */
  readonly form?: string;
}
/** Figures of a job by which somebody may remember it: as typed, and diameters in both systems. */
function seekOf(job: Job): string {
  const read = job.readings.flatMap((r) =>
    LENGTHS.includes(r.quantity)
      ? [r.text, lengthText(r.value, 'mm', BARE), lengthText(r.value, 'in', BARE)]
      : [r.text, r.span?.text ?? ''],
  );
  const pictures = job.pictures.map((p) => p.name);
  const train = job.gears.train ? trainText(job.gears.train) : '';
  return [...new Set([...read, ...pictures, train])].join(' ');
}
/** How it was set up, in the words of the trade: fed, held, steadied. */
function setupWords(job: Job): string {
  const held = job.events.flatMap((e) =>
    e.kind === 'mounted' ? [e.holding, e.steady === 'none' ? '' : e.steady] : [],
  );
  return [...new Set([job.setup.infeed, job.setup.held.by ?? '', ...held])].join(' ').replaceAll('-', ' ');
}
const BARE = { ...FINE, bare: true };
const LENGTHS: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'overWires', 'depth'];

const LETTER = { settled: 's', open: 'o', stale: 'a', blocked: 'w' } as const;

/** The row of a document as it is kept, whatever state that is in. */
export function rowOf(id: string, raw: unknown, checked: Checked<Job>, touched: number, line: RowLine | null): JobRow {
  if (checked.state === 'good') {
    const job = checked.doc;
    const thread = threadLine(job);
    return {
      id,
      touched,
      state: 'good',
      why: null,
      title: job.title,
      customer: job.customer,
      thread,
      done: job.record.verdict !== null,
      changed: job.changed,
      v: ROW_VERSION,
      seek: seekOf(job),
      notes: `${job.intake.note} ${job.intake.material} ${job.record.note} ${setupWords(job)}`,
      lathe: job.gears.lathe,
      family: threadOfJob(job)?.family ?? null,
      archived: job.archived === true,
      lesson: lessonOf(job),
      made: madeThread(job),
      train: job.gears.train ? trainText(job.gears.train) : null,
      find: `${job.title} ${job.customer} ${thread ?? ''} ${job.intake.note} ${job.record.note}`.toLowerCase(),
      line,
    };
  }
  const title = titleOf(raw);
  const [first] = checked.state === 'damaged' ? checked.problems : [];
  return {
    id,
    touched,
    state: checked.state,
    why: checked.state === 'newer' ? checked.version : first ? `${first.field}: ${problemLine(first, 'mm')}` : null,
    title,
    customer: '',
    thread: null,
    done: false,
    v: ROW_VERSION,
    find: title.toLowerCase(),
    line: null,
  };
}

/** Where to go on: the first station that is stale or open; and what is concluded there, in both systems. */
export function lineOf(job: Job, shop: Shop, shopRev: number): RowLine {
  const states = stationStates(job, shop, threadOfJob(job));
  const done = job.record.verdict !== null;
  const next = done ? 'record' : (stationsOf(job).find((s) => states[s].kind !== 'settled') ?? 'record');
  return {
    shopRev,
    next,
    mm: conclusion(next, job, shop, 'mm'),
    in: conclusion(next, job, shop, 'in'),
    chain: stationsOf(job)
      .map((s) => LETTER[states[s].kind])
      .join(''),
    ...formOf(job),
  };
}

const BOX = { w: 72, h: 24 };
const RIDGES = 4;

/** The named thread of the part that is made, small, true to the proportion of its form. */
function formOf(job: Job): { readonly form?: string } {
  const thread = threadOfJob(job);
  if (!thread) return {};
  const side = job.intake.make;
  const { points, width, depth } = sectionOf(thread, side, RIDGES);
  const scale = BOX.w / width;
  const up = side === 'external' ? 2 : Math.max(2, BOX.h - 4 - depth * scale);
  const d = points
    .map((p) => `${(p.x * scale).toFixed(1)} ${(up + p.y * scale).toFixed(1)}`)
    .filter((at, i, all) => at !== all[i - 1])
    .join('L');
  return { form: `M${d}V${side === 'external' ? BOX.h : 0}H0Z` };
}
