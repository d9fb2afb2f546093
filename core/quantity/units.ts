/** The two systems a shop thinks in, and every conversion factor used anywhere. */
export type UnitSystem = 'mm' | 'in';

/** 1 inch = 25.4 mm exactly (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4;

/**
 * Inches in mm, by the international inch.
 * @example inches(0.25) // 6.35
 */
export const inches = (value: number): number => value * MM_PER_INCH;
/**
 * Millimetres in inches.
 * @example toInches(6.35) // 0.25
 */
export const toInches = (mm: number): number => mm / MM_PER_INCH;
/**
 * Degrees in radians.
 * @example radians(180) // 3.141593
 */
export const radians = (deg: number): number => (deg * Math.PI) / 180;
/**
 * Radians in degrees.
 * @example degrees(Math.PI / 6) // 30
 */
export const degrees = (rad: number): number => (rad * 180) / Math.PI;
/**
 * Tangent of an angle in degrees.
 * @example tanDeg(30) // 0.577350
 */
export const tanDeg = (deg: number): number => Math.tan(radians(deg));
/**
 * Sine of an angle in degrees.
 * @example sinDeg(30) // 0.5
 */
export const sinDeg = (deg: number): number => Math.sin(radians(deg));
/**
 * Cosine of an angle in degrees.
 * @example cosDeg(60) // 0.5
 */
export const cosDeg = (deg: number): number => Math.cos(radians(deg));
