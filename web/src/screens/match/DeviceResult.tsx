import {
  velocityToleranceOf,
  formatDecibels,
  formatFrequency,
  formatLength,
  isWorthMatching,
  layOut,
  putMatch,
  referenceOhmOf,
  simulate,
  type Complex,
  type MatchDevice,
  type Simulated,
} from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { FrequencyChart } from '../../drawing/charts/FrequencyChart.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Chips } from '../../ui/Choice.js';
import { Rows } from '../../ui/Rows.js';
import { DeviceDrawing } from './DeviceDrawing.js';

const LIMIT = 1.5;
const POINTS = 401;
/** Shown around the device’s frequency, share of it to each side. */
const AROUND = 0.25;

/** A device: what it does, drawn with its lengths, and how it stands in its place. */
export function DeviceResult({
  device,
  load,
  matches,
}: {
  device: MatchDevice;
  load: Complex;
  /** Is it there to match the load? A loop, a delay and a notch are for something else. */
  matches: boolean;
}): ReactNode {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const [from, setFrom] = useState<'device' | 'radio'>('device');
  const { design } = editor;
  const simulated = useMemo(() => {
    const f = Float64Array.from(
      { length: POINTS },
      (_, k) => device.frequencyHz * (1 - AROUND + (2 * AROUND * k) / (POINTS - 1)),
    );
    const before = layOut(design, catalog, []).elements.map(({ element }) => element);
    return simulate(
      device,
      from === 'radio' ? before : [],
      { kind: 'constant', ...load },
      f,
      referenceOhmOf(design),
      LIMIT,
    );
  }, [device, load, design, catalog, from]);
  const middle = Math.floor(POINTS / 2);
  const words = sayWorth(device, simulated, middle, matches);
  // A stub hangs on a tee, a loop on both sides of the antenna: neither is a piece of the run.
  const inLine = device.pieces.every(({ far }) => far === undefined) && device.elements.length > 0;
  const metres = (value: number): string => formatLength(value, { system: units, digits: 3 });
  const small = (value: number): string => formatLength(value, { system: units, small: true });
  return (
    <section className="mt-4" aria-label={device.name}>
      <div role="status">
        <h2 className="text-lg font-bold">{words}</h2>
      </div>
      <DeviceDrawing device={device} />
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div className="min-w-0">
          <Chips
            legend="Looked into from"
            value={from}
            options={[
              ['device', 'At the device'],
              ['radio', 'At the radio, through the run'],
            ]}
            onChange={setFrom}
          />
          <div className="mt-2">
            <FrequencyChart
              title={from === 'radio' ? 'SWR at the radio' : 'SWR at the device'}
              summary={words}
              unit="SWR"
              frequencyHz={simulated.frequencyHz}
              series={[
                { name: 'without it', values: clipped(simulated.swrWithout), tone: 'ink', dashed: true },
                { name: 'with it', values: clipped(simulated.swrWith), tone: 'ink' },
              ]}
              bands={design.service.bands}
              height={230}
              format={(swr) => swr.toFixed(2)}
              most={4}
              least={1}
            />
          </div>
        </div>
        <div>
          <Rows
            rows={device.pieces.flatMap(({ name, cable, degrees, lengthM }): [string, ReactNode][] => [
              [
                `${name}, ${cable.name}`,
                <strong key={name} className="figures whitespace-nowrap">
                  {metres(lengthM)}
                </strong>,
              ],
              [
                `${degrees.toFixed(1)}°, by the data sheet`,
                <span key={`${name} deg`} className="figures whitespace-nowrap">
                  ± {small(lengthM * velocityToleranceOf(cable))}
                </span>,
              ],
            ])}
          />
          <p className="mt-2 text-sm text-muted">
            Between the reference planes; the connectors count in it. Cut long by what the data sheet leaves
            open, then trim.
          </p>
          {inLine && (
            <button
              className="button button-primary mt-3"
              onClick={() => {
                editor.change(putMatch(design, device, catalog));
                toast('Its pieces are in the run before the antenna; Cut has a trim coach for each.');
              }}
            >
              Insert into the run
            </button>
          )}
        </div>
      </div>
    </section>
  );
}

/** An SWR beyond the chart is drawn along its upper edge. */
const clipped = (swr: Float64Array): Float64Array => swr.map((one) => Math.min(one, 4));

function sayWorth(
  { frequencyHz, name }: MatchDevice,
  { swrWith, swrWithout, band, lossWithDb, lossWithoutDb }: Simulated,
  k: number,
  matches: boolean,
): string {
  const at = formatFrequency(frequencyHz);
  const swr = (value: number): string => (value > 99 ? 'far above 10' : value.toFixed(2));
  const within = band
    ? `below ${LIMIT} from ${formatFrequency(band.lowHz)} to ${formatFrequency(band.highHz)}`
    : `never below ${LIMIT}`;
  const cost = `costs ${formatDecibels(lossWithDb[k])} instead of ${formatDecibels(lossWithoutDb[k])}`;
  if (matches && !isWorthMatching(swrWithout[k], swrWith[k]))
    return `Nothing needed: SWR ${swr(swrWithout[k])} at ${at} without it, ${swr(swrWith[k])} with it`;
  return `${name}: SWR ${swr(swrWith[k])} at ${at} instead of ${swr(swrWithout[k])}, ${within}; ${cost}`;
}
