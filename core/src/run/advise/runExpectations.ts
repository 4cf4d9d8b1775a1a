import { entry, type Catalog } from '../../catalog/index.js';
import { returnLossDb } from '../../line/index.js';
import { lossMarginDb, type ExpectedLoss, magnitudes, returnLossLimitDb } from '../../prove/index.js';
import { figure, formatDecibels, type Figure } from '../../quantity/index.js';
import { dcShorts } from '../design/dcShorts.js';
import type { Design } from '../design/design.js';
import { assembliesOf } from '../design/lookups.js';
import type { RunReadingId } from '../facts/runReading.js';
import type { Sheet } from '../evaluate.js';
import { predictSweep } from '../wave/predict.js';

/** One thing to expect of the whole run, its ends joined. */
export interface RunExpectation {
  /** What a reading of it is called. */
  id: RunReadingId;
  name: string;
  how: string;
  expected: Figure;
  /** What still passes, in words, and in the unit of what is expected. */
  limit: string;
  least: number;
  most: number;
}

/** Less cannot be judged with a hand-held analyser or a pair of meters, dB. Common practice, no source. */
const JUDGED_FROM_DB = 0.5;
/** A dry run, and one with a short by design, as a hand-held meter shows them, ohm. Common practice, no source. */
const DRY_OHM = 100e6;
const SHORT_BY_DESIGN_OHM = 2;
/** An SWR meter and the antenna’s own figure together, share. Common practice, no source. */
const SWR_MARGIN = 0.15;
/** A power meter is good to 5 %. Common practice, no source. */
const METER_SHARE = 0.05;

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
  const shorts = dcShorts(design, catalog);
  const copperOhm = assembliesOf(design).reduce((sum, { cable, lengthM }) => {
    const { innerOhmPerKm, outerOhmPerKm } = entry(catalog.cables, cable);
    return sum + ((innerOhmPerKm + outerOhmPerKm) * lengthM) / 1000;
  }, 0);
  // Into a dummy load the antenna’s SWR has no part: matched loss alone.
  const top = swept.lossDb[swept.lossDb.length - 1];
  const share = 10 ** (-top / 10);
  const intoLoad = figure(
    figures.forward.value * share,
    'W',
    'forward power less the loss into a matched load',
    figures.forward.value * share * (10 ** (margin / 10) - 1),
  );
  return [
    {
      id: 'return loss',
      name: 'Return loss into a load',
      how: 'A good load in the antenna’s place, over the bands.',
      expected: figure(worst, 'dB', 'chain matrices of all pieces and joints, worst in the bands'),
      limit: `${formatDecibels(returnLossLimitDb(worst))} or more`,
      least: returnLossLimitDb(worst),
      most: Infinity,
    },
    {
      id: 'loss',
      name: 'Loss from end to end',
      how: 'Half the return loss with the far end open or shorted; through needs leads as long as the run.',
      expected: figure(loss, 'dB', 'chain matrices of all pieces and joints, worst in the bands', margin),
      limit: `${formatDecibels(Math.max(0, loss - margin))} to ${formatDecibels(Math.max(JUDGED_FROM_DB, loss + margin))}`,
      least: Math.max(0, loss - margin),
      most: Math.max(JUDGED_FROM_DB, loss + margin),
    },
    {
      id: 'pin to shell',
      name: 'Pin to shell, antenna on',
      how: 'Ohm-meter at the radio’s end, power and feed off.',
      expected: figure(
        shorts.length > 0 ? 0 : Infinity,
        'ohm',
        shorts[0] ?? 'nothing in this run joins pin and shell for direct current',
      ),
      limit: shorts.length > 0 ? `a short by design. ${shorts[0]}` : 'open',
      least: shorts.length > 0 ? 0 : DRY_OHM,
      most: shorts.length > 0 ? SHORT_BY_DESIGN_OHM + copperOhm : Infinity,
    },
    {
      id: 'swr',
      name: 'SWR at the radio, antenna on',
      how: 'A good one alone passes nothing: loss hides the antenna’s own.',
      expected: figures.swrAtRadio,
      limit: `${figures.swrAtAntenna.value.toFixed(2)} at the antenna behind it`,
      least: 1,
      most: figures.swrAtRadio.value * (1 + SWR_MARGIN),
    },
    ...(receiveOnly
      ? []
      : [
          {
            id: 'power' as const,
            name: 'Power that reaches the load',
            how: 'Forward at the radio, and in a dummy load at the far end.',
            expected: intoLoad,
            limit: `of ${figures.forward.value} W forward, into a dummy load; alike at low and at full power`,
            least: intoLoad.value * (1 - METER_SHARE) - (intoLoad.plusMinus ?? 0),
            most: figures.forward.value * (1 + METER_SHARE),
          },
        ]),
  ];
}

/** What a run should lose into a dummy load at the middle of its first band, and how sure that is, dB. */
export function lossIntoLoad(design: Design, catalog: Catalog): ExpectedLoss {
  const [{ lowHz, highHz }] = design.service.bands;
  const [lossDb] = predictSweep(design, catalog, '', 'load', Float64Array.of((lowHz + highHz) / 2)).lossDb;
  return { lossDb, toleranceDb: lossMarginDb(lossDb) };
}

/** What a typed reading says against what was expected. */
export function judgeRunReading(
  { least, most, expected }: Pick<RunExpectation, 'least' | 'most' | 'expected'>,
  value: number,
): { verdict: 'pass' | 'fail'; why: string } {
  const read = expected.unit === 'dB' ? Math.abs(value) : value;
  if (read >= least && read <= most) return { verdict: 'pass', why: 'As it should be.' };
  return { verdict: 'fail', why: read < least ? 'Less than it should be.' : 'More than it should be.' };
}
