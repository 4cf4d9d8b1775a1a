/** How a transmitter is used, and the share of the time it is at full power. Common practice, no source: handbooks say 0.3, 0.5 to 1, and 1. */
export const duties = [
  { id: 'speech', name: 'Speech, SSB', duty: 0.3 },
  { id: 'FM', name: 'FM, half listening', duty: 0.5 },
  { id: 'data', name: 'Data', duty: 0.75 },
  { id: 'repeater', name: 'Repeater or beacon: always on', duty: 1 },
] as const;

export type DutyId = (typeof duties)[number]['id'];

/** The use a share of the time is usual for; nothing for one somebody has set himself. */
export const dutyIdOf = (duty: number): DutyId | undefined => duties.find((one) => one.duty === duty)?.id;
