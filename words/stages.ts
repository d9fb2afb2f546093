const STAGES = ['rough', 'semi-finish', 'finish'];
/** Which stretch of the depth a pass belongs to; null: there is only one, or it is the one before the last straight in. */
export const stageName = (staged: boolean, stage: number): string | null =>
  staged ? (STAGES[stage] ?? null) : stage > 0 ? 'straight in' : null;

/** What a spring pass is: between stages the burrs come off first. */
export const springText = (staged: boolean, stage: number): string =>
  staged && stage < STAGES.length - 1 ? ': file the burrs off, then the same setting again' : ': same setting again';
