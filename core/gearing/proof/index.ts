/** What is proved before metal is cut: turns by hand, a scratch, the one mistake that explains it, the chasing dial, and what a lead error does. */
export { hopeless, MOST_TURNS, turnsProof, worthShowing, type TurnsProof } from './turns.ts';
export { crestsToTell, judgeScratch, RULE_MM, scratchPlan } from './scratch.ts';
export { auditTrain, nearestPitches } from './audit.ts';
export { explainScratch, nearestSlips, type Mistake } from './diagnose.ts';
export { dialRule, type DialRule } from './dial.ts';
export { effectSteps, mismatchOf, pitchErrorEffect, shareEaten } from './pitchError.ts';
