import type { Quantity } from '../../../core/evidence/evidence.ts';

export const LENGTHS: readonly Quantity[] = [
  'majorDiameter',
  'minorDiameter',
  'pitchDiameter',
  'overWires',
  'depth',
  'crestFlat',
  'rootFlat',
  'crestRadius',
  'rootRadius',
  'lead',
];
/** Readings on which wear tells, so that place and state matter. */
export const WORN: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'overWires', 'depth'];
export const ANGLES: readonly Quantity[] = ['flankAngle', 'leadingFlank', 'trailingFlank', 'template'];
