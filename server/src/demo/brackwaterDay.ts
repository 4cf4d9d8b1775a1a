import type { DaySetup } from '@kobran/core';

/** A day at the sluice: three people and one crimper, and rain in the afternoon. */
export const brackwaterDay: DaySetup = {
  people: [
    {
      name: 'Wenna',
      hours: [480, 1080],
      skills: ['crimp', 'solder', 'climb', 'measure', 'sign'],
      away: [[720, 750]],
    },
    { name: 'Joss', hours: [480, 1080], skills: ['crimp', 'solder', 'climb'], away: [[720, 750]] },
    { name: 'Petrok', hours: [540, 1020], skills: ['climb', 'measure'], away: [[720, 750]] },
  ],
  tools: { crimper: 1 },
  wet: [[900, 960]],
  windy: [],
  fixed: [],
};
