import { widthMm, type ToolOutline } from '../cutting/tip.ts';
import { sineBlocks, toolSheet, type SineBar, type ToolSheet } from '../cutting/toolSheet.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { leadMmOf } from '../standards/thread.ts';
import { toolOfJob } from './cutPlan.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import type { Job } from './schema.ts';

/** The tool as it is to be ground for a job. */
export interface ToolView {
  readonly sheet: ToolSheet;
  readonly tool: ToolOutline;
  readonly pitchMm: number;
  /** From the surface to the tip, mm. */
  readonly depthMm: number;
  /** Width of the flat as it is to be measured, with its limits, mm; null: the tip is round. */
  readonly tipFlatMm: { readonly value: number; readonly least: number; readonly most: number } | null;
  /** Width of the tool where the surface of the work meets it, mm. */
  readonly topWidthMm: number;
  /** In a bore: relief under the end that keeps the heel off it, degrees; null: outside, or the bar is not measured. */
  readonly endReliefDeg: number | null;
  readonly leftHand: boolean;
  /** Blocks under a sine bar for flanks and reliefs; alike flanks once. */
  readonly blocks: readonly (SineBar & { readonly of: BlockOf; readonly deg: number })[];
}
type BlockOf = 'leading-flank' | 'trailing-flank' | 'leading-relief' | 'trailing-relief';

/** A flat is ground to this share of the pitch, and no nearer than a shop measures, mm. Common practice, no source. */
const FLAT_SHARE = 0.007;
const FLAT_MM = 0.01;
/** The end edge wants as much clearance as the sides outside, where nothing curves towards it, degrees. */
const endReliefInBore = (rootRadiusMm: number, heelMm: number, clearanceDeg: number): number => {
  const h = Math.min(heelMm, rootRadiusMm);
  const drop = rootRadiusMm - Math.sqrt(rootRadiusMm * rootRadiusMm - h * h);
  return clearanceDeg + (Math.atan2(drop, h) * 180) / Math.PI;
};

/**
 * What to grind for this job; null: no thread is named. Refused: diameters from which no tool follows.
 * @example toolViewOf(demo('press')) // null
 * @example toolViewOf(demo('sluice')).value.sheet.leadAngleDeg.major // 3.4916
 */
export function toolViewOf(job: Job): Outcome<ToolView> | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const own = toolOfJob(job);
  if (!thread || !fit || !own) return null;
  const external = fit.make === 'external';
  const [majorMm, minorMm] = external
    ? [fit.startDiameterMm, fit.rootDiameterMm]
    : [fit.rootDiameterMm, fit.startDiameterMm];
  if (!(majorMm > minorMm)) return bad('aim', 'diameters-out-of-order', { leastMm: minorMm, mostMm: majorMm });
  const sheet = toolSheet({
    leadingDeg: own.tool.leadingDeg,
    trailingDeg: own.tool.trailingDeg,
    leadMm: leadMmOf(thread),
    starts: thread.starts,
    member: fit.make,
    majorMm,
    // a fit moves the pitch diameter, never past its own crest or root
    pitchDiameterMm: Math.min(majorMm - 1e-6, Math.max(minorMm + 1e-6, fit.pitchDiameterMm)),
    minorMm,
    clearanceDeg: job.setup.clearanceDeg,
  });
  const depthMm = fit.depthMm;
  const flat = 'flatMm' in own.tool.tip ? own.tool.tip.flatMm : null;
  const { neckMm } = job.setup.bar;
  if (!sheet.ok) return sheet;
  return good({
    // a round nose has no straight flanks at its tip: their widths are the outline's own
    sheet: flat === null ? withNose(own.tool, sheet.value) : sheet.value,
    ...own,
    depthMm,
    tipFlatMm: flat === null ? null : { value: flat, ...flatLimits(flat, fit.widestTipMm, own.pitchMm) },
    topWidthMm: widthMm(own.tool, depthMm),
    blocks: blocksOf(own.tool, sheet.value),
    endReliefDeg: external || neckMm === null ? null : endReliefInBore(majorMm / 2, neckMm / 2, job.setup.clearanceDeg),
  });
}

/** How wide the flat may be ground. One in the holder that is wider than clears the root is no limit of itself. */
function flatLimits(
  flatMm: number,
  widestMm: number,
  pitchMm: number,
): { readonly least: number; readonly most: number } {
  const wanted = Math.min(flatMm, widestMm);
  const within = Math.max(FLAT_MM, FLAT_SHARE * pitchMm);
  return { least: Math.max(0, wanted - within), most: Math.min(wanted + within, widestMm) };
}

function blocksOf(tool: ToolOutline, sheet: ToolSheet): ToolView['blocks'] {
  const of = (name: BlockOf, deg: number) => ({ of: name, deg, ...sineBlocks(deg) });
  return [
    of('leading-flank', tool.leadingDeg),
    ...(tool.trailingDeg === tool.leadingDeg ? [] : [of('trailing-flank', tool.trailingDeg)]),
    of('leading-relief', sheet.leadingReliefDeg),
    of('trailing-relief', sheet.trailingReliefDeg),
  ];
}

/** Widths of a round-nosed tool where the sheet gives those of straight flanks. */
const withNose = (tool: ToolOutline, sheet: ToolSheet): ToolSheet => ({
  ...sheet,
  widthAtDepth: sheet.widthAtDepth.map(({ depthMm }) => ({ depthMm, widthMm: widthMm(tool, depthMm) })),
});
