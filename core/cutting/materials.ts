import { own } from '../quantity/own.ts';

/** What is put on the work while it is threaded: cutting oil, an active one, light oil or paraffin, flood, or nothing. */
export type Fluid = 'oil' | 'active-oil' | 'light-oil' | 'flood' | 'dry' | 'dry-or-light-oil';

/** A metal as the cutting of threads meets it. */
export interface Material {
  /** Turning speed for a high-speed steel tool, m/min. Common practice, no source. */
  readonly turningMMin: number;
  /** Usual range of threading speeds, m/min. Common practice, no source. */
  readonly threadingMMin: { readonly hss: readonly [number, number]; readonly carbide: readonly [number, number] };
  /** Specific cutting force at a chip of 1 mm x 1 mm, N/mm^2, and the exponent of its thickness; from memory, good to a quarter. Null: not known here. */
  readonly force: { readonly perMm2: number; readonly exponent: number } | null;
  readonly fluid: Fluid;
  /** What another school does instead; null: none is usual. */
  readonly otherFluid: Fluid | null;
  /** Modulus of elasticity, GPa; from memory. */
  readonly youngGPa: number;
}

/**
 * By the names under which Intake offers them. Speeds and fluids: common practice, no source. Specific forces by the Kienzle
 * law F = kc1.1 b h^(1-m) and moduli of elasticity: from memory.
 */
export const MATERIAL_DATA: Readonly<Record<string, Material>> = {
  'mild steel': metal(30, [8, 15], [60, 120], [1780, 0.17], 'oil', null, 207),
  'tough steel': metal(18, [6, 12], [50, 100], [2500, 0.26], 'oil', 'active-oil', 207),
  'stainless steel': metal(15, [4, 8], [50, 90], [2350, 0.21], 'active-oil', null, 200),
  'cast iron': metal(18, [6, 12], [50, 90], [1100, 0.25], 'dry', null, 105),
  brass: metal(60, [20, 40], [100, 200], [780, 0.18], 'dry-or-light-oil', null, 100),
  bronze: metal(35, [10, 20], [80, 150], [950, 0.2], 'dry-or-light-oil', null, 110),
  aluminium: metal(75, [20, 50], [150, 300], [640, 0.25], 'light-oil', null, 70),
  magnesium: metal(90, [20, 50], [150, 300], null, 'dry', null, 45),
  titanium: metal(12, [3, 6], [25, 50], [1400, 0.2], 'flood', null, 110),
  'beryllium copper': metal(25, [6, 12], [60, 100], null, 'flood', 'light-oil', 128),
};

function metal(
  turningMMin: number,
  hss: readonly [number, number],
  carbide: readonly [number, number],
  force: readonly [perMm2: number, exponent: number] | null,
  fluid: Fluid,
  otherFluid: Fluid | null,
  youngGPa: number,
): Material {
  return {
    turningMMin,
    threadingMMin: { hss, carbide },
    force: force && { perMm2: force[0], exponent: force[1] },
    fluid,
    otherFluid,
    youngGPa,
  };
}

/** Linear expansion by material, per K; from memory. */
const EXPANSION: Readonly<Record<string, number>> = {
  'stainless steel': 16e-6,
  'cast iron': 10.5e-6,
  brass: 19e-6,
  bronze: 18e-6,
  aluminium: 23e-6,
  magnesium: 26e-6,
  titanium: 8.6e-6,
  'beryllium copper': 17.5e-6,
};
/** Of steel: 11.5 um on a metre and degree. Common practice. */
const STEEL_EXPANSION = 11.5e-6;
/**
 * Expansion of a material, per K; of one that is not known here, of steel.
 * @example expansionOf('no such metal') // 0.0000115; as steel
 */
export const expansionOf = (name: string): number => own(EXPANSION, name) ?? STEEL_EXPANSION;

/**
 * What is known of a material by its name; null: nothing.
 * @example materialOf('no such metal') // null
 * @example materialOf('bronze').force.perMm2 // 950
 */
export const materialOf = (name: string): Material | null => own(MATERIAL_DATA, name) ?? null;
