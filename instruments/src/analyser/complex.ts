/** Complex arithmetic for single samples, where clarity counts and speed does not. */
export interface C {
  re: number;
  im: number;
}

export const c = (re: number, im = 0): C => ({ re, im });
export const add = (x: C, y: C): C => c(x.re + y.re, x.im + y.im);
export const sub = (x: C, y: C): C => c(x.re - y.re, x.im - y.im);
export const mul = (x: C, y: C): C => c(x.re * y.re - x.im * y.im, x.re * y.im + x.im * y.re);
export const div = (x: C, y: C): C => {
  const size = y.re * y.re + y.im * y.im;
  return c((x.re * y.re + x.im * y.im) / size, (x.im * y.re - x.re * y.im) / size);
};
export const polar = (size: number, angle: number): C => c(size * Math.cos(angle), size * Math.sin(angle));
