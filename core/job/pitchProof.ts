import { crestsToTell, MOST_TURNS, nearestSlips, turnsProof, type TurnsProof } from '../gearing/proof/index.ts';
import type { Mistake } from '../gearing/proof/diagnose.ts';
import { sameGears } from '../gearing/train.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import { gearState, latheOf } from './derive.ts';
import type { PitchBy } from './events.ts';
import { standing, type Metal } from './metal.ts';
import type { Has, Job, Shop } from './schema.ts';
import { slippable, wrongScratch } from './scratchCheck.ts';

/** How the pitch is proved before depth, and what to expect. */
export interface PitchProof {
  /** A screw is scratched. No rule reaches into a nut: the chuck is turned by hand and the carriage moves along, or at a control a spare bar is scratched. */
  readonly by: Exclude<PitchBy, 'waived'>;
  /** From groove to groove, and at each turn of the chuck, mm. */
  readonly leadMm: number;
  /** Grooves counted from nought, or turns of the chuck, and what they span, mm. */
  readonly count: number;
  readonly spanMm: number;
  /** The nearest slip spans so much less or more that a rule tells it. */
  readonly told: boolean;
  /** What the nearest single slips would span instead, mm. */
  readonly slips: readonly { readonly mistake: Mistake; readonly spanMm: number }[];
  /** Turns of the chuck against turns of the leadscrew; null: the lead is not geared. */
  readonly turns: TurnsProof | null;
}

/** The deepest that a scratch goes, radial mm: it is seen and measured, and turns away. Common practice, no source. */
const SCRATCH_MM = 0.05;
const SLIPS_SHOWN = 3;

/**
 * How deep a scratch is, radial mm: never as deep as the pass after it.
 * @param firstMm depth of the first pass
 * @example [scratchDepthMm(0.2), scratchDepthMm(0.04)] // [0.05, 0.02]
 */
export const scratchDepthMm = (firstMm: number): number => Math.min(SCRATCH_MM, firstMm / 2);

/** The train stood on the lathe already, and the lathe remembers that it cut right with these levers. */
const cutRightBefore = (job: Has<'gears'>, lathe: Lathe, metal: Metal): boolean => {
  const { train } = job.gears;
  return (
    metal.gears === null && train !== null && isGeared(lathe) && lathe.proven.some((p) => sameGears(p.train, train))
  );
};

/**
 * What is to be proved before any depth is cut: that the train, the levers or the lead that was typed cut this pitch. Null: it is
 * proved, or waived, or a groove is there along which the run in the air proves it.
 * @example pitchProof(demo('sluice'), shop, metal(demo('sluice'))) // null; six passes are cut
 */
export function pitchProof(
  job: Has<'name' | 'gears' | 'setup' | 'intake'>,
  shop: Shop,
  metal: Metal,
): PitchProof | null {
  if (metal.pitchProved !== null || metal.hasGroove) return null;
  const lathe = latheOf(job, shop);
  const lead = gearState(job, shop)?.lead;
  if (!lathe || !lead) return null;
  if (metal.scratch && !wrongScratch(job, shop, metal)) return null;
  if (cutRightBefore(job, lathe, metal)) return null;
  const leadMm = numberOf(lead);
  const { train } = job.gears;
  const geared = isGeared(lathe) && train ? slippable(lathe, train) : null;
  const slips = geared ? nearestSlips(geared, SLIPS_SHOWN) : [];
  const by = job.intake.make === 'external' ? 'scratch' : lathe.kind === 'control' ? 'bar' : 'turns';
  const near = slips[0] ? numberOf(exact(slips[0].leadMm)) : null;
  const { count, told } = crestsToTell(leadMm, near, mostCount(job, by, leadMm));
  return {
    by,
    leadMm,
    count,
    spanMm: count * leadMm,
    told,
    slips: slips.map((s) => ({ mistake: s.mistake, spanMm: count * numberOf(exact(s.leadMm)) })),
    turns:
      geared && train
        ? turnsProof({ leadscrew: geared.leadscrew, fixedRatio: geared.fixedRatio, gears: lathe.gears, train })
        : null,
  };
}

/** Grooves that there are on this length; turns that a person counts. */
function mostCount(job: Has<'setup'>, by: PitchProof['by'], leadMm: number): number {
  const { lengthMm } = job.setup;
  return by !== 'scratch' || lengthMm === null ? MOST_TURNS : Math.min(MOST_TURNS, lengthMm / leadMm);
}

/**
 * Whether the pitch was let be unproved, on purpose.
 * @example pitchWaived(demo('sluice')) // false
 */
export const pitchWaived = (job: Job): boolean =>
  standing(job.events).some((e) => e.kind === 'pitchProved' && e.by === 'waived');
