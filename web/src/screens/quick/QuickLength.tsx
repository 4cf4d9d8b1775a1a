import { formatLength, parseElectrical, quickLength, type ElectricalTarget } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { FigureText } from '../../ui/FigureText.js';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { Rows } from '../../ui/Rows.js';
import { FrequencyField } from '../../ui/unitFields.js';
import { CableOrVelocity, type Velocity } from './CableOrVelocity.js';
import { RunLengthField } from '../../ui/LengthField.js';

/** Frequency, electrical length and cable; the length to cut, by both constants. */
export function QuickLength(): ReactNode {
  const { units } = usePreferences();
  const [target, setTarget] = useState<ElectricalTarget>({ frequencyHz: 145e6, degrees: 90 });
  const [velocity, setVelocity] = useState<Velocity>({ cable: 'rg213', velocityFactor: 0.66, share: 0.015 });
  const [reachM, setReach] = useState<number>();
  const quick = quickLength(target, velocity, reachM);
  return (
    <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div className="space-y-3">
        <div className="grid gap-3 sm:grid-cols-2">
          <FrequencyField
            label="Frequency"
            value={target.frequencyHz}
            onChange={(frequencyHz) => setTarget({ ...target, frequencyHz })}
          />
          <QuantityField
            label="Electrical length"
            value={target.degrees}
            format={(degrees) => `${Number(degrees.toFixed(3))}°`}
            parse={(text) => parseElectrical(text, target.frequencyHz)}
            onChange={(degrees) => setTarget({ ...target, degrees })}
            hint="90°, 1/4 wave, 2.5 ns"
          />
        </div>
        <CableOrVelocity value={velocity} onChange={setVelocity} />
        <div className="sm:w-1/2 sm:pr-1.5">
          <RunLengthField
            label="Has to reach, in quarter waves"
            valueM={reachM}
            onChange={setReach}
            onClear={() => setReach(undefined)}
            placeholder={units === 'metric' ? '2.40 m' : '8 ft'}
            hint="An odd number of quarter waves transforms like one."
          />
        </div>
      </div>
      <div>
        <p className="text-muted">Cable by itself, exact</p>
        <p className="figures text-4xl font-bold">
          <FigureText figure={quick.exact} />
        </p>
        <div className="mt-3">
          <Rows
            rows={[
              ['Cut first, then trim down', <FigureText key="first" figure={quick.firstCut} />],
              ['By the 468 shop constant', <FigureText key="shop" figure={quick.shop} />],
              ['The shop constant is short by', `${quick.differenceDeg.toFixed(1)}°`],
              ['Half wave in free space', formatLength(quick.halfWaveM, { system: units, digits: 3 })],
              ...(quick.reach
                ? [
                    [
                      `${quick.reach.quarters} quarter ${quick.reach.quarters === 1 ? 'wave reaches' : 'waves reach'}`,
                      <FigureText key="reach" figure={quick.reach.length} />,
                    ] as const,
                  ]
                : []),
            ]}
          />
        </div>
        <p className="mt-3 text-muted">
          Without connectors: in a run Kobran takes their own length off. 468 holds the end effect of a wire
          in air, which a cable does not have.
        </p>
      </div>
    </div>
  );
}
