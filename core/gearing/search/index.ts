/** Trains that cut a lead, and which of them a machinist would rather put up. */
export { findTrains, type TrainRequest } from './findTrains.ts';
export { asGoodAsMeasured, meritOf } from './merit.ts';
export { orderByShopRule } from './shopRule.ts';
export { oneGearShort, type OneGearShort } from './oneGearShort.ts';
