/** Whether a train goes on the arm, where its gears stand, and in what order they are put up. */
export { armOf, mountOn, turningFor } from './latheArm.ts';
export { TRIED_FOR_EACH, mountAll, type MountedTrain } from './mountAll.ts';
export {
  behindNuts,
  mountTrain,
  type Fitting,
  type FouledGear,
  type Mount,
  type NotMounted,
  type PlacedGear,
  type Turning,
} from './mount.ts';
export { alongSlot, armAt, leanTo, type Arm, type Point, type SlotAt } from './arm.ts';
export { positionsOf, type GearPosition } from './positions.ts';
export { lastStudMm, spacersOf, turnOf } from './spacers.ts';
export { gearOutline } from './gearOutline.ts';
