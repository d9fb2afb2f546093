import { scaleLinear } from 'd3-scale';
import type { StationState } from '../../core/job/chain.ts';
import { chartOfJob } from '../../core/job/chartOfJob.ts';
import { gearState, fitOfJob, latheOf, threadOfJob } from '../../core/job/derive.ts';
import type { Machine } from '../../core/job/machine.ts';
import { threadExists } from '../../core/job/metal.ts';
import { partShape } from '../../core/job/partShape.ts';
import { passRowsOf } from '../../core/job/passRows.ts';
import { programOfJob } from '../../core/job/program.ts';
import { safeMarks } from '../../core/job/safeMarks.ts';
import type { Job, Shop, StationId } from '../../core/job/schema.ts';
import { toolViewOf } from '../../core/job/toolView.ts';
import { proofVerdict } from '../../core/job/verdict.ts';
import { gearsToChange } from '../../core/gearing/train.ts';
import { mountOn } from '../../core/gearing/mounting/index.ts';
import { turnsProof } from '../../core/gearing/proof/index.ts';
import { isGeared } from '../../core/lathe/schema.ts';
import { exact } from '../../core/quantity/rational.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { chartBodies, mostScale, type ChartTurn } from '../../core/sheet/chart.ts';
import { gearCardBodies } from '../../core/sheet/gearCard.ts';
import { bodyLow, pagesOf, type Frame, type Paper } from '../../core/sheet/paper.ts';
import { parameterBodies } from '../../core/sheet/parameterSheet.ts';
import { passCardBodies } from '../../core/sheet/passCard.ts';
import { proofBodies } from '../../core/sheet/proofSheet.ts';
import { recordBodies } from '../../core/sheet/recordSheet.ts';
import type { Shape, Sheet } from '../../core/sheet/shapes.ts';
import { toolSheetBodies } from '../../core/sheet/toolSheet.ts';
import { travellerBodies } from '../../core/sheet/traveller.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
import { chartWords } from '../../words/chart.ts';
import { mountText } from '../../words/gears.ts';
import { motionsOfJob } from '../../words/machine.ts';
import { frameWords, SHEETS, type SheetId } from '../../words/paper/frame.ts';
import { gearCardWords, NOT_MEASURED } from '../../words/paper/gearCard.ts';
import { passCardWords } from '../../words/paper/passCard.ts';
import { recordWords } from '../../words/paper/record.ts';
import { TITLES, WHY_NOT } from '../../words/paper/titles.ts';
import { travellerWords } from '../../words/paper/traveller.ts';
import { parameterWords } from '../../words/parameterSheet.ts';
import { problemText } from '../../words/problems.ts';
import { missingText, programRows } from '../../words/program.ts';
import { proofWords } from '../../words/proofSheet.ts';
import { toolSheetWords, toolTitle } from '../../words/toolSheet.ts';
import { leversGiving } from '../../core/job/gearSetting.ts';

/** Everything that the sheets of a job are made from. */
export interface OnPaper {
  readonly job: Job;
  readonly shop: Shop;
  readonly top: ThreadSpec | null;
  readonly states: Readonly<Record<StationId, StationState>>;
  readonly machine: Machine;
  readonly system: UnitSystem;
  /** Unit of the dials: what is done at the machine is said in it. */
  readonly dialUnit: UnitSystem;
  readonly chart: {
    readonly scale: number;
    readonly turn: ChartTurn;
    readonly along100Mm: number;
    readonly down100Mm: number;
  };
}
/** What is drawn between head and foot of a sheet, once it is known how far down it may reach; or why there is none. */
export type Drawn =
  | { readonly ok: true; readonly title: string; readonly bodies: (low: number) => Shape[][] }
  | { readonly ok: false; readonly why: string };

const no = (why: string): Drawn => ({ ok: false, why });

/** One sheet of a job, before it is laid on paper. */
export function drawnSheet(id: SheetId, p: OnPaper): Drawn {
  return DRAWN[id](p);
}

const DRAWN: Readonly<Record<SheetId, (p: OnPaper) => Drawn>> = {
  traveller: (p) => {
    const shape = partShape(p.job, threadOfJob(p.job) ?? p.top);
    return {
      ok: true,
      title: p.job.title,
      bodies: (low) => travellerBodies(shape, travellerWords(p.job, p.shop, p.states, shape, p.system), low),
    };
  },
  gears: gearCard,
  tool: ({ job, system }) => {
    const view = toolViewOf(job);
    const fit = fitOfJob(job);
    if (!view || !fit) return no(WHY_NOT.noThread);
    if (!view.ok) return no(problemText(view.problem, system).message);
    return {
      ok: true,
      title: toolTitle(view.value, system),
      bodies: () => toolSheetBodies(view.value, fit.form, fit.make, toolSheetWords(view.value, system)),
    };
  },
  passes: (p) => {
    const { job, shop, machine, dialUnit } = p;
    const lathe = latheOf(job, shop);
    if (!threadOfJob(job)) return no(WHY_NOT.noThread);
    if (!lathe) return no(WHY_NOT.noLathe);
    const rows = passRowsOf(job, shop);
    if (!rows) return no(WHY_NOT.noThread);
    if (!rows.ok) return no(problemText(rows.problem, dialUnit).message);
    const motions = motionsOfJob(job, machine, lathe);
    return {
      ok: true,
      title: TITLES.passes(machine.feed.slideDeg),
      bodies: (low) => passCardBodies(passCardWords(job, shop, rows.value, motions, dialUnit), low),
    };
  },
  parameters: ({ job, shop, system }) => {
    const lathe = latheOf(job, shop);
    const thread = threadOfJob(job);
    if (!thread) return no(WHY_NOT.noThread);
    if (!lathe) return no(WHY_NOT.noLathe);
    if (isGeared(lathe)) return no(WHY_NOT.geared);
    const answer = programOfJob(job, shop);
    if (!answer) return no(WHY_NOT.noThread);
    if (!answer.ok)
      return no(answer.problem ? problemText(answer.problem, system).message : missingText(answer.missing));
    const { program } = answer;
    const unit = lathe.control?.unit ?? system;
    const recut = threadExists(job);
    return {
      ok: true,
      title: TITLES.parameters(thread.designation, recut),
      bodies: (low) =>
        parameterBodies(
          {
            startMm: program.motion.start.zMm,
            endMm: program.motion.end.zMm,
            threadMm: program.threadMm,
            internal: job.intake.make === 'internal',
          },
          parameterWords(job, lathe, program, programRows(job, shop, lathe, program, unit), unit, recut),
          low,
        ),
    };
  },
  chart: ({ job, system, chart: choice }) => {
    const chart = chartOfJob(job);
    if (!chart) return no(WHY_NOT.noThread);
    const scale = Math.min(choice.scale, mostScale(chart));
    return {
      ok: true,
      title: TITLES.chart(scale),
      bodies: () => chartBodies(chart, { ...choice, scale }, chartWords(chart, system)),
    };
  },
  proof: ({ job, shop, dialUnit }) =>
    threadOfJob(job)
      ? {
          ok: true,
          title: TITLES.proof(job.title),
          bodies: (low) => proofBodies(proofWords(job, shop, proofVerdict(job, shop), dialUnit), low),
        }
      : no(WHY_NOT.noThread),
  record: ({ job, shop, dialUnit }) =>
    threadOfJob(job)
      ? {
          ok: true,
          title: TITLES.record(job.title),
          bodies: (low) =>
            recordBodies(
              recordWords(job, shop, proofVerdict(job, shop), dialUnit, (from, to) =>
                scaleLinear().domain([from, to]).ticks(7),
              ),
              low,
            ),
        }
      : no(WHY_NOT.noThread),
};

function gearCard({ job, shop, dialUnit }: OnPaper): Drawn {
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread) return no(WHY_NOT.noThread);
  if (!lathe) return no(WHY_NOT.noLathe);
  if (!isGeared(lathe)) return no(WHY_NOT.told);
  const state = gearState(job, shop);
  const { train } = job.gears;
  if (!train || !state?.lead || state.errorPpm === null) return no(WHY_NOT.noTrain);
  const { lead, errorPpm } = state;
  const mount = mountOn(lathe, train, thread.leftHand);
  const fits = mount?.fits ? mount : null;
  const marks = safeMarks(job, shop, lathe);
  const words = gearCardWords({
    lathe,
    train,
    lead,
    errorPpm,
    mount: fits,
    unmounted: mount && !mount.fits ? mountText(mount, dialUnit) : NOT_MEASURED,
    lever: leversGiving(lathe, train.gearbox),
    leftHand: thread.leftHand,
    change: lathe.mounted ? gearsToChange(train, lathe.mounted) : null,
    turns: turnsProof({
      leadscrew: exact(lathe.leadscrew),
      fixedRatio: exact(lathe.fixedRatio),
      gears: lathe.gears,
      train,
    }),
    marks: marks && job.cut.returnBy === 'dial' ? marks : null,
    u: dialUnit,
  });
  return {
    ok: true,
    title: TITLES.gears(thread.designation),
    bodies: (low) =>
      gearCardBodies(fits && lathe.moduleMm !== null ? { mount: fits, moduleMm: lathe.moduleMm } : null, words, low),
  };
}

/** Pages of the sheets that were asked for, in order, numbered among each other. Those that cannot be drawn are left out. @param drawn of each, where that is known already */
export function pagesOn(
  ids: readonly SheetId[],
  p: OnPaper,
  paper: Paper,
  qr: Frame['qr'],
  drawn: (id: SheetId) => Drawn = (id) => drawnSheet(id, p),
): { id: SheetId; pages: Sheet[] }[] {
  const there = SHEETS.filter((id) => ids.includes(id)).flatMap((id) => {
    const d = drawn(id);
    return d.ok ? [{ id, d }] : [];
  });
  return there.map(({ id, d }, i) => {
    const u = id === 'gears' || id === 'passes' ? p.dialUnit : p.system;
    const frame = frameWords(p.job, p.shop, { id, title: d.title, n: i + 1, of: there.length, qr }, u);
    return { id, pages: pagesOf(frame, d.bodies(bodyLow(frame)), paper) };
  });
}
