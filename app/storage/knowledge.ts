/** All that has to know what is in a job: fetched with the first one, not with the first screen. */
export { checkJob, storable } from '../../core/formats/check.ts';
export { repairShop } from '../../core/formats/repair.ts';
export { upgradeJob, upgradeShop } from '../../core/formats/upgrade.ts';
export { applyEdit } from '../../core/job/edits/index.ts';
export { putAway } from '../../core/job/putAway.ts';
export { goOver } from '../../core/job/edits/back.ts';
export { editLabel } from '../../words/edits.ts';
export { lineOf, rowOf } from './rows.ts';
