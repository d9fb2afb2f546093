import type { Plan, PlannedPass, PlanRequest } from '../cutting/plan.ts';
import type { Lathe } from '../lathe/schema.ts';
import type { Feed } from './feed.ts';
import { LEAST_CUT_MM } from './leastCut.ts';
import type { Metal } from './metal.ts';
import { controlSetting, depthAt, settingsFor, standFor, type Setting, type Stand } from './slides.ts';

/** A pass as the lathe's dials can be set to it. */
export interface SetPass {
  readonly settings: readonly Setting[];
  readonly set: Stand;
  /** Depth that the setting really gives. */
  readonly depthMm: number;
}

interface At {
  readonly metal: Metal;
  readonly feed: Feed;
  readonly request: PlanRequest;
  readonly lathe: Lathe | null;
}

/**
 * What the lathe's slides are set to for a depth, rounded to what its dials show.
 * @example setTo({ depthMm: 1, axialMm: 0 }, { ...card(demo('sluice')), lathe: shop.lathes[0] }).settings[0].shown // '0.0405'; in, on the top slide at 14 degrees
 */
export function setTo(
  pass: Pick<PlannedPass, 'depthMm' | 'axialMm'> & Partial<Pick<PlannedPass, 'straightMm'>>,
  at: At,
  round: 'nearest' | 'down' = 'nearest',
): SetPass {
  const { metal, request, lathe } = at;
  // the last of the depth is fed by the cross slide, whatever slide fed so far
  const feed: Feed = (pass.straightMm ?? 0) > 0 ? { ...at.feed, slideDeg: null, infeed: 'plunge' } : at.feed;
  const stand = standFor(pass, metal, feed);
  const internal = request.member === 'internal';
  if (lathe?.kind === 'control' && request.surfaceMm !== null) {
    const diameter = (metal.toldMm ?? request.surfaceMm) + (internal ? 2 : -2) * pass.depthMm;
    return { settings: [controlSetting(diameter, lathe)], set: stand, depthMm: pass.depthMm };
  }
  const { settings, set } = settingsFor(stand, lathe, feed, internal, round);
  return { settings, set, depthMm: depthAt(set, feed.liesDeg, metal.zeroMm) };
}

/**
 * The next pass that cuts: the first one still planned that the dials can be set to beyond what is there. Null: nothing is
 * left that a hand can set.
 * @example nextPass(plan(demo('sluice')).plan, { ...card(demo('sluice')), lathe: shop.lathes[0] }).made.depthMm > metal(demo('sluice')).depthMm // true
 */
export function nextPass(plan: Plan, at: At): { readonly pass: PlannedPass; readonly made: SetPass } | null {
  if (!(plan.leftMm > LEAST_CUT_MM)) return null;
  const there = Math.max(at.metal.depthMm, at.request.grooveMm);
  for (const pass of plan.passes) {
    const near = setTo(pass, at);
    const cap = at.request.firstMaxMm ?? Infinity;
    // the nearest setting may lie beyond what one pass may take: then the one before it
    const made = near.depthMm - there > cap + 1e-9 ? setTo(pass, at, 'down') : near;
    if (made.depthMm > there + 1e-6) return { pass, made };
  }
  return null;
}
