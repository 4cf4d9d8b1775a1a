export { cardFor, stepBlocked, type Card } from './card.js';
export type { Recipe, Step, StepReading } from './recipe.js';
export { recipes } from './recipes/index.js';
export { STRIP_TOLERANCE_MM, stripGauge } from './stripGauge.js';
export type { GaugeStretch, Layer, StripGauge } from './stripGauge.js';
