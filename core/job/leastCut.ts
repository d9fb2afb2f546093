/**
 * A rest that is not worth a setting on any lathe, mm: no pass is set finer, and starts that lie less apart are as deep.
 */
export const LEAST_CUT_MM = 0.004;
