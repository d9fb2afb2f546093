import { slopeOf } from '../form/flanks.ts';
import {
  depthWithTip,
  nutRootFlatMm,
  rootFlatMm,
  type BasicSizes,
  type TipDepth,
  type ToolTip,
} from '../form/sizes.ts';
import type { ThreadForm } from '../form/shape.ts';
import { plain, type Step } from '../quantity/working.ts';
import { problem, type Outcome, type Problem } from '../quantity/outcome.ts';
import { limitsOf, type Limits, type ThreadLimits } from '../standards/limits.ts';
import { gaugeSizes, type GaugeChoice, type GaugeSizes } from './gauge.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';

/** What was chosen for the thread that is made: member, class or clearances, aims. */
export interface FitChoice {
  readonly make: 'external' | 'internal';
  readonly pitchClearanceMm: number;
  readonly crestReliefMm: number;
  /** End of the tool in the holder; null: ground to the form. */
  readonly tip: { readonly flatMm: number } | { readonly radiusMm: number } | null;
  /** Tolerance class to make it to; null: to the clearance and relief given here. */
  readonly class?: string | null;
  readonly engagementMm?: number | null;
  /** It is a gauge for the other member; the class is then that member's. Null or missing: a part. */
  readonly gauge?: GaugeChoice | null;
  /** The surviving screw that a nut has to pass: its largest root on the travel used, as read, mm; null: not read. */
  readonly mateRootMm?: number | null;
  /** Without a class: what the pitch diameter is counted from. Missing: the basic size. */
  readonly to?: FitTo;
  /** Pitch diameter of the surviving mate, or of the part copied, as read, mm; null or missing: not read. */
  readonly readPitchDiameterMm?: number | null;
  /** A copy: outside of the screw, or bore of the nut, as read, mm; null or missing: not read. */
  readonly readStartMm?: number | null;
  /** Diameters aimed at by hand instead of what follows from the rest, mm; null or missing: as that says. */
  readonly aim?: { readonly pitchMm: number | null; readonly startMm: number | null };
}
/** The basic size with a clearance; the surviving mate as read with a clearance; the part as read, as it was before it wore. */
export const FITS_TO = ['clearance', 'mate', 'copy'] as const;
/** One of FITS_TO. */
export type FitTo = (typeof FITS_TO)[number];

/** What moves a blank or bore away from where the table alone would have it. */
export interface Bound {
  readonly code: 'screw-root' | 'square-crest';
  /** The least bore that follows, mm, and its working. */
  readonly leastMm: number;
  readonly formula: string;
  readonly values: string;
}

/** Sizes to make the thread to, with how they came. */
export interface FitPlan {
  readonly make: 'external' | 'internal';
  readonly form: ThreadForm;
  /** Blank diameter of a screw, or bore of a nut, mm. */
  readonly startDiameterMm: number;
  /** Pitch diameter to reach, mm. */
  readonly pitchDiameterMm: number;
  /** Root diameter that the cut leaves with the tool's tip, mm. */
  readonly rootDiameterMm: number;
  /** Radial depth to feed from the blank or bore, mm. */
  readonly depthMm: number;
  /** Widest tip flat that brings root and flanks to size together, mm. */
  readonly widestTipMm: number;
  /** What decided the bore instead of the table. */
  readonly bounds: readonly Bound[];
  /** Depth of engagement left with the bore or blank as aimed at, as a share of the form's own. */
  readonly engagedShare: number;
  readonly tip: TipDepth;
  /** Limits of the blank or bore and of the pitch diameter, when made to a class. */
  readonly limits: {
    readonly start: Limits;
    readonly pitch: Limits;
    readonly class: string;
    readonly source: string;
  } | null;
  /** Sizes of the gauge, when one is made. */
  readonly gauge: GaugeSizes | null;
  /** Why there is no size to cut to: the class asked for cannot be used, or what it is made to was not read. */
  readonly problem: Problem | null;
  readonly working: FitWorking;
}
/** How the figures came about, by what they are. */
type FitWorking = Readonly<Record<'start' | 'pitchDiameter' | 'depth' | 'root', Step>>;

/**
 * Crest relief that most shops give, mm on diameter: about P/30, at least 0.05 and at most 0.3. Common practice, no source.
 * @example usualCrestReliefMm(2) // 0.07
 */
export const usualCrestReliefMm = (pitchMm: number): number =>
  Math.min(0.3, Math.max(0.05, Math.round((pitchMm / 30) * 100) / 100));
/**
 * Clearance on the pitch diameter for a good general fit, mm. Common practice: 0.03-0.05 for noses, more for coarse screws.
 * @example usualPitchClearanceMm(5) // 0.09
 */
export const usualPitchClearanceMm = (pitchMm: number): number => Math.round((0.03 + 0.012 * pitchMm) * 100) / 100;

/**
 * What to turn or bore before threading, and how deep to cut. For a nut the bore is the minor diameter of the *internal*
 * thread, never the root of the screw: boring to the screw's root leaves the nut tight on its crests.
 * @example fit(demo('pump')).limits.pitch // { min: 28.493, max: 28.663 }; M30x2-6g of ISO 965-1
 */
export function fitPlan(thread: ThreadSpec, choice: FitChoice): FitPlan {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const pitchMm = pitchMmOf(thread);
  const external = choice.make === 'external';
  const asked = choice.class ? limitsOf(thread, choice.class, choice.engagementMm ?? null) : null;
  const gauge = choice.gauge && asked?.ok ? gaugeSizes(choice.make, asked.value, sizes, pitchMm, choice.gauge) : null;
  const aims = aimsOf(choice, asked, gauge);
  const pitchAim = aims ? middle(aims.pitch) : null;
  const startAim = aims ? middle(aims.start) : null;
  const to = aims ? 'clearance' : (choice.to ?? 'clearance');
  const copy = to === 'copy';
  const fromMm = (to === 'clearance' ? null : choice.readPitchDiameterMm) ?? sizes.pitchDiameterMm;
  const clearanceMm = copy ? 0 : choice.pitchClearanceMm;
  const pitchDiameterMm = choice.aim?.pitchMm ?? pitchAim ?? fromMm + (external ? -1 : 1) * clearanceMm;
  const readStart = copy ? (choice.readStartMm ?? null) : null;
  const basicStart = readStart ?? (external ? outsideMm(form, sizes) : sizes.minorInternalMm);
  const reliefMm = readStart === null ? choice.crestReliefMm : 0;
  const wantedStart = choice.aim?.startMm ?? startAim ?? basicStart + (external ? -1 : 1) * reliefMm;
  const bounds =
    external || gauge
      ? []
      : boundsOf(form, pitchMm, sizes.majorMm, choice.mateRootMm ?? null).filter((b) => b.leastMm > wantedStart);
  const startDiameterMm = Math.max(wantedStart, ...bounds.map((b) => b.leastMm));
  const binding = bounds.find((b) => b.leastMm === startDiameterMm);
  const limits =
    aims && asked?.ok && choice.class
      ? {
          ...aims,
          class: choice.class,
          source: asked.value.source,
        }
      : null;
  const outerMm = Math.abs(startDiameterMm - pitchDiameterMm) / 2;
  const rootMm = external ? form.external.innerMm : form.internal.outerMm;
  const tip: TipDepth =
    choice.tip === null
      ? { depthMm: outerMm + rootMm, clearsRoot: true, beyondMm: 0 }
      : depthWithTip(form, pitchMm, toolTip(choice.tip), { outerMm, rootMm });
  // the groove is wider at the root by what the pitch diameter lies under its basic size: for Acme B1.5's own rule
  // 0.3707P - 0.2586 (clearance on the minor diameter - allowance on the pitch diameter)
  const nearest = (external ? aims?.pitch.max : aims?.pitch.min) ?? sizes.pitchDiameterMm;
  const allowance = external ? sizes.pitchDiameterMm - nearest : nearest - sizes.pitchDiameterMm;
  const slope = slopeOf(form);
  const widestTipMm = (external ? rootFlatMm(form, pitchMm) : nutRootFlatMm(form, pitchMm)) + (slope * allowance) / 2;
  const rootDiameterMm = startDiameterMm + (external ? -2 : 2) * tip.depthMm;
  const sign = external ? '\u2212' : '+';
  const startOrigin = (): Origin => {
    if (choice.aim?.startMm != null) return { formula: BY_HAND, values: plain(choice.aim.startMm) };
    if (limits) return middleOf(limits.start);
    if (readStart !== null) return { formula: 'as read on the part', values: plain(readStart) };
    return {
      formula: external ? 'd \u2212 crest relief' : 'D1 + crest relief',
      values: `${plain(basicStart)} ${sign} ${plain(reliefMm)}`,
    };
  };
  const pitchOrigin = (): Origin => {
    if (choice.aim?.pitchMm != null) return { formula: BY_HAND, values: plain(choice.aim.pitchMm) };
    if (limits) return middleOf(limits.pitch);
    if (copy) return { formula: 'as read on the part, where it is least worn', values: plain(fromMm) };
    return {
      formula: `${to === 'mate' ? 'the mate\u2019s' : 'basic'} ${external ? 'd2 \u2212' : 'D2 +'} clearance`,
      values: `${plain(fromMm)} ${sign} ${plain(clearanceMm)}`,
    };
  };
  const working: FitWorking = {
    start: {
      name: external ? 'Blank diameter' : 'Bore',
      symbol: external ? 'd blank' : 'D bore',
      ...(binding ? { formula: binding.formula, values: binding.values } : startOrigin()),
      result: startDiameterMm,
      unit: 'mm',
      source: external
        ? `${form.source}; relief: common practice`
        : `${form.source} (minor diameter of the internal thread); relief: common practice`,
    },
    pitchDiameter: {
      name: 'Pitch diameter to reach',
      symbol: external ? 'd2' : 'D2',
      ...pitchOrigin(),
      result: pitchDiameterMm,
      unit: 'mm',
      source: limits ? `${limits.source}, class ${limits.class}` : `${form.source}; clearance: as chosen`,
    },
    depth: {
      name: 'Depth to cut',
      symbol: 'h',
      formula:
        choice.tip === null
          ? `|start \u2212 pitch diameter| / 2 + root height`
          : 'flatMm' in choice.tip
            ? '|start \u2212 pitch diameter| / 2 + (P/2 \u2212 f) / (tan a1 + tan a2)'
            : '|start \u2212 pitch diameter| / 2 + height below the pitch line of a round nose',
      values:
        choice.tip === null
          ? `${plain(outerMm)} + ${plain(rootMm)}`
          : !('flatMm' in choice.tip)
            ? `${plain(outerMm)} + ${plain(tip.depthMm - outerMm)}`
            : `${plain(outerMm)} + (${plain(pitchMm / 2)} \u2212 ${plain(choice.tip.flatMm)}) / (tan ${form.leadingDeg}\u00b0 + tan ${form.trailingDeg}\u00b0)`,
      result: tip.depthMm,
      unit: 'mm',
      source: form.source,
    },
    root: {
      name: external ? 'Root that the cut leaves' : 'Root of the nut',
      symbol: external ? 'd3' : 'D',
      formula: external ? 'blank \u2212 2 h' : 'bore + 2 h',
      values: `${plain(startDiameterMm)} ${sign} 2 \u00d7 ${plain(tip.depthMm)}`,
      result: rootDiameterMm,
      unit: 'mm',
      source: form.source,
    },
  };
  return {
    make: choice.make,
    form,
    startDiameterMm,
    pitchDiameterMm,
    rootDiameterMm,
    depthMm: tip.depthMm,
    widestTipMm,
    bounds,
    engagedShare: choice.gauge ? 1 : engagedShare(external, startDiameterMm, sizes),
    tip: { ...tip, clearsRoot: tip.clearsRoot || finishes(external, rootDiameterMm, sizes) },
    limits,
    gauge: gauge?.ok ? gauge.value : null,
    problem: classProblemOf(choice, asked, aims, gauge) ?? notRead(choice),
    working,
  };
}

/** Where a figure comes from. */
type Origin = Pick<Step, 'formula' | 'values'>;
const BY_HAND = 'aim, by hand';
const middleOf = (l: Limits): Origin => ({
  formula: 'middle of its limits',
  values: `(${l.min ?? ''} + ${l.max ?? ''}) / 2`,
});

/**
 * An aim by hand that a class does not allow, or that is no longer this thread; null: it may be.
 * @example aimProblem(fit(demo('pump')), named(demo('pump')), { pitchMm: 28.5, startMm: null }) // null
 * @example aimProblem(fit(demo('sluice')), named(demo('sluice')), { pitchMm: 28.5, startMm: null }).figures.basicMm // 34.4714
 */
export function aimProblem(plan: FitPlan, thread: ThreadSpec, aim: NonNullable<FitChoice['aim']>): Problem | null {
  const sizes = threadSizes(thread);
  const external = plan.make === 'external';
  const judge = (field: string, mm: number | null, limits: Limits | null, basicMm: number): Problem | null => {
    if (mm === null) return null;
    const [min, max] = [limits?.min ?? null, limits?.max ?? null];
    if ((min !== null && mm < min - READ_MM) || (max !== null && mm > max + READ_MM))
      return problem(field, 'aim-outside-class', { class: plan.limits?.class ?? '', minMm: min, maxMm: max });
    const most = pitchMmOf(thread) / 2;
    return Math.abs(mm - basicMm) > most ? problem(field, 'aim-no-thread', { basicMm }) : null;
  };
  return (
    judge('pitchMm', aim.pitchMm, plan.limits?.pitch ?? null, sizes.pitchDiameterMm) ??
    judge('startMm', aim.startMm, plan.limits?.start ?? null, external ? sizes.majorMm : sizes.minorInternalMm)
  );
}

type Aims = Pick<GaugeSizes, 'start' | 'pitch'>;
const isScrew = (choice: FitChoice): boolean => (choice.make === 'external') !== Boolean(choice.gauge);

/** Limits to make it to: those of the member itself, or of the gauge for the other one. */
function aimsOf(
  choice: FitChoice,
  asked: Outcome<ThreadLimits> | null,
  gauge: Outcome<GaugeSizes> | null,
): Aims | null {
  if (choice.gauge) return gauge?.ok ? gauge.value : null;
  const member = asked?.ok ? asked.value[choice.make] : undefined;
  return member ? { start: choice.make === 'external' ? member.major : member.minor, pitch: member.pitch } : null;
}

function classProblemOf(
  choice: FitChoice,
  asked: Outcome<ThreadLimits> | null,
  aims: Aims | null,
  gauge: Outcome<GaugeSizes> | null,
): Problem | null {
  if (choice.gauge && !asked) return problem('class', 'fit-no-class');
  if (!asked || aims) return null;
  if (!asked.ok) return asked.problem;
  const member = isScrew(choice) ? 'external' : 'internal';
  if (asked.value[member] && gauge && !gauge.ok) return gauge.problem;
  return problem('class', 'class-for-other', { class: choice.class ?? '', make: member });
}

/** Made to the mate, or as a copy, and nothing says how big that is: the basic size must not stand in. */
function notRead(choice: FitChoice): Problem | null {
  if (choice.class || choice.gauge || choice.readPitchDiameterMm != null) return null;
  if (choice.to === 'mate')
    return problem('to', 'mate-not-read', { mate: choice.make === 'external' ? 'internal' : 'external' });
  return choice.to === 'copy' ? problem('to', 'part-not-read', { make: choice.make }) : null;
}

/** Clearance that a nut is given over the root of the screw it has to pass, radial, mm. Common practice (0.1 to 0.25), no source. */
const OVER_ROOT_MM = 0.15;
/** A nut bored with a square crest clears a full root radius of the 55 degree form only from here: d - 1.1328P. */
const SQUARE_CREST_SHARE = 1.1328;

/**
 * The least bore that lets the nut on: over the screw's own root where it survives, and, of the rounded 55 degree forms,
 * over the root radius that a square crest would ride on (d3 + 2 r (1 - sin a), BS 84's figures: d - 1.1328P).
 */
function boundsOf(form: ThreadForm, pitchMm: number, majorMm: number, mateRootMm: number | null): Bound[] {
  const rounded = form.id === 'whitworth55' || form.id === 'pipe55';
  return [
    ...(mateRootMm === null
      ? []
      : [
          {
            code: 'screw-root' as const,
            leastMm: mateRootMm + 2 * OVER_ROOT_MM,
            formula: 'root of the screw as read + 2 \u00d7 clearance',
            values: `${plain(mateRootMm)} + 2 \u00d7 ${OVER_ROOT_MM}`,
          },
        ]),
    ...(rounded
      ? [
          {
            code: 'square-crest' as const,
            leastMm: majorMm - SQUARE_CREST_SHARE * pitchMm,
            formula: 'd \u2212 1.1328 P, where a square crest clears the root radius',
            values: `${plain(majorMm)} \u2212 ${SQUARE_CREST_SHARE} \u00d7 ${plain(pitchMm)}`,
          },
        ]
      : []),
  ];
}

/**
 * Outside of a screw where its pitch diameter is given, mm. A taper pipe is named by the outside of the pipe, and its pitch
 * diameter is that of its small end (ASME B1.20.1): there the blank is smaller.
 */
const outsideMm = (form: ThreadForm, sizes: BasicSizes): number =>
  form.taper === 0 ? sizes.majorMm : sizes.pitchDiameterMm + 2 * form.external.outerMm;

/** Overlap of crest and mate's crest that is left, over what the form has. */
function engagedShare(external: boolean, startMm: number, sizes: BasicSizes): number {
  const full = sizes.majorMm - sizes.minorInternalMm;
  const left = external ? startMm - sizes.minorInternalMm : sizes.majorMm - startMm;
  return full > 0 ? Math.max(0, Math.min(1, left / full)) : 0;
}

/** A tip wider than the root flat leaves the root high; that still finishes while it stays inside the mate's crest. */
const finishes = (external: boolean, rootMm: number, sizes: BasicSizes): boolean =>
  external ? rootMm <= sizes.minorInternalMm + 1e-9 : rootMm >= sizes.majorMm - 1e-9;

const toolTip = (tip: NonNullable<FitChoice['tip']>): ToolTip =>
  'flatMm' in tip ? tip : { flatMm: 0, radiusMm: tip.radiusMm };

const middle = (l: Limits): number | null => (l.min === null || l.max === null ? null : (l.min + l.max) / 2);

/**
 * Bore for a share of the full depth of thread, mm: 60 degree threads by the trade's 1.299038 P at 100 % (common practice),
 * the others by the depth from the major to the nut's own minor diameter.
 * @example boreForShareMm(thread('M10'), 5 / 6) // 8.376; 83 % is the minor diameter of ISO 724
 */
export function boreForShareMm(thread: ThreadSpec, share: number): number {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const sixty = form.leadingDeg === 30 && form.trailingDeg === 30 && form.taper === 0;
  const full = sixty ? 1.299038 * pitchMmOf(thread) : sizes.majorMm - sizes.minorInternalMm;
  return sizes.majorMm - share * full;
}

/** What is to be said of a blank or bore that is there already. */
export type ReadyCode =
  'right' | 'over-class' | 'under-class' | 'bore-small' | 'bore-is-root' | 'bore-large' | 'blank-over' | 'blank-small';
/** Whether the blank or bore as measured will do. */
export interface ReadyCheck {
  readonly ok: boolean;
  readonly code: ReadyCode;
  readonly make: 'external' | 'internal';
  /** By how much it is off, on diameter, or the limit that it passes, mm; null where it is right or by judgement. */
  readonly mm: number | null;
  readonly class: string | null;
}

/**
 * Judges a blank or bore that is already there. @param toleranceMm how far off still makes no odds, on diameter
 * @example checkReady(fit(demo('pump')), named(demo('pump')), 29.9).code // 'right'
 */
export function checkReady(plan: FitPlan, thread: ThreadSpec, readyMm: number, toleranceMm = 0.05): ReadyCheck {
  const sizes = threadSizes(thread);
  const { start } = plan.limits ?? { start: { min: null, max: null } };
  const say = (code: ReadyCode, mm: number | null = null): ReadyCheck => ({
    ok: code === 'right',
    code,
    make: plan.make,
    mm,
    class: plan.limits?.class ?? null,
  });
  if (plan.make === 'internal') {
    if (start.max !== null && readyMm > start.max + READ_MM) return say('over-class', start.max);
    if (readyMm < sizes.minorInternalMm - READ_MM)
      return say(
        Math.abs(readyMm - sizes.minorExternalMm) < SAME_SIZE_MM ? 'bore-is-root' : 'bore-small',
        sizes.minorInternalMm - readyMm,
      );
    return say(readyMm > plan.startDiameterMm + toleranceMm + LARGE_BORE * pitchMmOf(thread) ? 'bore-large' : 'right');
  }
  if (start.min !== null && readyMm < start.min - READ_MM) return say('under-class', start.min);
  const outside = outsideMm(plan.form, sizes);
  if (readyMm > outside + READ_MM) return say('blank-over', readyMm - outside);
  return say(readyMm < plan.startDiameterMm - toleranceMm - SMALL_BLANK * pitchMmOf(thread) ? 'blank-small' : 'right');
}
/** A micrometer reads no nearer, mm; and diameters nearer to each other than the second are the same size taken for another. */
const READ_MM = 0.005;
const SAME_SIZE_MM = 0.1;
/** From here, in pitches on diameter, a bore leaves little thread and a blank flat crests. Common practice, no source. */
const LARGE_BORE = 0.1;
const SMALL_BLANK = 0.05;
