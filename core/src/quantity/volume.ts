/**
 * A small volume as bags of resin are marked, rounded up to 10 ml.
 *
 * @param cubicMetres m³
 * @example formatMillilitres(0.0001234) // '130 ml'
 */
export const formatMillilitres = (cubicMetres: number): string =>
  `${Math.ceil((cubicMetres * 1e6) / 10 - 1e-9) * 10} ml`;
