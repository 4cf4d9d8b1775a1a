import type { InstrumentKind, ReadBench } from '@kobran/core';
import { analyser } from './analyser/analyser.js';
import { multimeter } from './meters/multimeter.js';
import { powerMeters } from './meters/powerMeters.js';
import type { InstrumentModel } from './scpi/instrument.js';

/** The instruments of the simulated bench by what they are called. */
const makers: Record<InstrumentKind, (bench: () => ReadBench, seed: number) => InstrumentModel> = {
  analyser,
  'power-meters': powerMeters,
  multimeter,
};

/** @param seed which one of many: how it errs */
export const makeInstrument = (kind: InstrumentKind, bench: () => ReadBench, seed: number): InstrumentModel =>
  makers[kind](bench, seed);
