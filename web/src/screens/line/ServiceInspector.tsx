import {
  formatDecibels,
  formatFrequency,
  formatPower,
  parseDecibels,
  parseFrequency,
  parsePower,
  type Band,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { useOpenRun } from '../../runs/RunContext.js';
import { QuantityField } from '../../shell/QuantityField.js';
import { TextField } from '../../shell/TextField.js';
import { Tick } from '../../shell/Tick.js';

/** What the run is for: bands, power, budget. */
export function ServiceInspector(): ReactNode {
  const { editor } = useOpenRun();
  const { service, name } = editor.design;
  const set = (change: Partial<typeof service>): void =>
    editor.change([{ op: 'set service', service: change }]);
  const setBand = (k: number, band: Partial<Band>): void =>
    set({ bands: service.bands.map((old, at) => (at === k ? { ...old, ...band } : old)) });
  return (
    <section className="mt-3 space-y-3">
      <TextField
        label="Name of the run"
        value={name}
        maxLength={120}
        onChange={(to) => editor.change([{ op: 'set name', name: to }])}
      />
      {service.bands.map((band, k) => (
        <fieldset key={k} className="grid grid-cols-2 gap-2">
          <legend className="font-semibold">{band.name}</legend>
          <QuantityField
            label="From"
            value={band.lowHz}
            format={formatFrequency}
            parse={parseFrequency}
            onChange={(lowHz) => setBand(k, { lowHz, highHz: Math.max(lowHz, band.highHz) })}
          />
          <QuantityField
            label="To"
            value={band.highHz}
            format={formatFrequency}
            parse={parseFrequency}
            onChange={(highHz) => setBand(k, { highHz, lowHz: Math.min(highHz, band.lowHz) })}
          />
        </fieldset>
      ))}
      <Tick
        label="Receive only"
        checked={service.powerW === 0}
        onChange={(receive) => set({ powerW: receive ? 0 : 10 })}
      />
      {service.powerW > 0 && (
        <QuantityField
          label="Forward power of the transmitter"
          value={service.powerW}
          format={formatPower}
          parse={parsePower}
          onChange={(powerW) => set({ powerW })}
          hint="its rating into a matched load"
        />
      )}
      <QuantityField
        label="Loss budget"
        value={service.lossBudgetDb}
        format={formatDecibels}
        parse={parseDecibels}
        onChange={(db) => set({ lossBudgetDb: Math.abs(db) })}
      />
      <Tick
        label="Direct current is fed over the cable"
        checked={service.dcFeed}
        onChange={(dcFeed) => set({ dcFeed })}
      />
    </section>
  );
}
