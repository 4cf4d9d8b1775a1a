import {
  MAX_LOAD_POINTS,
  fail,
  formatFrequency,
  ok,
  parsePlainNumber,
  thinned,
  type AntennaPort,
  type Result,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { FilePick } from '../../ui/FilePick.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { SwrField } from '../../ui/SwrField.js';
import { readTraceFile } from '../../store/useTraces.js';

type Known = 'swr' | 'series' | 'measured';

/** What is known of the antenna’s impedance: its SWR alone, a circuit, or a sweep at its own port. */
export function AntennaImpedance({
  antenna,
  onChange,
}: {
  antenna: AntennaPort;
  onChange: (antenna: AntennaPort) => void;
}): ReactNode {
  const { series, measured, ...plain } = antenna;
  const [asked, setAsked] = useState<Known>(measured ? 'measured' : series ? 'series' : 'swr');
  const choose = (known: Known): void => {
    setAsked(known);
    if (known === 'swr') onChange(plain);
    if (known === 'series') onChange({ ...plain, series: series ?? { ohm: 50, henry: 0, farad: 0 } });
  };
  return (
    <>
      <Choice
        label="What is known of its impedance"
        value={asked}
        options={[
          { value: 'swr', label: 'its SWR' },
          { value: 'series', label: 'resistance, coil, capacitor' },
          { value: 'measured', label: 'a sweep at its port' },
        ]}
        onChange={(to) => choose(to as Known)}
      />
      {asked === 'swr' && <SwrField value={antenna.swr} onChange={(swr) => onChange({ ...plain, swr })} />}
      {series && asked === 'series' && (
        <div className="grid grid-cols-3 gap-2">
          {(
            [
              ['Ω', 'ohm', 1, 0.01],
              ['µH', 'henry', 1e6, 0],
              ['pF', 'farad', 1e12, 0],
            ] as const
          ).map(([unit, key, scale, least]) => (
            <QuantityField
              key={key}
              label={unit}
              value={series[key]}
              format={(value) => String(Number((value * scale).toPrecision(4)))}
              parse={(text) => scaled(text, scale, least)}
              onChange={(value) => onChange({ ...plain, series: { ...series, [key]: value } })}
            />
          ))}
          <p className="col-span-3 text-sm text-muted">In series; 0 where there is none.</p>
        </div>
      )}
      {asked === 'measured' && (
        <MeasuredImpedance measured={measured} onRead={(read) => onChange({ ...plain, measured: read })} />
      )}
    </>
  );
}

function scaled(text: string, scale: number, least: number): Result<number> {
  const read = parsePlainNumber(text, 'antenna');
  if (!read.ok) return read;
  const value = read.value / scale;
  return value >= least
    ? ok(value)
    : fail('antenna.negative', 'Less than 0 is not possible here.', 'antenna', 'Type 0 where there is none.');
}

function MeasuredImpedance({
  measured,
  onRead,
}: {
  measured: AntennaPort['measured'];
  onRead: (measured: NonNullable<AntennaPort['measured']>) => void;
}): ReactNode {
  const [problem, setProblem] = useState<string>();
  const read = async (file: File): Promise<void> => {
    const result = await readTraceFile(file);
    if (!result.ok) return setProblem(`${file.name}: ${result.problem.message} ${result.problem.remedy}`);
    setProblem(undefined);
    const { frequencyHz, referenceOhm, s } = thinned(result.value.trace, MAX_LOAD_POINTS);
    onRead({ referenceOhm, frequencyHz: [...frequencyHz], re: [...s.s11.re], im: [...s.s11.im] });
  };
  return (
    <div>
      <FilePick label="Import .s1p" accept=".s1p,.S1P,.txt" onPick={(file) => void read(file)} />
      {problem && (
        <p role="alert" className="mt-1 text-sm text-stop">
          {problem}
        </p>
      )}
      <p className="mt-1 text-sm text-muted">
        {measured
          ? `${measured.frequencyHz.length} points from ${formatFrequency(measured.frequencyHz[0])} to ${formatFrequency(measured.frequencyHz[measured.frequencyHz.length - 1])}.`
          : 'Measured at the antenna’s own port; its SWR holds until then.'}
      </p>
    </div>
  );
}
