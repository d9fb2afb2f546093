import type { Choice, Standing } from '../core/formats/merge.ts';

/** How a job of a file stands to what is here. */
export const STANDING_TEXT: Readonly<Record<Standing, string>> = {
  new: 'not here yet',
  same: 'the same as here',
  newer: 'changed since the one here',
  older: 'older than the one here',
};
export const CHOICE_TEXT: Readonly<Record<Choice, string>> = {
  bring: 'in place of the one here',
  both: 'beside the one here',
  leave: 'left',
};
/** Title of a job that is begun from another. */
export const againTitle = (title: string): string => `${title}, again`.slice(0, 200);
export const besideTitle = (title: string): string => `${title} (from a file)`.slice(0, 200);
