import type { LatheDraft } from '../../../core/lathe/schema.ts';

/** What has to be measured before a mounting can be checked. */
export const MEASURES = [
  ['centresMm', 'First driver to leadscrew or gearbox input, centres'],
  ['fromMm', 'Slot from (nearest place of a stud, from the leadscrew)'],
  ['toMm', 'Slot to (farthest place of a stud)'],
  ['bossRadiusMm', 'Radius of a stud\u2019s nut or boss, the largest'],
  ['shaftRadiusMm', 'Radius of what holds the gears on the two end shafts'],
] as const;
export type Whole = { readonly [K in (typeof MEASURES)[number][0]]: number };
export type Measures = { readonly [K in (typeof MEASURES)[number][0]]?: number | undefined };

/** The arm that these make: one slot on its own line, the rest not measured. */
export const armFrom = ({
  centresMm,
  fromMm,
  toMm,
  bossRadiusMm,
  shaftRadiusMm,
}: Whole): NonNullable<LatheDraft['arm']> => ({
  centresMm,
  slots: [{ angleDeg: 0, offsetMm: 0, fromMm, toMm }],
  swing: null,
  pivot: null,
  studs: 2,
  bossRadiusMm,
  shaftRadiusMm,
  coverRadiusMm: null,
  cover: null,
});
