declare module 'fft.js' {
  /** Radix-4 transform of a size that is a power of two; complex numbers lie as pairs. */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    transform(out: number[], input: readonly number[]): void;
    inverseTransform(out: number[], input: readonly number[]): void;
  }
}
