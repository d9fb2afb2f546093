import type { Job, Shop } from '../job/schema.ts';
import { BACKUP_VERSION } from '../job/stations.ts';

/**
 * Documents as they go into a file.
 * @example JSON.parse(writeJob(demo('pump'))).version // 10
 */
export const writeJob = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`;
/**
 * A whole shop with its jobs as one file.
 * @example JSON.parse(writeBackup(shop, [])).jobs // []
 * @example JSON.parse(writeBackup(shop, [demo('pump')])).jobs.length // 1
 */
export const writeBackup = (shop: Shop, jobs: readonly Job[]): string =>
  `${JSON.stringify({ format: 'gelvin-backup', version: BACKUP_VERSION, shop, jobs }, null, 2)}\n`;
