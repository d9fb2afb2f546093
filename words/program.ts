import type { JobProgram, ProgramMissing } from '../core/job/program.ts';
import type { MotionParams } from '../core/motion/motion.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import { pitchText } from '../core/quantity/pitch.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { threadOfJob } from '../core/job/derive.ts';
import { electronicView } from '../core/job/electronic.ts';
import type { Job, Shop } from '../core/job/schema.ts';
import type { Lathe } from '../core/lathe/schema.ts';
import { leadOf } from '../core/standards/thread.ts';
import { electronicRows } from './electronic.ts';
import type { ParameterRow } from './parameterRow.ts';

/** What is said at the head of a program; what runs it is not known, so its manual rules. */
export const programComments = (title: string, thread: string, p: MotionParams): string[] => [
  `${title}, ${thread}`,
  'PROPOSAL. READ BEFORE IT RUNS. THE MANUAL OF THE CONTROL RULES.',
  'RUN IT FIRST IN THE AIR, X WELL OFF THE PART, FINGER ON THE STOP.',
  'CHECK: X DIAMETER OR RADIUS, UNIT, SIGN OF Z, TOOL OFFSET, Z ZERO AT THE FACE, TAILSTOCK AND JAWS CLEAR.',
  'FEED HOLD AND OVERRIDE MAY BE IGNORED IN A THREAD BLOCK. SPEED MUST NOT CHANGE BETWEEN PASSES.',
  `${p.hand.toUpperCase()} HAND, ${p.starts} START${p.starts === 1 ? '' : 'S'}, ${p.cuts} CUTS, ${p.springs} SPRING PASSES.`,
];

const MISSING: Readonly<Record<ProgramMissing, string>> = {
  surface: 'the surface measured, on the card',
  length: 'the length of the thread, under Room to stop',
  speed: 'a speed, under Room to stop',
  groove: 'the old groove found, under Pick up',
  plan: 'a pass still to cut',
};
/** What is not said yet. */
export const missingText = (missing: readonly ProgramMissing[]): string =>
  `Wanted first: ${missing.map((m) => MISSING[m]).join('; ')}.`;

/** What a lathe that is told its lead is given: what it is typed by itself, then what every control may ask. */
export function programRows(job: Job, shop: Shop, lathe: Lathe, p: JobProgram, u: UnitSystem): ParameterRow[] {
  const thread = threadOfJob(job);
  const told = electronicView(job, shop);
  const own = told && thread ? electronicRows(told, leadOf(thread), lathe.typed, u) : [];
  // its own rows say lead, start and end already
  return [...own, ...parameterRows(p, u).filter((r) => !told || !/^(Lead|Z start|Z end)$/.test(r.name))];
}
/** Every parameter that a conversational control may ask, with how it came. */
export function parameterRows(p: JobProgram, u: UnitSystem): ParameterRow[] {
  const { motion, lead } = p;
  const q = motion.params;
  const mm = (x: number): string => lengthText(x, u, FINE);
  const row = (name: string, value: string, how: string): ParameterRow => ({ name, value, how });
  return [
    row('Lead', pitchText(lead, u), 'pitch times starts, exact'),
    row('Starts', String(q.starts), 'by its name'),
    row('Hand', q.hand, 'by its name'),
    row('Diameter at the start', mm(p.surfaceMm), 'the surface as measured'),
    row('Diameter of the first pass', mm(q.firstXMm), 'the surface less twice its depth'),
    row('Diameter of the last pass', mm(q.finalXMm), 'the surface less twice the depth of the plan'),
    row('Depth', mm(q.depthMm), 'from the plan, with this tip, on the radius'),
    row('Last infeed', mm(q.lastInfeedMm), 'the last step that still cuts, on the radius'),
    row('Passes', `${q.cuts} + ${q.springs}`, 'from the plan, and spring passes'),
    row('Infeed angle', degreesText(q.infeedDeg, 0.1), 'straight in for a recut: 0'),
    row('Taper, half-angle', degreesText(q.taperDeg, 0.01), 'by its form'),
    row('Z start', mm(motion.start.zMm), 'whole leads from the groove, three clear at least'),
    row('Z end', mm(motion.end.zMm), 'the length of the thread, from the face'),
    row('X clear', mm(motion.start.xMm), 'off the widest place of the travel, as a diameter'),
    row('Speed', `${Math.round(p.rpm)} rpm`, 'by material and by the room to stop'),
    row('Feed', `${mm(q.feedMmPerMin)} a minute`, 'lead times speed: what the carriage has to follow'),
  ];
}
