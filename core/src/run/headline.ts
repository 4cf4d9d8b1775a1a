import { formatDecibels, formatFrequency, formatPower } from '../quantity/index.js';
import type { Design } from './design.js';
import type { Sheet } from './sheet.js';

/** The answer in a sentence, and what it rests on. */
export function sentences(
  design: Design,
  { passes, joints, figures: f, receiveOnly, topHz, snags }: Omit<Sheet, 'headline' | 'reason'>,
): Pick<Sheet, 'headline' | 'reason'> {
  const hz = formatFrequency(topHz);
  const percent = Math.round(10 ** (-f.loss.value / 10) * 100);
  const arrives = receiveOnly
    ? `${percent} % of the signal reaches the receiver at ${hz}`
    : `${formatPower(f.reaching.value)} of ${formatPower(f.forward.value)} reaches the antenna at ${hz}`;
  const budget = `Loses ${formatDecibels(f.loss.value)} (budget ${formatDecibels(design.service.lossBudgetDb)}). Return loss ${formatDecibels(f.returnLoss.value)} at the radio, SWR ${f.swrAtRadio.value.toFixed(2)}.`;
  if (!passes) {
    const blocked = joints.filter(({ mating }) => !mating.passes).map(({ number }) => `J${number}`);
    const mended = receiveOnly
      ? `${percent} % of the signal would arrive`
      : `${formatPower(f.reaching.value)} of ${formatPower(f.forward.value)} would arrive`;
    return {
      headline: `Nothing reaches the ${receiveOnly ? 'receiver' : 'antenna'}: ${blocked.join(', ')} ${blocked.length === 1 ? 'passes' : 'pass'} no signal`,
      reason: `Mended, ${mended} at ${hz}. ${budget}`,
    };
  }
  const stops = snags.filter(({ level, stage }) => level === 'stop' && stage !== 'prove').length;
  return {
    headline: arrives,
    reason:
      stops > 0
        ? `${budget} ${stops} ${stops === 1 ? 'thing stops' : 'things stop'} it from being built as drawn.`
        : budget,
  };
}
