import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { cosDeg, tanDeg } from '../quantity/units.ts';
import { stepDepths, type DepthRule } from './depths.ts';
import {
  isSquare,
  sectionMm2,
  tangencyMm,
  tipBeyondPitchLineMm,
  vertexBeyondTipMm,
  slopeOfTool,
  type Tip,
  type ToolOutline,
} from './tip.ts';

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
export interface OutDial {
  /** Travel of the slide in one turn, mm, radial. */
  readonly turnMm: number;
}

/**
 * The metal as it is, the tool in the holder, and what is to be reached. Depths are radial, from the surface at which the
 * tool is touched off (external: into a screw; internal: into the wall of a bore), mm.
 */
export interface PlanRequest {
  readonly member: 'external' | 'internal';
  /** Diameter at which the tool is touched off, as measured; null where it was touched off in the old groove. */
  readonly surfaceMm: number | null;
  readonly target: { readonly pitchDiameterMm: number } | { readonly depthMm: number };
  readonly pitchMm: number;
  readonly leftHand: boolean;
  readonly leadingDeg: number;
  readonly trailingDeg: number;
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

export interface Plan {
  /** From the surface to the tip at the target. */
  readonly depthMm: number;
  /** What is still to be cut; negative: already deeper than the target. */
  readonly leftMm: number;
  readonly passes: readonly PlannedPass[];
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

const mm = (x: number): string => `${Number(x.toFixed(3))} mm`;

/** The tool's outline as this cut meets it. */
export const toolOf = (q: Pick<PlanRequest, 'leadingDeg' | 'trailingDeg' | 'tip'>): ToolOutline => ({
  leadingDeg: q.leadingDeg,
  trailingDeg: q.trailingDeg,
  tip: q.tip,
});

/** The infeed's angle from the radial, degrees: the slide follows the trailing flank, the leading one cuts. */
export function feedDegOf(q: Pick<PlanRequest, 'infeed' | 'slideAngleDeg' | 'trailingDeg'>): number {
  if (q.infeed === 'flank') return q.slideAngleDeg ?? Math.max(0, q.trailingDeg - FLANK_LESS_DEG);
  if (q.infeed === 'modified') return Math.max(0, q.trailingDeg - MODIFIED_LESS_DEG);
  return 0;
}

/**
 * What is still to be cut, from the metal as it is. Depth from a pitch diameter: (surface - target)/2 for a screw (the
 * reverse for a nut), plus the way of the tip beyond the pitch line. A groove widened sideways by s is at size earlier, as
 * if the tip were wider by s. Only what is left is scheduled.
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
  const passes = passesOf(q, tool, from, depthMm, feedDeg);
  const beyondMm = q.clearanceMm + q.runOutMm + (Math.abs(q.taper) * (q.lengthMm ?? 0)) / 2;
  if (q.boreClearMm !== null && beyondMm > q.boreClearMm + EPS)
    return bad(
      'clearanceMm',
      `Drawing the tool ${mm(beyondMm)} clear of the wall brings the back of the bar against the other side: there is room for ${mm(q.boreClearMm)}.`,
      `a clearance of ${mm(Math.max(0, q.clearanceMm - (beyondMm - q.boreClearMm)))} or less, or a thinner bar`,
    );
  const deepest = Math.max(depthMm, q.doneMm);
  const toolOutMm = deepest + beyondMm;
  return good({
    depthMm,
    leftMm: depthMm - from,
    passes,
    toolOutMm,
    toolOutTurns: outTurns(q, toolOutMm, deepest),
    tipDiameterMm: q.surfaceMm === null ? null : q.surfaceMm + (q.member === 'external' ? -2 : 2) * depthMm,
    feedDeg,
  });
}

/**
 * Whole turns of the dial that draw the tool out from a depth: enough of them, and in a bore no more than there is room
 * behind the bar. Null: no dial, or no whole number of turns does both.
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

type Refused = ReturnType<typeof bad> | null;

function refusal(q: PlanRequest): Refused {
  for (const [field, a] of [
    ['leadingHalfAngleDeg', q.leadingDeg],
    ['trailingHalfAngleDeg', q.trailingDeg],
  ] as const)
    if (!(a >= 0 && a < 80)) return bad(field, 'A flank stands between 0 and 80 degrees from the perpendicular.', '30');
  if (!(q.pitchMm > 0)) return bad('pitchMm', 'The pitch must be greater than zero.', '2');
  for (const [field, x] of [
    ['doneMm', q.doneMm],
    ['grooveMm', q.grooveMm],
    ['sideMm', q.sideMm],
    ['clearanceMm', q.clearanceMm],
    ['slackMm', q.slackMm],
    ['runOutMm', q.runOutMm],
    ['straightLastMm', q.straightLastMm],
  ] as const)
    if (!(x >= 0)) return bad(field, 'It cannot be less than nothing.', '0 or more');
  if (q.passes !== null && !(Number.isInteger(q.passes) && q.passes >= 1 && q.passes <= 500))
    return bad('passes', 'Passes still to come are a whole number from 1 to 500.', '12');
  if (q.firstMaxMm !== null && !(q.firstMaxMm > 0))
    return bad('firstMaxMm', 'The largest cut must be greater than zero.', '0.25');
  if (q.lastMinMm !== null && !(q.lastMinMm >= 0))
    return bad('lastMinMm', 'The smallest cut cannot be negative.', '0.02');
  if (q.firstMaxMm !== null && q.lastMinMm !== null && q.lastMinMm > q.firstMaxMm)
    return bad('lastMinMm', 'The smallest cut is larger than the largest.', `at most ${mm(q.firstMaxMm)}`);
  if (q.rule === 'step' && q.stages === null && !(q.stepMm !== null && q.stepMm > 0))
    return bad('stepMm', 'Passes by steps need the step.', '0.05');
  if (q.taper !== 0 && q.lengthMm === null)
    return bad('lengthMm', 'On a taper the withdrawal depends on the length cut, which is not given.', '40');
  return tipRefusal(q) ?? slideRefusal(q);
}

function tipRefusal(q: PlanRequest): Refused {
  const tool = toolOf(q);
  if ('flatMm' in q.tip) {
    if (!(q.tip.flatMm >= 0)) return bad('tip.flatMm', 'A tip flat cannot be less than nothing.', '0 or more');
    if (q.tip.flatMm >= q.pitchMm / 2)
      return bad(
        'tip.flatMm',
        `A tip of ${mm(q.tip.flatMm)} is as wide as the groove at the pitch line: the flanks would never be cut.`,
        `under ${mm(q.pitchMm / 2)}`,
      );
    return null;
  }
  if (!(q.tip.radiusMm >= 0)) return bad('tip.radiusMm', 'A tip radius cannot be less than nothing.', '0 or more');
  if (isSquare(tool)) return bad('tip.radiusMm', 'A round tip between square flanks is not planned.', 'a flat');
  const line = tipBeyondPitchLineMm(tool, q.pitchMm);
  if (tangencyMm(tool).some((h) => h > line + EPS))
    return bad(
      'tip.radiusMm',
      'The nose of the tool is still round at the pitch line: the flanks would never be cut there.',
      'a smaller radius',
    );
  return null;
}

function slideRefusal(q: PlanRequest): Refused {
  const angle = q.slideAngleDeg;
  if (q.infeed !== 'flank' || angle === null) return null;
  if (!(angle >= 0 && angle < 90))
    return bad('slideAngleDeg', 'The slide stands between 0 and 90 degrees from the cross-slide line.', '29.5');
  if (angle > q.trailingDeg + EPS)
    return bad(
      'slideAngleDeg',
      `The slide at ${angle} degrees is beyond the trailing flank of ${q.trailingDeg}: it would cut that flank in steps.`,
      `${Math.max(0, q.trailingDeg - FLANK_LESS_DEG)} degrees, at most ${q.trailingDeg}`,
    );
  return null;
}

function depthOf(q: PlanRequest, tool: ToolOutline): Outcome<number> {
  const external = q.member === 'external';
  if ('depthMm' in q.target) {
    if (!(q.target.depthMm > 0))
      return bad('targetDepthMm', 'The depth to reach must be greater than zero.', 'for example 1.23');
    return metal(q, tool, q.target.depthMm);
  }
  if (isSquare(tool))
    return bad(
      'targetPitchDiameterMm',
      'Between square flanks no depth follows from a pitch diameter.',
      'targetDepthMm instead',
    );
  if (q.surfaceMm === null)
    return bad(
      'surfaceMm',
      'The diameter at which the tool was touched off is not known.',
      'measure the blank or bore',
    );
  if (!(q.surfaceMm > 0)) return bad('surfaceMm', 'The surface has a diameter above zero.', '29.93');
  const d2 = q.target.pitchDiameterMm;
  const inside = external ? q.surfaceMm - d2 : d2 - q.surfaceMm;
  if (!(d2 > 0) || !(inside > 0))
    return bad(
      'targetPitchDiameterMm',
      external
        ? `A pitch diameter of ${mm(d2)} does not lie inside a blank of ${mm(q.surfaceMm)}.`
        : `A pitch diameter of ${mm(d2)} does not lie outside a bore of ${mm(q.surfaceMm)}.`,
      external ? `less than ${mm(q.surfaceMm)}` : `more than ${mm(q.surfaceMm)}`,
    );
  return metal(q, tool, inside / 2 + tipBeyondPitchLineMm(tool, q.pitchMm) - q.sideMm / slopeOfTool(tool));
}

/** A depth that the metal allows: neighbouring grooves keep a crest between them, and a screw keeps a core. */
function metal(q: PlanRequest, tool: ToolOutline, depthMm: number): Outcome<number> {
  if (q.surfaceMm === null) return good(depthMm);
  const top = isSquare(tool)
    ? 'flatMm' in q.tip
      ? q.tip.flatMm
      : 0
    : (depthMm + vertexBeyondTipMm(tool)) * slopeOfTool(tool);
  if (top + q.sideMm > q.pitchMm + 1e-6) {
    const over = (2 * (top + q.sideMm - q.pitchMm)) / Math.max(slopeOfTool(tool), EPS);
    return bad(
      'surfaceMm',
      `Neighbouring grooves would meet below the surface: they are ${mm(top + q.sideMm)} wide there, and the pitch is ${mm(q.pitchMm)}.`,
      q.member === 'external'
        ? `turn the blank down first, by ${mm(over)} on diameter or more`
        : `open the bore first, by ${mm(over)} on diameter or more`,
    );
  }
  if (q.member === 'external' && depthMm >= q.surfaceMm / 2)
    return bad(
      'targetDepthMm',
      `${mm(depthMm)} deep, the tip would be past the axis of a ${mm(q.surfaceMm)} blank.`,
      `less than ${mm(q.surfaceMm / 2)}`,
    );
  return good(depthMm);
}

function passesOf(q: PlanRequest, tool: ToolOutline, from: number, depthMm: number, feedDeg: number): PlannedPass[] {
  if (!(depthMm - from > EPS)) return [];
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
  const whole = sectionMm2(tool, depthMm) - sectionMm2(tool, from);
  const place = placer(q, from, depthMm, feedDeg);
  const out: PlannedPass[] = [];
  let d = from;
  stages.forEach((stage, index) => {
    const end = index === stages.length - 1 ? depthMm : Math.min(depthMm, stage.upToMm);
    if (!(end - d > EPS)) return;
    const share = (sectionMm2(tool, end) - sectionMm2(tool, d)) / whole;
    const depths = stepDepths({
      fromMm: d,
      toMm: end,
      rule: stage.rule,
      passes: q.passes === null ? null : Math.max(1, Math.round(q.passes * share)),
      capMm: stage.firstMaxMm,
      floorMm: stage.lastMinMm,
      stepMm: stage.stepMm ?? null,
      tool,
      feedDeg,
    });
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
    for (let i = 0; last && i < stage.springs; i += 1) out.push({ ...last, chipMm2: 0, spring: true });
  });
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
    let n = 0;
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
