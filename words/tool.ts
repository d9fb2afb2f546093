/** What is said of a side that leans outwards under its edge; null: it does not. */
export const trailingSideText = (trailingReliefDeg: number): string | null =>
  trailingReliefDeg >= 0
    ? null
    : `The trailing side leans outwards under its edge by ${Number((-trailingReliefDeg).toFixed(2))}\u00b0: ground square it would rub on the flank behind it.`;
