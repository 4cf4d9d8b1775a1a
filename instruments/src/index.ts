export { instrumentKinds, makeInstrument, type InstrumentKind } from './instruments.js';
export { serve } from './scpi/serve.js';
