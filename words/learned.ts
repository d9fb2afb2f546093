import { capital } from './capital.ts';
import type { Learned } from '../core/job/lesson.ts';
import { FINE, lengthText, roundText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

const jobs = (n: number): string => `${n} finished job${n === 1 ? '' : 's'}`;

/** On what lathe, in what material it was found. */
const where = (l: Learned, lathe: string, material: string): string =>
  l.of === 'both'
    ? `on ${lathe} in ${material}`
    : l.of === 'lathe'
      ? `on ${lathe}, in any material`
      : `in ${material}, on any lathe`;

/** Where a number comes from that the shop has learned: kept in the job. */
export const learnedFrom = (l: Learned, lathe: string, material: string): string =>
  `${jobs(l.jobs)} ${where(l, lathe, material)}`;

/** Everything learned, in two sentences. */
export function learnedText(l: Learned, lathe: string, material: string, u: UnitSystem): string {
  const off = Math.abs(l.passes - 1) < 0.02;
  const beyond = lengthText(Math.abs(l.beyondMm), u, FINE);
  return (
    [
      `${capital(jobs(l.jobs))} ${where(l, lathe, material)}:`,
      [
        off ? 'as many passes as planned' : `${roundText(l.passes, 0.01)} times the passes planned`,
        ...(l.capMm === null ? [] : [`none deeper than ${lengthText(l.capMm, u, FINE)}`]),
        `${l.springs} spring pass${l.springs === 1 ? '' : 'es'}`,
        Math.abs(l.beyondMm) < 0.005
          ? 'as deep as planned'
          : `${beyond} ${l.beyondMm > 0 ? 'deeper' : 'shallower'} than planned`,
        `${l.tries} tr${l.tries === 1 ? 'y' : 'ies'} until it was right`,
      ].join(', '),
    ].join(' ') + '.'
  );
}

/** One thread that was made before. */
export const madeText = (m: {
  readonly customer: string;
  readonly title: string;
  readonly thread: string | null;
  readonly train: string | null;
  readonly lathe: string | null;
  readonly changed: string | undefined;
}): string =>
  [
    `You cut ${m.thread ?? 'it'}${m.customer === '' ? '' : ` for ${m.customer}`}`,
    m.train ? ` with ${m.train}` : '',
    m.lathe ? ` on ${m.lathe}` : '',
    m.changed ? `, ${new Date(m.changed).toLocaleDateString(undefined, { month: 'short', year: 'numeric' })}` : '',
    `: ${m.title}.`,
  ].join('');

export const LEARNED_WORDS = {
  title: 'What this lathe has taught',
  none: 'Nothing yet: it comes from jobs that are finished and fit.',
  material: 'material',
  jobs: 'jobs',
  passes: 'passes, cut to planned',
  springs: 'springs',
  beyond: 'deeper than planned',
  tries: 'tries',
  anyMaterial: 'not said',
  plotPasses: 'Passes: planned along, cut up. On the line it went as planned.',
  plotBeyond: 'Deeper than planned, job by job: mostly what sprang away.',
  again: 'Made before',
  take: 'Take its thread',
  takeAll: 'Take its thread, lathe and gears',
  open: 'Open it',
} as const;
