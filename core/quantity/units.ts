/** The two systems a shop thinks in, and every conversion factor used anywhere. */
export type UnitSystem = 'mm' | 'in';

/** 1 inch = 25.4 mm exactly (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4;

export const inches = (value: number): number => value * MM_PER_INCH;
export const toInches = (mm: number): number => mm / MM_PER_INCH;
export const radians = (deg: number): number => (deg * Math.PI) / 180;
export const degrees = (rad: number): number => (rad * 180) / Math.PI;
export const tanDeg = (deg: number): number => Math.tan(radians(deg));
export const sinDeg = (deg: number): number => Math.sin(radians(deg));
export const cosDeg = (deg: number): number => Math.cos(radians(deg));
