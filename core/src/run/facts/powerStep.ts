import { bothEnds, type PowerStep as Powers } from '../../prove/index.js';
import { formatDecibels, formatFrequency, formatPower } from '../../quantity/index.js';
import type { FactKind } from './fact.js';

/** What the meters at both ends showed at one power. */
export interface PowerStepRead {
  kind: 'power step';
  power: Powers;
}

export const powerStep: FactKind<PowerStepRead> = {
  kind: 'power step',
  about: () => '',
  text: ({ power }) => {
    const { swr, lossDb } = bothEnds(power);
    if (power.inSeries)
      return `meters in series: ${formatPower(power.forwardW)} and ${formatPower(power.loadW ?? 0)} at ${formatFrequency(power.frequencyHz)}`;
    const lost = lossDb === undefined ? '' : `, ${formatDecibels(lossDb)} lost`;
    return `${formatPower(power.forwardW)} forward, ${formatPower(power.reflectedW)} reflected at ${formatFrequency(power.frequencyHz)}: SWR ${swr.toFixed(2)}${lost}`;
  },
};
