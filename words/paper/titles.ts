/** What stands large above each sheet. */
export const TITLES = {
  gears: (thread: string): string => `Gears for ${thread}`,
  passes: (slideDeg: number | null): string =>
    slideDeg === null ? 'Passes, straight in' : `Passes, top slide at ${slideDeg}\u00b0`,
  parameters: (thread: string, recut: boolean): string => `${thread}${recut ? ', recut' : ''}`,
  chart: (scale: number): string => `Comparator chart, \u00d7 ${scale}`,
  proof: (job: string): string => `Proof: ${job}`,
  record: (job: string): string => `Record: ${job}`,
};
/** Why a sheet cannot be drawn yet, and what to do. */
export const WHY_NOT = {
  noThread: 'The thread has no name yet: name it under Name.',
  noLathe: 'No lathe is chosen: choose it under Gears.',
  noTrain: 'No gear train is chosen: take one under Gears.',
  told: 'This lathe is told its lead, it has no train: see the parameter sheet.',
  geared: 'This lathe is geared, nothing is typed in: see the gear card.',
};
