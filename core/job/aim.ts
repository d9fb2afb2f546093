import type { Job } from './schema.ts';

type Aim = keyof Job['fit']['aim'];

/** What of the fit each aim stands in the place of: where that changes, the aim was for something else. */
const RESTS_ON: Readonly<Record<Aim, readonly (keyof Job['fit'])[]>> = {
  pitchMm: ['class', 'to', 'wornMate', 'travel', 'clean', 'duty', 'gauge', 'pitchClearanceMm', 'engagementMm'],
  startMm: ['class', 'to', 'gauge', 'crestReliefMm', 'engagementMm'],
};

/** What an aim was chosen for, as text: thread, member, and what of the fit it replaces. */
function chosenFor({ name, intake, fit }: Job, aim: Aim): string {
  const { majorMm, pitch, form, special } = name?.thread ?? {};
  return JSON.stringify([majorMm, pitch, form, special, intake.make, intake.wanted, RESTS_ON[aim].map((k) => fit[k])]);
}

/**
 * Lets an aim by hand go where an edit changed what it was chosen for: a diameter for one thread scraps another.
 * @example aimsThatHold(demo('pump'), demo('pump')).fit.aim // { pitchMm: null, startMm: null }
 */
export function aimsThatHold(before: Job, after: Job): Job {
  const hold = (aim: Aim): number | null =>
    chosenFor(before, aim) === chosenFor(after, aim) ? after.fit.aim[aim] : null;
  return { ...after, fit: { ...after.fit, aim: { pitchMm: hold('pitchMm'), startMm: hold('startMm') } } };
}
