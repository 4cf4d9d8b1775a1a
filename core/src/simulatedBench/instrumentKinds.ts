/** What can be connected. */
export const instrumentKinds = ['analyser', 'power-meters', 'multimeter'] as const;
export type InstrumentKind = (typeof instrumentKinds)[number];
