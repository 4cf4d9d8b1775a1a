declare module 'fft.js' {
  /** Radix-4 FFT of a power of two; complex arrays are (re, im) pairs. */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    transform(out: number[], data: ArrayLike<number>): void;
    inverseTransform(out: number[], data: ArrayLike<number>): void;
  }
}
