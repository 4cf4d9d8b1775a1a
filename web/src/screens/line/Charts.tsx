import { formatDecibels, formatFrequency, formatPower, type Sheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { AlongChart } from '../../drawing/ruler/AlongChart.js';
import type { RulerScale } from '../../drawing/ruler/scale.js';

interface Props {
  sheet: Sheet;
  /** What stands along the ruler at the frequency that is looked at. */
  ruler: Sheet['ruler'];
  scale: RulerScale;
  width: number;
  cursorM: number | undefined;
  onCursor: (metres: number | undefined) => void;
}

const HEIGHT = 76;

/** Power, voltage and loss on the ruler’s own scale. */
export function Charts({ sheet, ruler, scale, width, cursorM, onCursor }: Props): ReactNode {
  const { figures, tube, receiveOnly, joints } = sheet;
  const shared = { distanceM: ruler.distanceM, scale, width, cursorM, onCursor, height: HEIGHT };
  const percent = (share: number): string => `${(share * 100).toFixed(0)} %`;
  const first = ruler.netW[0];
  const last = ruler.netW.at(-1) ?? 0;
  const say = receiveOnly ? percent : formatPower;
  const volts = (v: number): string => `${v < 10 ? v.toFixed(1) : v.toFixed(0)} V`;
  const amperes = (a: number): string => `${a.toPrecision(2)} A`;
  const weakest = Math.min(...joints.map(({ limit }) => limit.value));
  const at = formatFrequency(ruler.frequencyHz);
  return (
    <div className="mt-1 space-y-1">
      <AlongChart
        {...shared}
        title={receiveOnly ? 'Signal left' : 'Power left'}
        unit={receiveOnly ? `share, ${at}` : `net, ${at}`}
        summary={`${say(first)} enters, ${say(last)} arrives; the run loses ${figures.loss.value.toFixed(2)} dB.`}
        values={ruler.netW}
        format={say}
      />
      {!receiveOnly && (
        <AlongChart
          {...shared}
          title="Voltage"
          unit="peak at a standing-wave maximum, forward power"
          summary={`At most ${volts(Math.max(...ruler.envelopeV))}; over the bands ${volts(figures.peakVoltage.value)}; the weakest joint is rated ${volts(weakest)}.`}
          values={ruler.envelopeV}
          format={volts}
          limits={[
            { value: weakest, label: 'weakest joint rated' },
            ...(tube?.firesAboveV === undefined
              ? []
              : [{ value: tube.firesAboveV, label: 'right tube fires from' }]),
          ]}
        />
      )}
      {!receiveOnly && (
        <AlongChart
          {...shared}
          title="Current"
          unit="peak, between least and largest of the standing wave"
          summary={`At most ${amperes(Math.max(...ruler.highA))}; about the antenna it ripples from ${amperes(ruler.lowA.at(-1) ?? 0)} to ${amperes(ruler.highA.at(-1) ?? 0)}.`}
          values={ruler.highA}
          low={ruler.lowA}
          format={amperes}
        />
      )}
      <AlongChart
        {...shared}
        title="Loss so far"
        unit={`heat in cables and joints, ${at}`}
        summary={`Adds up to ${formatDecibels(ruler.heatLossDb.at(-1) ?? 0)} at the antenna.`}
        values={ruler.heatLossDb}
        format={formatDecibels}
      />
    </div>
  );
}
