import { isSquare, slopeOf, type Flanks } from '../form/flanks.ts';
import { bad, good, type Outcome, type Refused } from '../quantity/outcome.ts';
import { cosDeg, tanDeg } from '../quantity/units.ts';
import { stepDepths, tooManyPasses, type DepthRule } from './depths.ts';
import { sectionMm2, tangencyMm, tipBeyondPitchLineMm, vertexBeyondTipMm, type Tip, type ToolOutline } from './tip.ts';

/** Straight in, along one flank, on both flanks in turn, or along one flank less a degree or so. */
export type Infeed = 'plunge' | 'flank' | 'alternate' | 'modified';

/** A stretch of the depth with a rule of its own. */
export interface Stage {
  /** Depth at which it ends, mm; the last one ends at the depth itself. */
  readonly upToMm: number;
  readonly rule: DepthRule;
  readonly stepMm?: number | null;
  readonly firstMaxMm: number | null;
  readonly lastMinMm: number | null;
  readonly springs: number;
}

/** The cross slide's dial as far as withdrawing needs it. */
interface OutDial {
  /** Travel of the slide in one turn, mm, radial. */
  readonly turnMm: number;
}

/**
 * The metal as it is, the tool in the holder, and what is to be reached. Depths are radial, from the surface at which the
 * tool is touched off (external: into a screw; internal: into the wall of a bore), mm.
 */
export interface PlanRequest extends Flanks {
  readonly member: 'external' | 'internal';
  /** Diameter at which the tool is touched off, as measured; null where it was touched off in the old groove. */
  readonly surfaceMm: number | null;
  readonly target: { readonly pitchDiameterMm: number } | { readonly depthMm: number };
  readonly pitchMm: number;
  readonly leftHand: boolean;
  readonly tip: Tip;
  readonly infeed: Infeed;
  /** From the cross-slide line; null: half a degree less than the trailing half angle. */
  readonly slideAngleDeg: number | null;
  readonly rule: DepthRule;
  readonly stepMm: number | null;
  /** Passes still to come, springs not counted; null: as many as are calm. */
  readonly passes: number | null;
  readonly firstMaxMm: number | null;
  readonly lastMinMm: number | null;
  readonly springs: number;
  readonly stages: readonly Stage[] | null;
  /** The last of the depth, fed straight in, mm. */
  readonly straightLastMm: number;
  /** Depth already cut on this part. */
  readonly doneMm: number;
  /** Where the tool stood along the axis at that depth, + towards the headstock; null: as this infeed would have put it. */
  readonly axialDoneMm: number | null;
  /** Alternate infeed: the flank that the last pass cut; the next one cuts the other. Null: none was cut so. */
  readonly lastFlank?: 'leading' | 'trailing' | null;
  /** By how much the groove has been widened sideways already. */
  readonly sideMm: number;
  /** Recut: depth of the old groove. */
  readonly grooveMm: number;
  /** How far the tip must be off the surface on the way back. */
  readonly clearanceMm: number;
  readonly slackMm: number;
  readonly runOutMm: number;
  /** On diameter, over the length given. */
  readonly taper: number;
  readonly lengthMm: number | null;
  /** Internal: how far the bar may be drawn towards the axis from touching the surface; null: not known. */
  readonly boreClearMm: number | null;
  readonly dial: OutDial | null;
}

/** Cumulative positions after a pass, mm. */
export interface PlannedPass {
  readonly depthMm: number;
  /** Travel of the slide that feeds: depth / cos(angle) on an angled slide, the depth itself straight in. */
  readonly slideMm: number;
  /** Place of the tool along the axis, + towards the headstock. */
  readonly axialMm: number;
  /** What the cross slide adds in the last stretch that is fed straight in; 0 before. */
  readonly straightMm: number;
  readonly chipMm2: number;
  readonly spring: boolean;
  /** Which stage it belongs to, from 0. */
  readonly stage: number;
}

/** Why there are more or fewer passes than were asked for. */
export interface CountedBy {
  readonly asked: number;
  readonly made: number;
  /** No pass takes more than this, or less, mm. */
  readonly by: 'most' | 'least';
  readonly mm: number;
  /** The stage whose limit it is, from 0. */
  readonly stage: number;
}

/** The passes that bring the tool from what is cut to the target. */
export interface Plan {
  /** From the surface to the tip at the target. */
  readonly depthMm: number;
  /** What is still to be cut; negative: already deeper than the target. */
  readonly leftMm: number;
  readonly passes: readonly PlannedPass[];
  /** Another number of passes than was asked for, and which limit wants it; null: as many as were asked for, or none were. */
  readonly counted: CountedBy | null;
  /** Least withdrawal from the deepest depth. */
  readonly toolOutMm: number;
  /** Fewest whole turns of the dial that give it; null without a dial, or where the bore has no room for them. */
  readonly toolOutTurns: number | null;
  /** Diameter at the tip when the target is reached; null where the surface is not known. */
  readonly tipDiameterMm: number | null;
  readonly feedDeg: number;
}

const EPS = 1e-9;
/** Common practice: the slide stands half a degree (modified infeed: one) inside the flank that is not cut. */
const FLANK_LESS_DEG = 0.5;
const MODIFIED_LESS_DEG = 1;

/**
 * The tool's outline as this cut meets it.
 * @example toolOf({ leadingDeg: 45, trailingDeg: 7, tip: { flatMm: 1 } }).leadingDeg // 45
 */
export const toolOf = (q: Pick<PlanRequest, 'leadingDeg' | 'trailingDeg' | 'tip'>): ToolOutline => ({
  leadingDeg: q.leadingDeg,
  trailingDeg: q.trailingDeg,
  tip: q.tip,
});

/**
 * The infeed's angle from the radial, degrees: the slide follows the trailing flank, the leading one cuts.
 * @example feedDegOf({ infeed: 'flank', slideAngleDeg: null, trailingDeg: 30 }) // 29.5
 */
export function feedDegOf(q: Pick<PlanRequest, 'infeed' | 'slideAngleDeg' | 'trailingDeg'>): number {
  if (q.infeed === 'flank') return q.slideAngleDeg ?? Math.max(0, q.trailingDeg - FLANK_LESS_DEG);
  if (q.infeed === 'modified') return Math.max(0, q.trailingDeg - MODIFIED_LESS_DEG);
  return 0;
}

/**
 * What is still to be cut, from the metal as it is. Depth from a pitch diameter: (surface - target)/2 for a screw (the
 * reverse for a nut), plus the way of the tip beyond the pitch line. A groove widened sideways by s is at size earlier, as
 * if the tip were wider by s. Only what is left is scheduled.
 * @example plan(demo('pump')).plan.passes.length // 15; two of them springs
 */
export function planOf(q: PlanRequest): Outcome<Plan> {
  const refused = refusal(q);
  if (refused) return refused;
  const tool = toolOf(q);
  const depth = depthOf(q, tool);
  if (!depth.ok) return depth;
  const depthMm = depth.value;
  const from = Math.max(q.doneMm, q.grooveMm);
  const feedDeg = feedDegOf(q);
  const stretches = stretchesOf(q, from, depthMm);
  const tooMany = countRefusal(stretches);
  if (tooMany) return tooMany;
  const passes = passesOf(q, tool, stretches, feedDeg);
  const beyondMm = q.clearanceMm + q.runOutMm + (Math.abs(q.taper) * (q.lengthMm ?? 0)) / 2;
  if (q.boreClearMm !== null && beyondMm > q.boreClearMm + EPS)
    return bad('clearanceMm', 'bar-hits-wall', {
      beyondMm,
      roomMm: q.boreClearMm,
      clearanceMm: Math.max(0, q.clearanceMm - (beyondMm - q.boreClearMm)),
    });
  const deepest = Math.max(depthMm, q.doneMm);
  const toolOutMm = deepest + beyondMm;
  return good({
    depthMm,
    leftMm: depthMm - from,
    passes,
    counted: countedBy(q, stretches, passes),
    toolOutMm,
    toolOutTurns: outTurns(q, toolOutMm, deepest),
    tipDiameterMm: q.surfaceMm === null ? null : q.surfaceMm + (q.member === 'external' ? -2 : 2) * depthMm,
    feedDeg,
  });
}

/**
 * Whole turns of the dial that draw the tool out from a depth: enough of them, and in a bore no more than there is room
 * behind the bar. Null: no dial, or no whole number of turns does both.
 * @example outTurns({ dial: { turnMm: 2 }, slackMm: 0.1, boreClearMm: null }, 1.5, 0) // 1
 */
export function outTurns(
  q: Pick<PlanRequest, 'dial' | 'slackMm' | 'boreClearMm'>,
  toolOutMm: number,
  fromMm: number,
): number | null {
  if (!q.dial) return null;
  const turns = Math.max(1, Math.ceil((toolOutMm + q.slackMm) / q.dial.turnMm - EPS));
  const drawnMm = turns * q.dial.turnMm - fromMm;
  return q.boreClearMm !== null && drawnMm > q.boreClearMm + EPS ? null : turns;
}

function refusal(q: PlanRequest): Refused | null {
  for (const [field, a] of [
    ['leadingHalfAngleDeg', q.leadingDeg],
    ['trailingHalfAngleDeg', q.trailingDeg],
  ] as const)
    if (!(a >= 0 && a < 80)) return bad(field, 'flank-0-to-80');
  if (!(q.pitchMm > 0)) return bad('pitchMm', 'not-above-zero', { right: '2' });
  for (const [field, x] of [
    ['doneMm', q.doneMm],
    ['grooveMm', q.grooveMm],
    ['sideMm', q.sideMm],
    ['clearanceMm', q.clearanceMm],
    ['slackMm', q.slackMm],
    ['runOutMm', q.runOutMm],
    ['straightLastMm', q.straightLastMm],
  ] as const)
    if (!(x >= 0)) return bad(field, 'under-zero');
  if (q.passes !== null && !(Number.isInteger(q.passes) && q.passes >= 1 && q.passes <= 500))
    return bad('passes', 'whole-number', { from: 1, to: 500, right: '12' });
  if (q.firstMaxMm !== null && !(q.firstMaxMm > 0)) return bad('firstMaxMm', 'not-above-zero', { right: '0.25' });
  if (q.lastMinMm !== null && !(q.lastMinMm >= 0)) return bad('lastMinMm', 'under-zero');
  if (q.firstMaxMm !== null && q.lastMinMm !== null && q.lastMinMm > q.firstMaxMm)
    return bad('lastMinMm', 'smallest-over-largest', { smallestMm: q.lastMinMm, largestMm: q.firstMaxMm });
  if (q.rule === 'step' && q.stages === null && !(q.stepMm !== null && q.stepMm > 0))
    return bad('stepMm', 'no-step', { forExampleMm: 0.05 });
  if (q.taper !== 0 && q.lengthMm === null) return bad('lengthMm', 'no-length-on-taper');
  return tipRefusal(q) ?? slideRefusal(q);
}

function tipRefusal(q: PlanRequest): Refused | null {
  const tool = toolOf(q);
  if ('flatMm' in q.tip) {
    if (!(q.tip.flatMm >= 0)) return bad('tip.flatMm', 'under-zero');
    if (q.tip.flatMm >= q.pitchMm / 2)
      return bad('tip.flatMm', 'tip-as-wide-as-groove', { tipMm: q.tip.flatMm, halfPitchMm: q.pitchMm / 2 });
    return null;
  }
  if (!(q.tip.radiusMm >= 0)) return bad('tip.radiusMm', 'under-zero');
  if (isSquare(tool)) return bad('tip.radiusMm', 'round-tip-square-flanks');
  const line = tipBeyondPitchLineMm(tool, q.pitchMm);
  if (tangencyMm(tool).some((h) => h > line + EPS)) return bad('tip.radiusMm', 'nose-round-at-pitch-line');
  return null;
}

function slideRefusal(q: PlanRequest): Refused | null {
  const angle = q.slideAngleDeg;
  if (q.infeed !== 'flank' || angle === null) return null;
  if (!(angle >= 0 && angle < 90)) return bad('slideAngleDeg', 'slide-0-to-90');
  if (angle > q.trailingDeg + EPS)
    return bad('slideAngleDeg', 'slide-beyond-flank', {
      slideDeg: angle,
      flankDeg: q.trailingDeg,
      usualDeg: Math.max(0, q.trailingDeg - FLANK_LESS_DEG),
    });
  return null;
}

function depthOf(q: PlanRequest, tool: ToolOutline): Outcome<number> {
  const external = q.member === 'external';
  if ('depthMm' in q.target) {
    if (!(q.target.depthMm > 0)) return bad('targetDepthMm', 'not-above-zero', { right: '1.23' });
    return metal(q, tool, q.target.depthMm);
  }
  if (isSquare(tool)) return bad('targetPitchDiameterMm', 'square-needs-depth');
  if (q.surfaceMm === null) return bad('surfaceMm', 'surface-unknown');
  if (!(q.surfaceMm > 0)) return bad('surfaceMm', 'not-above-zero', { right: '29.93' });
  const d2 = q.target.pitchDiameterMm;
  const inside = external ? q.surfaceMm - d2 : d2 - q.surfaceMm;
  if (!(d2 > 0) || !(inside > 0))
    return bad('targetPitchDiameterMm', 'pitch-diameter-outside-metal', {
      make: q.member,
      pitchDiameterMm: d2,
      surfaceMm: q.surfaceMm,
    });
  return metal(q, tool, inside / 2 + tipBeyondPitchLineMm(tool, q.pitchMm) - q.sideMm / slopeOf(tool));
}

/** A depth that the metal allows: neighbouring grooves keep a crest between them, and a screw keeps a core. */
function metal(q: PlanRequest, tool: ToolOutline, depthMm: number): Outcome<number> {
  if (q.surfaceMm === null) return good(depthMm);
  const top = isSquare(tool)
    ? 'flatMm' in q.tip
      ? q.tip.flatMm
      : 0
    : (depthMm + vertexBeyondTipMm(tool)) * slopeOf(tool);
  if (top + q.sideMm > q.pitchMm + 1e-6) {
    const over = (2 * (top + q.sideMm - q.pitchMm)) / Math.max(slopeOf(tool), EPS);
    return bad('surfaceMm', 'grooves-meet', {
      make: q.member,
      widthMm: top + q.sideMm,
      pitchMm: q.pitchMm,
      byMm: over,
    });
  }
  if (q.member === 'external' && depthMm >= q.surfaceMm / 2)
    return bad('targetDepthMm', 'past-axis', { depthMm, surfaceMm: q.surfaceMm, radiusMm: q.surfaceMm / 2 });
  return good(depthMm);
}

/** A part of what is to be cut, with the stage by whose rule it is. */
interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
  readonly stage: Stage;
  readonly index: number;
}
/** What is to be cut from one depth to another, stage by stage; none where nothing is. */
function stretchesOf(q: PlanRequest, from: number, depthMm: number): Stretch[] {
  const stages: readonly Stage[] = q.stages ?? [
    {
      upToMm: depthMm,
      rule: q.rule,
      stepMm: q.stepMm,
      firstMaxMm: q.firstMaxMm,
      lastMinMm: q.lastMinMm,
      springs: q.springs,
    },
  ];
  let d = from;
  return stages.flatMap((stage, index) => {
    const toMm = index === stages.length - 1 ? depthMm : Math.min(depthMm, stage.upToMm);
    if (!(toMm - d > EPS)) return [];
    const fromMm = d;
    d = toMm;
    return [{ fromMm, toMm, stage, index }];
  });
}

/** A cap or a step so small that it makes no plan, but thousands of passes. */
function countRefusal(stretches: readonly Stretch[]): Refused | null {
  for (const { fromMm, toMm, stage } of stretches) {
    const { rule, firstMaxMm: capMm } = stage;
    const stepMm = stage.stepMm ?? null;
    const tooMany = tooManyPasses({ fromMm, toMm, rule, capMm, stepMm });
    const byStep = rule === 'step' && (stepMm ?? Infinity) < (capMm ?? Infinity);
    if (tooMany) return bad(byStep ? 'stepMm' : 'firstMaxMm', 'too-many-passes', tooMany);
  }
  return null;
}

/**
 * Passes of a plan that cut, springs not counted.
 * @example cutsPlanned(plan(demo('pump')).plan) // 15
 */
export const cutsPlanned = ({ passes }: Pick<Plan, 'passes'>): number => passes.filter((p) => !p.spring).length;

/** The limit that wants another number of passes than was asked for. */
function countedBy(
  { passes: asked, rule }: PlanRequest,
  stretches: readonly Stretch[],
  passes: readonly PlannedPass[],
): CountedBy | null {
  const made = cutsPlanned({ passes });
  if (asked === null || made === asked || made === 0 || rule === 'step') return null;
  const by = made > asked ? 'most' : 'least';
  const limits = stretches.flatMap(({ stage, index, fromMm, toMm }) => {
    const mm = by === 'most' ? stage.firstMaxMm : stage.lastMinMm;
    return mm === null ? [] : [{ mm, stage: index, passes: (toMm - fromMm) / mm }];
  });
  const [most] = limits.toSorted((a, b) => b.passes - a.passes);
  return most ? { asked, made, by, mm: most.mm, stage: most.stage } : null;
}

/**
 * So many passes shared among stretches by what each has to take, none with fewer than it needs.
 * @returns as many in all as were asked for, or as many as are needed where that is more
 */
function shared(asked: number, stretches: readonly { readonly least: number; readonly share: number }[]): number[] {
  const counts = stretches.map((s) => s.least);
  for (let left = asked - counts.reduce((a, b) => a + b, 0); left > 0; left -= 1) {
    // the next pass goes where a pass has most to take
    const loads = stretches.map((s, i) => s.share / (counts[i] ?? 1));
    const at = loads.indexOf(Math.max(...loads));
    counts[at] = (counts[at] ?? 0) + 1;
  }
  return counts;
}

function passesOf(q: PlanRequest, tool: ToolOutline, stretches: readonly Stretch[], feedDeg: number): PlannedPass[] {
  const [from, depthMm] = [stretches[0]?.fromMm, stretches.at(-1)?.toMm];
  if (from === undefined || depthMm === undefined) return [];
  const whole = sectionMm2(tool, depthMm) - sectionMm2(tool, from);
  const place = placer(q, from, depthMm, feedDeg);
  const out: PlannedPass[] = [];
  const counts =
    q.passes === null
      ? null
      : shared(
          q.passes,
          stretches.map(({ fromMm, toMm, stage }) => ({
            least: Math.max(1, Math.ceil((toMm - fromMm) / (stage.firstMaxMm ?? Infinity) - EPS)),
            share: (sectionMm2(tool, toMm) - sectionMm2(tool, fromMm)) / whole,
          })),
        );
  for (const [i, { fromMm, toMm, stage, index }] of stretches.entries()) {
    const depths = stepDepths({
      fromMm,
      toMm,
      rule: stage.rule,
      passes: counts?.[i] ?? null,
      capMm: stage.firstMaxMm,
      floorMm: stage.lastMinMm,
      stepMm: stage.stepMm ?? null,
      tool,
      feedDeg,
    });
    let d = fromMm;
    for (const depth of depths) {
      out.push({
        depthMm: depth,
        ...place(d, depth),
        chipMm2: sectionMm2(tool, depth) - sectionMm2(tool, d),
        spring: false,
        stage: index,
      });
      d = depth;
    }
    const last = out.at(-1);
    for (let k = 0; last && k < stage.springs; k += 1) out.push({ ...last, chipMm2: 0, spring: true });
  }
  return out;
}

type Place = Pick<PlannedPass, 'slideMm' | 'axialMm' | 'straightMm'>;

/** Where slide and tool stand at each depth: asked pass by pass, in order. */
function placer(
  q: PlanRequest,
  from: number,
  depthMm: number,
  feedDeg: number,
): (before: number, depth: number) => Place {
  const cutDirection = q.leftHand ? -1 : 1;
  if (q.infeed === 'plunge') return (_, d) => ({ slideMm: d, axialMm: q.axialDoneMm ?? 0, straightMm: 0 });
  if (q.infeed === 'alternate') {
    let axial = q.axialDoneMm ?? 0;
    let n = q.lastFlank === 'leading' ? 1 : 0;
    return (before, d) => {
      n += 1;
      // odd passes follow the trailing flank and the leading one cuts, even ones the other way about
      const flank = n % 2 === 1 ? tanDeg(q.trailingDeg) : -tanDeg(q.leadingDeg);
      axial += cutDirection * (d - before) * flank;
      return { slideMm: d, axialMm: axial, straightMm: 0 };
    };
  }
  const start = q.axialDoneMm === null ? 0 : from;
  const base = q.axialDoneMm ?? 0;
  const straightFrom = Math.max(start, depthMm - q.straightLastMm);
  return (_, d) => {
    const fed = Math.min(d, straightFrom) - start;
    return {
      slideMm: fed / cosDeg(feedDeg),
      axialMm: base + cutDirection * fed * tanDeg(feedDeg),
      straightMm: Math.max(0, d - straightFrom),
    };
  };
}
