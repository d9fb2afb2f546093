/** What is said of the photos of a job. */
export const PHOTO_WORDS = {
  title: (of: string, all: boolean): string => (all ? 'Photos' : `Photos of ${of}`),
  file: (of: string): string => `A photo of ${of}`,
  add: (of: string): string => `Add a photo of ${of}`,
  failed: (why: string): string => `The photo was not kept: ${why}.`,
  notHere: 'not here',
  notHereLong:
    'This picture is not in this browser: it came without its pack. Bring the job in again with its pictures.',
  open: (name: string, of: string): string => `Open the photo ${name}${of ? ` of ${of}` : ''}`,
  said: (of: string, at: string): string => `${of ? `Of ${of}, ` : ''}taken in ${at}.`,
  remove: 'Remove it',
  close: 'Close',
} as const;

/** What is said of what was dropped on the window. */
export const DROP_WORDS = {
  kept: (n: number, of: string): string => `Kept ${n} photo${n === 1 ? '' : 's'} of ${of} with this job.`,
  noJob: 'A picture belongs to a job: open the job first, then drop it there.',
  unknown: (name: string): string =>
    `${name} is nothing that Gelvin reads: right would be a job or a shop (.json, .zip) or a picture (PNG, JPEG, WebP).`,
  failed: (name: string, why: string): string => `${name} was not brought in: ${why}.`,
} as const;
