import { entry, type Catalog } from '../../catalog/index.js';
import { reflectionFromSwr, returnLossDb, swrFromReflection } from '../../line/index.js';
import { lossMarginDb, type ExpectedLoss, magnitudes, returnLossLimitDb } from '../../prove/index.js';
import { figure, formatDecibels, type Figure } from '../../quantity/index.js';
import { dcShorts } from '../design/dcShorts.js';
import type { Design } from '../design/design.js';
import { assembliesOf } from '../design/lookups.js';
import { factsOf, newest } from '../facts/facts.js';
import type { FactOf, Facts } from '../facts/kinds.js';
import { runReading, type RunReadingId } from '../facts/runReading.js';
import { predictSweep, type Swept } from '../wave/predict.js';

/** What a sheet says of the match of its run. */
export interface MatchOfRun {
  receiveOnly: boolean;
  figures: { forward: Figure; swrAtRadio: Figure; swrAtAntenna: Figure };
}

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

/** What a run shows into a load: with the load’s own reflection where that was read, which passes the run twice and may add to its own. */
function loadAlone(
  { s11, lossDb }: Swept,
  facts: Facts,
): { rho: number; worst: number; withLoad: string; how: string } {
  const swr = readingOf(facts, 'load alone')?.value ?? undefined;
  const rho = swr === undefined ? 0 : reflectionFromSwr(swr);
  const worst = Math.min(
    ...magnitudes(s11).map((own, k) => returnLossDb(Math.min(1, own + rho * 10 ** (-lossDb[k] / 10)))),
  );
  return swr === undefined
    ? { rho, worst, withLoad: '', how: 'A good load in the antenna’s place, over the bands.' }
    : {
        rho,
        worst,
        withLoad: `; with the load’s own SWR ${swr.toFixed(2)}`,
        how: `The load which reads ${swr.toFixed(2)} alone in the antenna’s place, over the bands.`,
      };
}

/** SWR at the radio with the antenna on: as planned, or behind what the antenna alone was read. */
function antennaAlone(
  swept: Swept,
  { swrAtRadio, swrAtAntenna }: MatchOfRun['figures'],
  facts: Facts,
): Pick<RunExpectation, 'expected' | 'limit' | 'most'> {
  const read = readingOf(facts, 'antenna alone')?.value ?? undefined;
  const expected = read === undefined ? swrAtRadio : withAntenna(read, swept, swrAtRadio);
  const most = expected.value * (1 + SWR_MARGIN);
  const behind = `${(read ?? swrAtAntenna.value).toFixed(2)} at the antenna behind it${read === undefined ? '' : ', as read'}`;
  return { expected, limit: `${behind}; at most ${most.toFixed(2)}`, most };
}

/** What the run as a whole should show: into a load first, then with its antenna, then with power. */
export function runExpectations(
  design: Design,
  catalog: Catalog,
  { figures, receiveOnly }: MatchOfRun,
  facts: Facts,
): RunExpectation[] {
  const f = Float64Array.from(
    design.service.bands.flatMap(({ lowHz, highHz }) =>
      Array.from({ length: LOOKS }, (_, k) => lowHz + ((highHz - lowHz) * k) / (LOOKS - 1)),
    ),
  );
  const swept = predictSweep(design, catalog, '', 'load', f);
  const load = loadAlone(swept, facts);
  const { worst, withLoad } = load;
  const antenna = antennaAlone(swept, figures, facts);
  const loss = Math.max(...swept.lossDb);
  const margin = lossMarginDb(loss);
  const shorts = dcShorts(design, catalog);
  const copperOhm = assembliesOf(design).reduce((sum, { cable, lengthM }) => {
    const { innerOhmPerKm, outerOhmPerKm } = entry(catalog.cables, cable);
    return sum + ((innerOhmPerKm + outerOhmPerKm) * lengthM) / 1000;
  }, 0);
  // Into a dummy load the antenna’s SWR has no part: matched loss alone.
  const top = swept.lossDb[swept.lossDb.length - 1];
  const share = 10 ** (-top / 10) * (1 - load.rho ** 2);
  const intoLoad = figure(
    figures.forward.value * share,
    'W',
    `forward power less the loss into a matched load${withLoad}`,
    figures.forward.value * share * (10 ** (margin / 10) - 1),
  );
  return [
    {
      id: 'return loss',
      name: 'Return loss into a load',
      how: load.how,
      expected: figure(worst, 'dB', `chain matrices of all pieces and joints, worst in the bands${withLoad}`),
      limit: `${formatDecibels(returnLossLimitDb(worst))} or more is good`,
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
      ...antenna,
      least: 1,
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

/** The newest reading of its kind which was not withdrawn. */
export const readingOf = (facts: Facts, what: RunReadingId): FactOf<'run reading'> | undefined =>
  newest(factsOf(facts, 'run reading').filter((one) => one.what === what));

/** SWR at the radio behind an antenna which was read alone: its echo, twice through the loss, and the run’s own at its worst phase. */
function withAntenna(swr: number, { s11, lossDb }: Swept, planned: Figure): Figure {
  const rho = reflectionFromSwr(swr);
  const worst = Math.max(
    ...magnitudes(s11).map((own, k) => Math.min(1, own + rho * 10 ** (-lossDb[k] / 10))),
  );
  return figure(
    swrFromReflection(worst),
    'ratio',
    `the antenna’s own as read, ${swr.toFixed(2)}, behind the loss of the run (${planned.value.toFixed(2)} was planned)`,
  );
}

/** A reading of the whole run with its verdict. */
export interface RunProof extends RunExpectation {
  reading: FactOf<'run reading'>;
  /** What was read, in words. */
  text: string;
  judgement: { verdict: 'pass' | 'fail'; why: string };
}

/** What was read of the whole run, each reading held against what it should show; nothing is worked out before anything was read. */
export function runProofs(
  design: Design,
  catalog: Catalog,
  match: () => MatchOfRun,
  facts: Facts,
): RunProof[] {
  if (factsOf(facts, 'run reading').length === 0) return [];
  return runExpectations(design, catalog, match(), facts).flatMap((expectation): RunProof[] => {
    const reading = readingOf(facts, expectation.id);
    if (!reading) return [];
    const judgement = judgeRunReading(expectation, reading.value ?? Infinity);
    return [{ ...expectation, reading, judgement, text: runReading.text(reading, catalog) }];
  });
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
