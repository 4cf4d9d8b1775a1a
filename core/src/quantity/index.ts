export { fail, ok, type Problem, type Result } from './result.js';
export { METRES_PER_FOOT, METRES_PER_INCH, formatLength, parseLength } from './length.js';
export type { LengthStyle, LengthUnit, UnitSystem } from './length.js';
export { formatFrequency, parseFrequency } from './frequency.js';
export { dbmFromWatts, formatPower, parsePower, wattsFromDbm } from './power.js';
export { formatDecibels, parseDecibels } from './decibel.js';
export { formatResistance, parseResistance } from './resistance.js';
export { figure, formatFigure, formatSpread } from './figure.js';
export type { Figure, FigureUnit } from './figure.js';
