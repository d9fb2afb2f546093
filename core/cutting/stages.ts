import type { DepthRule } from './depths.ts';
import type { Stage } from './plan.ts';
import { heightAtSectionMm, sectionMm2, type ToolOutline } from './tip.ts';

/** Caps and springs of the stages, as chosen; null: no cap of its own. */
export interface StageChoice {
  readonly roughCapMm: number | null;
  readonly roughSprings: number;
  readonly semiCapMm: number | null;
  readonly semiSprings: number;
  readonly finishCapMm: number | null;
}
/** Roughing takes this share of the metal; the finish the last of the depth. Common practice, no source. */
const ROUGH_SHARE = 0.7;
const FINISH_MM = 0.05;

/** What the stages usually are. Common practice, no source. */
export const USUAL_STAGES: StageChoice = {
  roughCapMm: 0.25,
  roughSprings: 1,
  semiCapMm: 0.08,
  semiSprings: 1,
  finishCapMm: 0.025,
};

interface Asked {
  readonly tool: ToolOutline;
  readonly depthMm: number;
  readonly rule: DepthRule;
  readonly stepMm: number | null;
  readonly capMm: number | null;
  readonly floorMm: number | null;
  readonly choice: StageChoice | null;
  readonly straightLastMm: number;
}

/**
 * The stretches of a depth: rough to seven tenths of the metal, semi-finish to the last of the depth, finish; or, without
 * stages, all of it and the last that is fed straight in, so that no pass is fed both ways. Null: one rule throughout.
 * @example stagesOf({ tool: { leadingDeg: 30, trailingDeg: 30, tip: { flatMm: 0.25 } }, depthMm: 1.8, rule: 'area', stepMm: null, capMm: 0.25, floorMm: null, choice: { roughCapMm: 0.25, roughSprings: 0, semiCapMm: 0.1, semiSprings: 0, finishCapMm: 0.05 }, straightLastMm: 0 }).map((s) => s.upToMm) // [1.475, 1.75, 1.8]; seven tenths of the metal, then the last cap, then the whole
 */
export function stagesOf(q: Asked): readonly Stage[] | null {
  const { choice, depthMm, tool } = q;
  if (!choice && q.straightLastMm === 0) return null;
  const by = { rule: q.rule, stepMm: q.stepMm };
  const finishMm = Math.max(0, depthMm - (q.straightLastMm > 0 ? q.straightLastMm : FINISH_MM));
  const last = {
    ...by,
    upToMm: depthMm,
    firstMaxMm: choice?.finishCapMm ?? q.capMm,
    // a last stretch as thin as this has no floor to keep to but its own
    lastMinMm: null,
    springs: 0,
  };
  if (!choice) return [{ ...by, upToMm: finishMm, firstMaxMm: q.capMm, lastMinMm: q.floorMm, springs: 0 }, last];
  const roughMm = Math.min(finishMm, heightAtSectionMm(tool, ROUGH_SHARE * sectionMm2(tool, depthMm)));
  return [
    {
      ...by,
      upToMm: roughMm,
      firstMaxMm: choice.roughCapMm ?? q.capMm,
      lastMinMm: null,
      springs: choice.roughSprings,
    },
    {
      ...by,
      upToMm: finishMm,
      firstMaxMm: choice.semiCapMm ?? q.capMm,
      lastMinMm: null,
      springs: choice.semiSprings,
    },
    last,
  ];
}
