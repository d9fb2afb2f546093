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
export type StationId = (typeof STATIONS)[number];

export const JOB_VERSION = 1;
export const SHOP_VERSION = 1;
