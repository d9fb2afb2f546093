import { depthWithTip, nutRootFlatMm, rootFlatMm, type TipDepth } from '../form/sizes.ts';
import type { ThreadForm } from '../form/shape.ts';
import { plain, type Step } from '../quantity/working.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';

export interface FitChoice {
  readonly make: 'external' | 'internal';
  readonly pitchClearanceMm: number;
  readonly crestReliefMm: number;
  readonly tipFlatMm: number | null;
}

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
  /** Widest tip flat that still clears the root, mm. */
  readonly widestTipMm: number;
  readonly tip: TipDepth;
  readonly working: readonly Step[];
}

/** Crest relief that most shops give, mm on diameter: about P/30, at least 0.05 and at most 0.3. Common practice, no source. */
export const usualCrestReliefMm = (pitchMm: number): number =>
  Math.min(0.3, Math.max(0.05, Math.round((pitchMm / 30) * 100) / 100));
/** Clearance on the pitch diameter for a good general fit, mm. Common practice: 0.03-0.05 for noses, more for coarse screws. */
export const usualPitchClearanceMm = (pitchMm: number): number => Math.round((0.03 + 0.012 * pitchMm) * 100) / 100;

/**
 * What to turn or bore before threading, and how deep to cut. For a nut the bore is the minor diameter of the *internal*
 * thread, never the root of the screw: boring to the screw's root leaves the nut tight on its crests.
 */
export function fitPlan(thread: ThreadSpec, choice: FitChoice): FitPlan {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const pitchMm = pitchMmOf(thread);
  const external = choice.make === 'external';
  const pitchDiameterMm = sizes.pitchDiameterMm + (external ? -1 : 1) * choice.pitchClearanceMm;
  const basicStart = external ? sizes.majorMm : sizes.minorInternalMm;
  const startDiameterMm = basicStart + (external ? -1 : 1) * choice.crestReliefMm;
  const outerMm = Math.abs(startDiameterMm - pitchDiameterMm) / 2;
  const rootMm = external ? form.external.innerMm : form.internal.outerMm;
  const tip: TipDepth =
    choice.tipFlatMm === null
      ? { depthMm: outerMm + rootMm, clearsRoot: true, beyondMm: 0 }
      : depthWithTip(form, pitchMm, { flatMm: choice.tipFlatMm }, { outerMm, rootMm });
  const rootDiameterMm = startDiameterMm + (external ? -2 : 2) * tip.depthMm;
  const sign = external ? '\u2212' : '+';
  const working: Step[] = [
    {
      name: external ? 'Blank diameter' : 'Bore',
      symbol: external ? 'd blank' : 'D bore',
      formula: external ? 'd \u2212 crest relief' : 'D1 + crest relief',
      values: `${plain(basicStart)} ${sign} ${plain(choice.crestReliefMm)}`,
      result: startDiameterMm,
      unit: 'mm',
      source: external
        ? `${form.source}; relief: common practice`
        : `${form.source} (minor diameter of the internal thread); relief: common practice`,
    },
    {
      name: 'Pitch diameter to reach',
      symbol: external ? 'd2' : 'D2',
      formula: external ? 'basic d2 \u2212 clearance' : 'basic D2 + clearance',
      values: `${plain(sizes.pitchDiameterMm)} ${sign} ${plain(choice.pitchClearanceMm)}`,
      result: pitchDiameterMm,
      unit: 'mm',
      source: `${form.source}; clearance: as chosen`,
    },
    {
      name: 'Depth to cut',
      symbol: 'h',
      formula:
        choice.tipFlatMm === null
          ? `|start \u2212 pitch diameter| / 2 + root height`
          : '|start \u2212 pitch diameter| / 2 + (P/2 \u2212 f) / (tan a1 + tan a2)',
      values:
        choice.tipFlatMm === null
          ? `${plain(outerMm)} + ${plain(rootMm)}`
          : `${plain(outerMm)} + (${plain(pitchMm / 2)} \u2212 ${plain(choice.tipFlatMm)}) / (tan ${form.leadingFlankDeg}\u00b0 + tan ${form.trailingFlankDeg}\u00b0)`,
      result: tip.depthMm,
      unit: 'mm',
      source: form.source,
    },
  ];
  return {
    make: choice.make,
    form,
    startDiameterMm,
    pitchDiameterMm,
    rootDiameterMm,
    depthMm: tip.depthMm,
    widestTipMm: external ? rootFlatMm(form, pitchMm) : nutRootFlatMm(form, pitchMm),
    tip,
    working,
  };
}

export interface ReadyCheck {
  readonly ok: boolean;
  readonly message: string;
}

/** Judges a blank or bore that is already there. @param toleranceMm how far off still makes no odds, on diameter */
export function checkReady(plan: FitPlan, thread: ThreadSpec, readyMm: number, toleranceMm = 0.05): ReadyCheck {
  const sizes = threadSizes(thread);
  if (plan.make === 'internal') {
    if (readyMm < sizes.minorInternalMm - 0.005) {
      const like =
        Math.abs(readyMm - sizes.minorExternalMm) < 0.1
          ? ' It is the root diameter of the screw, which is smaller than the bore of its nut.'
          : '';
      return {
        ok: false,
        message: `The bore is ${(sizes.minorInternalMm - readyMm).toFixed(2)} mm smaller than the minor diameter of the internal thread, so the nut would be tight on its crests.${like}`,
      };
    }
    if (readyMm > plan.startDiameterMm + toleranceMm + 0.1 * pitchMmOf(thread))
      return { ok: false, message: 'The bore is large: the nut keeps little depth of thread.' };
    return { ok: true, message: 'The bore is right.' };
  }
  if (readyMm > sizes.majorMm + 0.005)
    return {
      ok: false,
      message: `The blank is ${(readyMm - sizes.majorMm).toFixed(2)} mm over the nominal diameter: the crests would foul the nut's root.`,
    };
  if (readyMm < plan.startDiameterMm - toleranceMm - 0.05 * pitchMmOf(thread))
    return { ok: false, message: 'The blank is small: the crests will be flat and the thread shallow.' };
  return { ok: true, message: 'The blank is right.' };
}
