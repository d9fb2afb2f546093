import { coastTurns, stoppingTurns } from '../cutting/clearRun.ts';
import { speedFrom } from '../cutting/speed.ts';
import type { FitPlan } from '../fit/fit.ts';
import { numberOf } from '../quantity/rational.ts';
import { plain, type Step } from '../quantity/working.ts';
import { leadMmOf, pitchMmOf, threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import type { Job, Shop } from './schema.ts';
import { setupOf } from './setupView.ts';

/** A dimension of the blank, by what it is. */
export type BlankCode =
  | 'blank'
  | 'bore'
  | 'thread-length'
  | 'start-chamfer'
  | 'countersink'
  | 'groove-diameter'
  | 'groove-width'
  | 'groove-corner'
  | 'groove-side'
  | 'taper-out'
  | 'relief-diameter'
  | 'relief-width'
  | 'nut-length'
  | 'half-thread';

/** One figure of the blank, and how far it may lie from it. */
export interface BlankFigure {
  readonly code: BlankCode;
  readonly value: number;
  readonly unit: 'mm' | 'deg' | 'turns';
  /** How far it may lie from there: limits of the class, or what the trade leaves open; null: as near as it can be made. */
  readonly limits: { readonly min: number | null; readonly max: number | null } | null;
  readonly step: Step;
}
/** What the blank is turned or bored to before a thread is cut. */
export interface BlankSheet {
  readonly make: 'external' | 'internal';
  readonly figures: readonly BlankFigure[];
  /** What cannot be said yet. */
  readonly missing: readonly ('length' | 'speed')[];
  /** The groove that was given is narrower than the speed chosen wants. */
  readonly grooveTooNarrow: boolean;
}

/** Figures of common practice, no source: how far a groove lies under the root, the start's chamfer under it, a countersink over it. */
const GROOVE_UNDER_MM = 0.2;
const CHAMFER_UNDER_MM = 0.3;
const CHAMFER_LEAST_MM = 0.1;
const CHAMFER_MOST_MM = 0.5;
const SINK_SHARE = 1.04;
const SINK_MOST = 1.08;
const SINK_OVER_MM = 0.2;
const BLIND_OVER_MM = 0.3;
const BLIND_OVER = [0.2, 0.5] as const;
const BLIND_PITCHES = [2.5, 3] as const;
/** A corner radius of half the pitch and a far side of 30 degrees are usual for grooves. From memory, after DIN 76-1. */
const CORNER_PITCHES = 0.5;
const FAR_SIDE_DEG = 30;
/** Length of a nut over the diameter: fixing, and moving under load. Common practice, no source. */
const NUT_LENGTH = { fixing: [0.8, 1], moving: [1.5, 2] } as const;

const PRACTICE = 'common practice, no source';
const step = (
  name: string,
  symbol: string,
  formula: string,
  values: string,
  result: number,
  source: string,
  unit: Step['unit'] = 'mm',
): Step => ({ name, symbol, formula, values, result, unit, source });

/**
 * The blank as it is turned or bored before anything is threaded; null: no thread is named.
 * @example blankSheet(demo('pump'), shop).make // 'external'
 */
export function blankSheet(job: Job, shop: Shop): BlankSheet | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  if (!thread || !fit) return null;
  return fit.make === 'external' ? screwBlank(job, shop, thread, fit) : nutBlank(job, shop, thread, fit);
}

/** Width in which the tool has to come to a stand at the speed chosen, mm; null: the speed is not known. */
function stopWidth(job: Job, shop: Shop): { readonly mm: number; readonly step: Step } | null {
  const lead = gearState(job, shop)?.lead;
  const view = setupOf(job, shop);
  // too quick all of them: the room is made for the slowest
  const rpm = view?.allTooQuick ? speedFrom(latheOf(job, shop)?.speeds ?? [], 0) : (view?.rpm ?? null);
  if (!lead || !view?.end || view.end.toolWidthMm === null || rpm === null) return null;
  const leadMm = numberOf(lead);
  const { coast, needS, toolWidthMm: toolMm } = view.end;
  const mm = toolMm + stoppingTurns(rpm, needS, coast) * leadMm;
  return {
    mm,
    step: step(
      'Groove, at least',
      'w',
      'tool + (rev/min \u00d7 time / 60 + coast) \u00d7 lead',
      `${plain(toolMm)} + (${plain(rpm)} \u00d7 ${plain(needS)} / 60 + ${plain(coastTurns(rpm, coast))}) \u00d7 ${plain(leadMm)}`,
      mm,
      'kinematics',
    ),
  };
}

function screwBlank(job: Job, shop: Shop, thread: ThreadSpec, fit: FitPlan): BlankSheet {
  const pitchMm = pitchMmOf(thread);
  const lead = gearState(job, shop)?.lead;
  const leadMm = lead ? numberOf(lead) : leadMmOf(thread);
  const { end, lengthMm, taperOutMm, reliefMm } = job.setup;
  const rootMm = fit.rootDiameterMm;
  const figures: BlankFigure[] = [
    {
      code: 'blank',
      value: fit.startDiameterMm,
      unit: 'mm',
      limits: fit.limits ? fit.limits.start : null,
      step: fit.working.start,
    },
    ...lengthFigure(lengthMm),
    {
      code: 'start-chamfer',
      value: rootMm - CHAMFER_UNDER_MM,
      unit: 'mm',
      limits: { min: rootMm - CHAMFER_MOST_MM, max: rootMm - CHAMFER_LEAST_MM },
      step: step(
        'Chamfer down to',
        'd',
        'root \u2212 0.3',
        `${plain(rootMm)} \u2212 ${plain(CHAMFER_UNDER_MM)}`,
        rootMm - CHAMFER_UNDER_MM,
        PRACTICE,
      ),
    },
  ];
  const missing: BlankSheet['missing'][number][] = lengthMm === null ? ['length'] : [];
  let grooveTooNarrow = false;
  if (end === 'groove') {
    const wide = stopWidth(job, shop);
    if (!wide) missing.push('speed');
    grooveTooNarrow = wide !== null && reliefMm !== null && reliefMm < wide.mm - 1e-9;
    figures.push(
      {
        code: 'groove-diameter',
        value: rootMm - GROOVE_UNDER_MM,
        unit: 'mm',
        limits: null,
        step: step(
          'Groove diameter',
          'd',
          'root \u2212 0.2',
          `${plain(rootMm)} \u2212 ${plain(GROOVE_UNDER_MM)}`,
          rootMm - GROOVE_UNDER_MM,
          PRACTICE,
        ),
      },
      ...(wide
        ? [{ code: 'groove-width' as const, value: wide.mm, unit: 'mm' as const, limits: null, step: wide.step }]
        : []),
      {
        code: 'groove-corner',
        value: CORNER_PITCHES * pitchMm,
        unit: 'mm',
        limits: null,
        step: step(
          'Corner radius, about',
          'r',
          'P / 2',
          `${plain(pitchMm)} / 2`,
          CORNER_PITCHES * pitchMm,
          'from memory, after DIN 76-1',
        ),
      },
      {
        code: 'groove-side',
        value: FAR_SIDE_DEG,
        unit: 'deg',
        limits: null,
        step: step('Side of the groove', 'a', '30 degrees', '30', FAR_SIDE_DEG, 'from memory, after DIN 76-1', 'deg'),
      },
    );
  }
  if (end === 'taper-out') {
    const mm = taperOutMm ?? leadMm;
    figures.push({
      code: 'taper-out',
      value: mm,
      unit: 'mm',
      limits: null,
      step:
        taperOutMm === null
          ? step('Thread fades over', 'x', 'one turn \u00d7 lead', `1 \u00d7 ${plain(leadMm)}`, mm, PRACTICE)
          : step('Thread fades over', 'x', 'as given', plain(mm), mm, 'given'),
    });
  }
  return { make: 'external', figures, missing, grooveTooNarrow };
}

const lengthFigure = (lengthMm: number | null): BlankFigure[] =>
  lengthMm === null
    ? []
    : [
        {
          code: 'thread-length',
          value: lengthMm,
          unit: 'mm',
          limits: null,
          step: step('Length of thread', 'l', 'as given', plain(lengthMm), lengthMm, 'given'),
        },
      ];

function nutBlank(job: Job, shop: Shop, thread: ThreadSpec, fit: FitPlan): BlankSheet {
  const pitchMm = pitchMmOf(thread);
  const form = threadFormOf(thread);
  const d = thread.majorMm;
  const sink = Math.max(SINK_SHARE * d, d + SINK_OVER_MM);
  const [least, most] = NUT_LENGTH[job.intake.use === 'power-screw' ? 'moving' : 'fixing'];
  const heightMm = form.internal.outerMm + form.internal.innerMm;
  const figures: BlankFigure[] = [
    {
      code: 'bore',
      value: fit.startDiameterMm,
      unit: 'mm',
      limits: fit.limits ? fit.limits.start : null,
      step: fit.working.start,
    },
    ...lengthFigure(job.setup.lengthMm),
    {
      code: 'nut-length',
      value: ((least + most) / 2) * d,
      unit: 'mm',
      limits: { min: least * d, max: most * d },
      step: step(
        'Length of the nut',
        'l',
        `${least} to ${most} \u00d7 diameter`,
        `${plain((least + most) / 2)} \u00d7 ${plain(d)}`,
        ((least + most) / 2) * d,
        PRACTICE,
      ),
    },
    {
      code: 'countersink',
      value: sink,
      unit: 'mm',
      limits: { min: d + SINK_OVER_MM, max: Math.max(sink, SINK_MOST * d) },
      step: step(
        'Countersink, both ends, to',
        'D',
        sink > SINK_SHARE * d ? 'major + 0.2' : '1.04 \u00d7 major',
        sink > SINK_SHARE * d ? `${plain(d)} + ${plain(SINK_OVER_MM)}` : `${SINK_SHARE} \u00d7 ${plain(d)}`,
        sink,
        'from memory',
      ),
    },
    {
      code: 'half-thread',
      value: heightMm / pitchMm,
      unit: 'turns',
      limits: null,
      step: step(
        'Thin thread behind a 45\u00b0 countersink',
        'n',
        'depth of thread / pitch',
        `${plain(heightMm)} / ${plain(pitchMm)}`,
        heightMm / pitchMm,
        'geometry',
        'ratio',
      ),
    },
  ];
  let grooveTooNarrow = false;
  const missing: BlankSheet['missing'][number][] = [];
  if (job.setup.end === 'blind' || job.setup.end === 'groove') {
    const wide = stopWidth(job, shop);
    if (!wide) missing.push('speed');
    grooveTooNarrow = wide !== null && job.setup.reliefMm !== null && job.setup.reliefMm < wide.mm - 1e-9;
    const rootMm = fit.rootDiameterMm;
    const usual = BLIND_PITCHES[0] * pitchMm;
    const width = wide && wide.mm > usual ? wide : null;
    figures.push(
      {
        code: 'relief-diameter',
        value: rootMm + BLIND_OVER_MM,
        unit: 'mm',
        limits: { min: rootMm + BLIND_OVER[0], max: rootMm + BLIND_OVER[1] },
        step: step(
          'Relief, over the root',
          'D',
          'root + 0.3',
          `${plain(rootMm)} + ${plain(BLIND_OVER_MM)}`,
          rootMm + BLIND_OVER_MM,
          PRACTICE,
        ),
      },
      {
        code: 'relief-width',
        value: width?.mm ?? usual,
        unit: 'mm',
        limits: null,
        step:
          width?.step ??
          step(
            'Relief, at least',
            'w',
            '2.5 \u00d7 P',
            `${BLIND_PITCHES[0]} \u00d7 ${plain(pitchMm)}`,
            usual,
            PRACTICE,
          ),
      },
    );
  }
  return { make: 'internal', figures, missing, grooveTooNarrow };
}
