import { formatDecibels, formatFrequency, formatPower } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import type { SheetBody } from './sheet.js';

/** The answer in a sentence, and what it rests on. */
export function sentences(
  design: Design,
  {
    passes,
    joints,
    figures: f,
    receiveOnly,
    reception,
    topHz,
    snags,
  }: Omit<SheetBody, 'headline' | 'reason'>,
): Pick<SheetBody, 'headline' | 'reason'> {
  const hz = formatFrequency(topHz);
  const percent = Math.round(10 ** (-f.loss.value / 10) * 100);
  const heard = reception && formatDecibels(reception.costs.value);
  const arrives = receiveOnly
    ? `${percent} % of the signal reaches the receiver at ${hz}; it costs ${heard} of signal-to-noise`
    : `${formatPower(f.reaching.value)} of ${formatPower(f.forward.value)} reaches the antenna at ${hz}`;
  const allowed = `budget ${formatDecibels(design.service.lossBudgetDb)}`;
  const loses = reception
    ? `Loses ${formatDecibels(f.loss.value)}${reception.amplified ? ' behind the amplifier at the antenna' : ''}; ${heard} of it is heard (${allowed})`
    : `Loses ${formatDecibels(f.loss.value)} (${allowed})`;
  const budget = `${loses}. Return loss ${formatDecibels(f.returnLoss.value)} at the radio, SWR ${f.swrAtRadio.value.toFixed(2)}.`;
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
