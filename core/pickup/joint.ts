/** The lead of an old thread, from crests counted over a length. */
export interface OldLead {
  readonly leadMm: number;
  /** Standard uncertainty, mm. */
  readonly sigmaMm: number;
}

/**
 * Lead of what is left of an old thread: the length over so many pitches, times the starts. Both ends of the length are read, so
 * its uncertainty counts twice in squares. @param pitches counted, whole @param readMm how well one end is read, mm
 * @example oldLeadOf(60.06, 30, 1, 0.01).leadMm // 2.002
 */
export function oldLeadOf(spanMm: number, pitches: number, starts: number, readMm: number): OldLead {
  if (!(pitches > 0 && spanMm > 0)) throw new RangeError(`${pitches} pitches over ${spanMm} mm`);
  const per = starts / pitches;
  return { leadMm: spanMm * per, sigmaMm: Math.SQRT2 * readMm * per };
}

/** Two lengths of thread of two leads that a nut runs over: an old part and what is cut on to it. */
export interface Joint {
  /** The lathe's lead against the old one's, as a part of it: + the new thread is longer. */
  readonly perMm: number;
  /** Picked up at the joint itself: how far the tool is off once it has run so far into the old thread, mm. */
  readonly atJointMm: number;
  /** Picked up half-way into what it runs over: the most it is off at either end. */
  readonly splitMm: number;
  /** Where that is, from the joint into the old thread, mm. */
  readonly splitAtMm: number;
  /** Over the length of a nut that stands on both, what the two leads come apart; null: no length is known. */
  readonly nutMm: number | null;
  /** What that takes off the clearance on pitch diameter. */
  readonly takesMm: number | null;
}

/**
 * How the two threads meet. The tool is right at one place only and is off by the difference of the leads times the way from
 * there; picked up in the middle of what it runs over, that is half as much at either end. A nut half on each has to
 * swallow the difference over its half, which costs 2 s / (tan a1 + tan a2) on the pitch diameter as any error of lead
 * does (ISO 5408 on the effective diameter; geometry).
 * @param overMm how far the tool runs into the old thread @param nutMm length of engagement @param slope tan a1 + tan a2
 * @example jointOf(2, 2.002, 10, 8, 1.1547).splitMm // 0.005; a thousandth of the five each way from the middle
 */
export function jointOf(
  oldLeadMm: number,
  latheLeadMm: number,
  overMm: number,
  nutMm: number | null,
  slope: number,
): Joint {
  const perMm = latheLeadMm / oldLeadMm - 1;
  const nut = nutMm === null ? null : (Math.abs(perMm) * nutMm) / 2;
  return {
    perMm,
    atJointMm: Math.abs(perMm) * overMm,
    splitMm: (Math.abs(perMm) * overMm) / 2,
    splitAtMm: overMm / 2,
    nutMm: nut,
    // between square flanks nothing but the axial play itself can give
    takesMm: nut === null ? null : slope > 1e-6 ? (2 * nut) / slope : nut,
  };
}
