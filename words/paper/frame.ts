import { cautionsAt } from '../../core/job/cautions.ts';
import { latheOf, threadOfJob } from '../../core/job/derive.ts';
import type { Job, Shop, StationId } from '../../core/job/schema.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import type { Frame } from '../../core/sheet/paper.ts';
import { cautionShort } from '../cautions.ts';

/** The sheets of a job, in the order in which they are wanted. */
export const SHEETS = ['traveller', 'gears', 'tool', 'passes', 'parameters', 'chart', 'proof', 'record'] as const;
export type SheetId = (typeof SHEETS)[number];

/** What each is called, and what it is for. */
export const SHEET_NAMES: Readonly<Record<SheetId, { readonly name: string; readonly kind: string }>> = {
  traveller: { name: 'Traveller', kind: 'job traveller: goes with the part' },
  gears: { name: 'Gear card', kind: 'for the cover of the lathe' },
  tool: { name: 'Tool sheet', kind: 'tool sheet, to scale' },
  passes: { name: 'Pass card', kind: 'pass card: tick when the tool is out' },
  parameters: { name: 'Parameter sheet', kind: 'figures to type in at the control' },
  chart: { name: 'Comparator chart', kind: 'comparator chart, to scale' },
  proof: { name: 'Proof', kind: 'what it was proved by' },
  record: { name: 'Record', kind: 'what was made, how, and what fitted' },
};
/** Where its cautions are taken from, and what it says itself before them. */
const CAUTIONS: Readonly<Record<SheetId, { readonly at: StationId | null; readonly own: readonly string[] }>> = {
  traveller: { at: 'cut', own: [] },
  gears: { at: 'gears', own: [] },
  tool: {
    at: null,
    own: [
      'True to scale only if 150 mm along and 100 mm down measure so.',
      'Goggles at the wheel, its rest close up; cool the tool before it turns blue.',
    ],
  },
  passes: { at: 'cut', own: ['Tool out, then reverse: never the other way.'] },
  parameters: {
    at: null,
    own: [
      'A proposal: the control\u2019s own manual rules. First in the air, one pass well clear, and look.',
      'Once a pass has begun, some controls do not stop for hold, override or handwheel.',
    ],
  },
  chart: {
    at: null,
    own: ['True only if 100 mm measures so both ways. This judges the form; size is judged over wires or by a gauge.'],
  },
  proof: {
    at: 'record',
    own: ['This is not a certificate. A shop gauge certifies nothing.'],
  },
  record: { at: 'record', own: ['A record kept by the shop: not a certificate, and no proof of strength.'] },
};
/** Cautions beside the sheet's own that have room on it; the gravest come first. */
const MOST_CAUTIONS = 3;

export interface FrameWords {
  readonly id: SheetId;
  readonly title: string;
  readonly n: number;
  readonly of: number;
  readonly qr: Frame['qr'];
}

/** Head and foot of a sheet of this job. */
export function frameWords(job: Job, shop: Shop, { id, title, n, of, qr }: FrameWords, u: UnitSystem): Frame {
  const { own, at } = CAUTIONS[id];
  const more = at === null ? [] : cautionsAt(at, job, shop).map((c) => cautionShort(c, u));
  return {
    kind: SHEET_NAMES[id].kind,
    title,
    facts: [
      ['job', job.title],
      ['thread', threadOfJob(job)?.designation ?? 'not named'],
      ['lathe', latheOf(job, shop)?.name ?? 'not chosen'],
      ['date', job.changed.slice(0, 10)],
      ['for', job.customer],
      ['by', shop.settings.operator],
    ],
    qr,
    qrSaid: qr ? ['opens this job', 'on this machine'] : [],
    rulerSaid: ['150 mm: lay a rule on it', '(print at 100 %)'],
    // the sheet's own are never left out; of the others the gravest come first
    caution: [...own, ...more].slice(0, Math.max(MOST_CAUTIONS, own.length)),
    foot: `as settled ${job.changed.slice(0, 16).replace('T', ' ')} UTC   \u00b7   a newer sheet of this job? throw this one away`,
    paged: (page, pages) => `sheet ${n} of ${of} \u00b7 page ${page} of ${pages}`,
  };
}
