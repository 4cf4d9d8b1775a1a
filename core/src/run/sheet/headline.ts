import { formatDecibels, formatFrequency, formatPower } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import type { Practice } from '../../practice/index.js';
import type { SheetBody } from './sheet.js';

/** A standing wave and a mismatch which cost less are not worth a sentence, dB. */
const TOLD_DB = 0.1;
/** From here on a tuner is worth its place in the first sentence, dB: SWR 1.8 and more. Common practice, no source. */
const TUNER_DB = 0.35;

type Figures = SheetBody['figures'];

/** What arrives, with and without a tuner where that matters; first as the shop works. */
function arriving({ reaching, withTuner, forward, turnedBack }: Figures, tuner: boolean, hz: string): string {
  const [bare, tuned, all] = [reaching, withTuner, forward].map(({ value }) => formatPower(value));
  if (turnedBack.value < TUNER_DB) return `${bare} of ${all} reaches the antenna at ${hz}`;
  return tuner
    ? `${tuned} of ${all} reaches the antenna at ${hz}, ${bare} without the tuner`
    : `${bare} of ${all} reaches the antenna at ${hz}, ${tuned} with a tuner at the radio`;
}

/** What the line loses: matched, and what the standing wave adds to it. */
function lineLoses({ lineLoss, heatLoss }: Figures): string {
  const matched = `Loses ${formatDecibels(lineLoss.value)} in the line`;
  return heatLoss.value > lineLoss.value + TOLD_DB / 2
    ? `${matched}, ${formatDecibels(heatLoss.value)} with the SWR on it`
    : matched;
}

const turned = ({ turnedBack }: Figures, tuner: boolean): string =>
  turnedBack.value < TOLD_DB
    ? ''
    : `; ${formatDecibels(turnedBack.value)} more ${tuner ? 'would be' : 'is'} turned back for want of a match${tuner ? ' without the tuner' : ''}`;

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
  { tuner = false }: Pick<Practice, 'tuner'>,
): Pick<SheetBody, 'headline' | 'reason'> {
  const hz = formatFrequency(topHz);
  const percent = Math.round(10 ** (-f.loss.value / 10) * 100);
  const heard = reception && formatDecibels(reception.costs.value);
  const arrives = receiveOnly
    ? `${percent} % of the signal reaches the receiver at ${hz}; it costs ${heard} of signal-to-noise`
    : arriving(f, tuner, hz);
  const allowed = `budget ${formatDecibels(design.service.lossBudgetDb)}`;
  const loses = reception
    ? `Loses ${formatDecibels(f.loss.value)}${reception.amplified ? ' behind the amplifier at the antenna' : ''}; ${heard} of it is heard (${allowed})`
    : `${lineLoses(f)} (${allowed})${turned(f, tuner)}`;
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
