import type { Catalog } from '../../catalog/index.js';
import { returnLossDb } from '../../line/index.js';
import { lossMarginDb, magnitudes, returnLossLimitDb } from '../../prove/index.js';
import { figure, formatDecibels, type Figure } from '../../quantity/index.js';
import { dcShorts } from '../design/dcShorts.js';
import type { Design } from '../design/design.js';
import type { Sheet } from '../evaluate.js';
import { predictSweep } from '../wave/predict.js';

/** One thing to expect of the whole run, its ends joined. */
export interface RunExpectation {
  name: string;
  how: string;
  expected: Figure;
  /** What still passes, in words. */
  limit: string;
}

/** Points of each band at which the run is looked at. */
const LOOKS = 9;

/** What the run as a whole should show: into a load first, then with its antenna, then with power. */
export function runExpectations(
  design: Design,
  catalog: Catalog,
  { figures, receiveOnly }: Pick<Sheet, 'figures' | 'receiveOnly'>,
): RunExpectation[] {
  const f = Float64Array.from(
    design.service.bands.flatMap(({ lowHz, highHz }) =>
      Array.from({ length: LOOKS }, (_, k) => lowHz + ((highHz - lowHz) * k) / (LOOKS - 1)),
    ),
  );
  const swept = predictSweep(design, catalog, '', 'load', f);
  const worst = Math.min(...magnitudes(swept.s11).map(returnLossDb));
  const loss = Math.max(...swept.lossDb);
  const margin = lossMarginDb(loss);
  const shorts = dcShorts(design);
  return [
    {
      name: 'Return loss into a load',
      how: 'A good load in the antenna’s place, over the bands.',
      expected: figure(worst, 'dB', 'chain matrices of all pieces and joints, worst in the bands'),
      limit: `${formatDecibels(returnLossLimitDb(worst))} or more`,
    },
    {
      name: 'Loss from end to end',
      how: 'Through, or half the return loss with the far end open or shorted.',
      expected: figure(loss, 'dB', 'chain matrices of all pieces and joints, worst in the bands', margin),
      limit: `${formatDecibels(Math.max(0, loss - margin))} to ${formatDecibels(loss + margin)}`,
    },
    {
      name: 'Pin to shell, antenna on',
      how: 'Ohm-meter at the radio’s end, power and feed off.',
      expected: figure(
        shorts.length > 0 ? 0 : Infinity,
        'ohm',
        shorts[0] ?? 'nothing in this run joins pin and shell for direct current',
      ),
      limit: shorts.length > 0 ? `a short by design. ${shorts[0]}` : 'open',
    },
    {
      name: 'SWR at the radio, antenna on',
      how: 'A good one alone passes nothing: loss hides the antenna’s own.',
      expected: figures.swrAtRadio,
      limit: `${figures.swrAtAntenna.value.toFixed(2)} at the antenna behind it`,
    },
    ...(receiveOnly
      ? []
      : [
          {
            name: 'Power that reaches the load',
            how: 'Forward at the radio, and in a dummy load at the far end.',
            expected: figures.reaching,
            limit: `of ${figures.forward.value} W forward; alike at low and at full power`,
          },
        ]),
  ];
}
