/** The stations of the work, in the order in which the trade does them. */
export const STATIONS = [
  'intake',
  'read',
  'name',
  'fit',
  'gears',
  'setup',
  'pickup',
  'cut',
  'prove',
  'record',
] as const;
/** One of STATIONS. */
export type StationId = (typeof STATIONS)[number];
/**
 * Whether a word names a station.
 * @example isStation('cut') // true
 */
export const isStation = (word: string): word is StationId => (STATIONS as readonly string[]).includes(word);

/** Raised with every change of shape; core/formats/upgrade.ts holds the steps from the older ones. */
export const JOB_VERSION = 10;
/** Raised with every change of the shop's shape. */
export const SHOP_VERSION = 8;
/** Raised with every change of a backup's shape. */
export const BACKUP_VERSION = 3;
