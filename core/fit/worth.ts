/** A screw and its nut as they are, and what replacing one of them would give; play along the axis, mm. */
export interface Worth {
  /** Null: nobody has read it. */
  readonly playNowMm: number | null;
  /** As the pair was made, and as the new part will be to an unworn mate. */
  readonly playMadeMm: number;
  /** What the part that stays is worn where it is used, on pitch diameter. */
  readonly wornMm: number;
  /** Slope of both flanks together, tan a1 + tan a2. */
  readonly slope: number;
  readonly leadMm: number;
  readonly limitMm: number | null;
  readonly ageYears: number | null;
}
/** What play and its growth say is worth doing. */
export type WorthVerdict = 'leave' | 'by-habit' | 'act' | 'other-is-the-job';
/** What another nut would give, in play and in years. */
export interface WorthAnswer {
  readonly playAfterMm: number;
  readonly turnsNow: number | null;
  readonly turnsAfter: number;
  /** Years until the play is back at the limit; null: age or limit is not said, or it does not come back. */
  readonly years: number | null;
  /** Play that a year of use has brought so far, mm: of the pair, else of the part that stays alone; null: its age is not said. */
  readonly perYearMm: number | null;
  /** Null: what it is now is not said. */
  readonly verdict: WorthVerdict | null;
}

/** Under the first one leaves it; over the second, or a tenth of a turn, one acts, mm. Common practice, no source. */
const LEAVE_MM = 0.1;
const ACT_MM = 0.5;
const ACT_TURN = 0.1;

/**
 * Play now against play after, and whether it is worth the work. A new part beside a worn one gives back at least half of it:
 * then the other is the job. Common practice, no source.
 * @example worthOf({ playNowMm: 0.6, playMadeMm: 0.1, wornMm: 0.2, slope: 1.1547, leadMm: 5, limitMm: 1, ageYears: 20 }).playAfterMm // 0.2155
 */
export function worthOf(w: Worth): WorthAnswer {
  const staysMm = (w.wornMm * w.slope) / 2;
  const playAfterMm = w.playMadeMm + staysMm;
  const wornSoFar = w.playNowMm === null ? staysMm : w.playNowMm - w.playMadeMm;
  const perYearMm = w.ageYears === null ? null : wornSoFar / w.ageYears;
  const years =
    w.limitMm === null || perYearMm === null || perYearMm <= 0 ? null : (w.limitMm - playAfterMm) / perYearMm;
  return {
    playAfterMm,
    turnsNow: w.playNowMm === null ? null : w.playNowMm / w.leadMm,
    turnsAfter: playAfterMm / w.leadMm,
    years: years === null ? null : Math.max(0, years),
    perYearMm,
    verdict: w.playNowMm === null ? null : verdictOf(w.playNowMm, playAfterMm, w.leadMm),
  };
}
function verdictOf(playNowMm: number, playAfterMm: number, leadMm: number): WorthVerdict {
  if (playNowMm < LEAVE_MM) return 'leave';
  if (playAfterMm >= playNowMm / 2) return 'other-is-the-job';
  return playNowMm > ACT_MM || playNowMm / leadMm > ACT_TURN ? 'act' : 'by-habit';
}

/** A cut on the side of a groove that frees play. */
export interface SideCutFor {
  readonly byMm: number;
  /** What it is worth on the pitch diameter; the root is not touched. */
  readonly onPitchDiameterMm: number;
  /** All on one flank: how far the middle of the groove moves. */
  readonly movesMm: number;
}
/**
 * How much to cut off the flanks so that a play becomes another; null: it is there already. @param slope tan a1 + tan a2
 * @example sideCutFor(0.1, 0.3, 1.1547).onPitchDiameterMm // 0.3464; 2 x 0.2 over the slope of 60 degrees
 */
export function sideCutFor(playMm: number, wantedMm: number, slope: number): SideCutFor | null {
  const byMm = wantedMm - playMm;
  return byMm > 1e-9 ? { byMm, onPitchDiameterMm: (2 * byMm) / slope, movesMm: byMm / 2 } : null;
}
