import {
  delayAt,
  formatDecibels,
  formatLength,
  gated,
  judgeEcho,
  magnitudes,
  onRuler,
  returnLossDb,
  type Band,
  type Complexes,
  type Echo,
  type EchoPeak,
  type JudgedPeak,
  type Swept,
} from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { EchoChart } from './EchoChart.js';
import { FrequencyChart, type Series } from './FrequencyChart.js';

const MAX_PEAKS = 6;

interface Props {
  /** Of what was measured, Hz. */
  frequencyHz: Float64Array;
  s11: Complexes;
  /** What it should be. */
  swept: Swept;
  bands: readonly Band[];
}

/** What comes back from where; a place can be looked at alone. */
export function EchoView({ swept, bands, ...measured }: Props): ReactNode {
  const { frequencyHz, s11 } = measured;
  const { units } = usePreferences();
  const [chosen, setChosen] = useState<JudgedPeak>();
  const judged = useMemo(() => judgeEcho(swept, { s11, frequencyHz }), [swept, s11, frequencyHz]);
  if (!judged.ok)
    return (
      <p className="mt-3 text-caution">
        No echo from this sweep. {judged.problem.message} {judged.problem.remedy}
      </p>
    );
  const { echo, predicted, cellM, rangeM } = judged.value;
  const metres = (m: number): string => formatLength(m, { system: units });
  const place = ({ distanceM, toleranceM }: JudgedPeak): string =>
    `${metres(distanceM)} ± ${formatLength(toleranceM, { system: units, digits: 1 })}`;
  const peaks = judged.value.peaks.slice(0, MAX_PEAKS);
  const toM = swept.totalM * 1.08;
  const worst = peaks.find(({ unexpected }) => unexpected);
  const summary = worst
    ? `More than computed comes back from ${place(worst)}, ${worst.name}: return loss ${formatDecibels(worst.returnLossDb)}.`
    : 'Every place returns what was computed for it.';
  return (
    <div className="mt-4">
      <EchoChart
        summary={summary}
        totalM={swept.totalM}
        places={swept.places}
        measured={onRuler(echo, swept.ruler, toM)}
        predicted={predicted && onRuler(predicted, swept.ruler, toM)}
        chosenM={chosen?.distanceM}
      />
      <p className="text-sm text-muted">
        {echo.window}; two places nearer than {metres(cellM)} are one; beyond {metres(rangeM)} the echo folds
        back.
        {rangeM < swept.totalM && ' This run is longer than that: sweep with more points.'}
      </p>
      <p className={`mt-2 text-lg font-semibold ${worst ? 'text-stop' : 'text-lake'}`}>{summary}</p>
      {peaks.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-2">
          {peaks.map((peak) => (
            <li key={peak.delayS}>
              <button
                className={`button ${chosen === peak ? 'border-copper' : ''}`}
                aria-pressed={chosen === peak}
                onClick={() => setChosen(chosen === peak ? undefined : peak)}
              >
                <span className={`figures ${peak.unexpected ? 'text-stop' : ''}`}>{place(peak)}</span>
                <span className="font-normal">
                  {formatDecibels(peak.returnLossDb)}, {peak.name}
                  {peak.unexpected ? ', not computed' : ''}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {chosen && <Alone {...measured} swept={swept} bands={bands} echo={echo} peak={chosen} />}
    </div>
  );
}

/** One place seen alone, all else cut away in time. */
function Alone({
  frequencyHz,
  s11,
  swept,
  bands,
  echo,
  peak,
}: Props & { echo: Echo; peak: EchoPeak }): ReactNode {
  const half = echo.resolutionS * 1.5;
  const at = delayAt(swept.ruler, peak.distanceM);
  const alone = gated(s11, frequencyHz, { fromS: at - half, toS: at + half });
  const values = magnitudes(alone.reflection).map(returnLossDb);
  const series: Series[] = [{ name: 'this place alone', values, tone: 'lake' }];
  return (
    <div className="mt-2">
      <FrequencyChart
        title="This place alone, as the radio would see it through the cable"
        summary={`Return loss at least ${formatDecibels(Math.min(...values))}.`}
        unit="return loss, dB"
        frequencyHz={alone.frequencyHz}
        series={series}
        bands={bands}
        height={170}
        format={formatDecibels}
        most={60}
      />
    </div>
  );
}
