/** How the person at the screen writes numbers. The headless door and documents never change it. */
export interface Writing {
  readonly decimal: '.' | ',';
  /** Lengths that one takes with a rule, in inches: as decimals, as fractions in lowest terms, or as so many 64ths. */
  readonly inches: 'decimal' | 'fractions' | '64ths';
}
let now: Writing = { decimal: '.', inches: 'decimal' };

/**
 * Sets how numbers are written from here on, everywhere they are shown.
 * @example (writeNumbers({ decimal: '.' }), writing().decimal) // '.'
 */
export const writeNumbers = (w: Partial<Writing>): void => void (now = { ...now, ...w });
/**
 * How numbers are written now.
 * @example writing() // { decimal: '.', inches: 'decimal' }
 */
export const writing = (): Writing => now;

/**
 * A number already rounded, with the person’s own decimal mark.
 * @example marked('1.5') // '1.5'; with a decimal comma '1,5'
 */
export const marked = (text: string): string => (now.decimal === '.' ? text : text.replace('.', now.decimal));
