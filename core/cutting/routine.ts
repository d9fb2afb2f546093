export interface RoutineRequest {
  readonly make: 'external' | 'internal';
  readonly leftHand: boolean;
  readonly infeed: 'angled' | 'plunge';
  readonly returnBy: 'reverse' | 'dial';
  readonly safeMarks: number;
  readonly marks: number;
  readonly electronic: boolean;
}

/**
 * The motions of one pass in words, in order. Internal threads reverse everything across the axis: in is away from it,
 * out is towards it. Left-hand threads start in the run-out groove and cut towards the tailstock.
 */
export function routine(r: RoutineRequest): string[] {
  const out =
    r.make === 'external' ? 'Tool out a full turn, away from the work' : 'Tool out a full turn, towards the axis';
  const slide =
    r.infeed === 'angled'
      ? 'Cross slide back to zero; top slide to the reading'
      : 'Cross slide in to the reading, counting the full turns';
  const towards = r.leftHand ? 'towards the tailstock' : 'towards the headstock';
  const back = r.leftHand ? 'into the run-out groove' : 'past the start of the work';
  const overshoot = `Overshoot ${back} by two or three leads, so that the backlash is taken up`;
  if (r.electronic)
    return [
      slide,
      `Start the pass ${towards}`,
      `At the end: ${out.toLowerCase()}`,
      `Return ${back}, a whole number of leads`,
    ];
  // where no mark is right the nuts may not open, whatever way back was chosen
  const noMark = r.returnBy === 'dial' && r.safeMarks === 0;
  if (r.returnBy === 'reverse' || noMark)
    return [
      slide,
      `Spindle forward: cut ${towards}`,
      `At the end: stop, ${out.toLowerCase()}`,
      `${noMark ? 'No dial mark is right, so the half-nuts' : 'Half-nuts'} stay shut: spindle in reverse`,
      overshoot,
    ];
  const close =
    r.safeMarks === r.marks
      ? 'Close the half-nuts on any mark'
      : r.safeMarks === 1
        ? 'Close the half-nuts on the mark first used'
        : `Close the half-nuts on one of the ${r.safeMarks} right marks`;
  return [
    slide,
    close,
    `Cut ${towards}`,
    `At the end: ${out.toLowerCase()}, open the half-nuts`,
    `Carriage back by hand ${back}`,
  ];
}
