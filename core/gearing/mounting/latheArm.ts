import type { Gearing } from '../train.ts';
import type { Arm, Mount, Turning } from './mount.ts';
import { mountOne } from './mountAll.ts';
import type { Lathe } from '../../lathe/schema.ts';

/** Backlash set with a strip of paper, mm. Common practice, no source: 0.1 to 0.2. */
const BACKLASH_MM = 0.15;

/**
 * The lathe's arm as the mounting check takes it; null when anything it needs is not measured.
 * @example armOf(shop.lathes[0]).centresMm // 118
 */
export function armOf(lathe: Lathe): Arm | null {
  if (!lathe.arm || lathe.moduleMm === null) return null;
  const { pivot, swing, coverRadiusMm, cover, ...measured } = lathe.arm;
  return {
    ...measured,
    moduleMm: lathe.moduleMm,
    pressureAngleDeg: lathe.pressureAngleDeg,
    backlashMm: BACKLASH_MM,
    ...(pivot === null ? {} : { pivot }),
    ...(swing === null ? {} : { swing }),
    ...(coverRadiusMm === null ? {} : { coverRadiusMm }),
    ...(cover === null ? {} : { cover }),
  };
}

/**
 * How many meshes this hand of thread asks for; null when a tumbler sets it or it has not been tried on this lathe.
 * @example turningFor(shop.lathes[0], false) // null; it has a tumbler
 */
export function turningFor(lathe: Lathe, leftHand: boolean): Turning {
  if (lathe.tumbler || lathe.rightHandMeshes === null) return null;
  return leftHand ? (lathe.rightHandMeshes === 'odd' ? 'even' : 'odd') : lathe.rightHandMeshes;
}

/**
 * Where a train's gears go on this lathe; null when its arm is not measured.
 * @example mountOn(shop.lathes[0], { drivers: [60, 40], driven: [30, 35] }, false).fits // true
 */
export function mountOn(lathe: Lathe, train: Gearing, leftHand: boolean): Mount | null {
  const arm = armOf(lathe);
  const { gears, mounted } = lathe;
  return arm && mountOne(train, { gears, arm, turning: turningFor(lathe, leftHand), mounted });
}
