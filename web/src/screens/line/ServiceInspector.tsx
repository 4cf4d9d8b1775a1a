import {
  freshBandName,
  MAX_BANDS,
  fail,
  noisePlaces,
  parsePlainNumber,
  formatDecibels,
  parseCelsius,
  parseDecibels,
  USUAL_NOISE_FIGURE_DB,
  type Band,
  type Result,
  type Service,
} from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { DutyField } from '../../frame/DutyField.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Choice } from '../../ui/Choice.js';
import { FigureText } from '../../ui/FigureText.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { FrequencyField, PowerField } from '../../ui/unitFields.js';

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
          <legend className="sr-only">{band.name}</legend>
          <div className="col-span-2 flex items-end gap-2">
            <div className="flex-1">
              <TextField
                label={service.bands.length === 1 ? 'Band' : `Band ${k + 1}`}
                value={band.name}
                maxLength={60}
                onChange={(to) => setBand(k, { name: freshBandName(service.bands.toSpliced(k, 1), to) })}
              />
            </div>
            {service.bands.length > 1 && (
              <button
                className="button"
                aria-label={`Take ${band.name} out`}
                onClick={() => set({ bands: service.bands.filter((_, at) => at !== k) })}
              >
                <Trash2 size={16} aria-hidden />
              </button>
            )}
          </div>
          <FrequencyField
            label="From"
            value={band.lowHz}
            onChange={(lowHz) => setBand(k, { lowHz, highHz: Math.max(lowHz, band.highHz) })}
          />
          <FrequencyField
            label="To"
            value={band.highHz}
            onChange={(highHz) => setBand(k, { highHz, lowHz: Math.min(highHz, band.lowHz) })}
          />
        </fieldset>
      ))}
      {service.bands.length < MAX_BANDS && (
        <button
          className="button"
          onClick={() => {
            const last = service.bands[service.bands.length - 1];
            set({ bands: [...service.bands, { ...last, name: freshBandName(service.bands, last.name) }] });
          }}
        >
          <Plus size={16} aria-hidden /> Another band
        </button>
      )}
      <Tick
        label="Receive only"
        checked={service.powerW === 0}
        onChange={(receive) => set({ powerW: receive ? 0 : 10 })}
      />
      {service.powerW > 0 && (
        <PowerField
          label="Forward power of the transmitter"
          value={service.powerW}
          onChange={(powerW) => set({ powerW })}
          hint="its rating into a matched load"
        />
      )}
      {service.powerW > 0 && <DutyField duty={service.duty} onChange={(duty) => set({ duty })} />}
      {service.powerW === 0 && <Reception />}
      <QuantityField
        label="Loss budget"
        value={service.lossBudgetDb}
        format={formatDecibels}
        parse={parseDecibels}
        onChange={(db) => set({ lossBudgetDb: Math.abs(db) })}
        {...(service.powerW === 0 ? { hint: 'of signal-to-noise, when receiving' } : {})}
      />
      <QuantityField
        label="Highest ambient"
        value={service.ambientC}
        format={(c) => `${c} °C`}
        parse={parseCelsius}
        onChange={(ambientC) => set({ ambientC })}
        hint="derates the cable; copper loses 0.2 % more per kelvin"
      />
      <Tick
        label="Direct current is fed over the cable"
        checked={service.dcFeed}
        onChange={(dcFeed) => set({ dcFeed })}
      />
    </section>
  );
}

/** Noise of the receiver, and an amplifier at the antenna: what makes loss heard or not. */
function Reception(): ReactNode {
  const { editor, sheet } = useOpenRun();
  const {
    noiseFigureDb = USUAL_NOISE_FIGURE_DB,
    preamplifier,
    noisePlace = 'rural',
    elevationDeg = 30,
  } = editor.design.service;
  const set = (change: Partial<Service>): void => editor.change([{ op: 'set service', service: change }]);
  const decibels = { format: formatDecibels, parse: parseDecibels };
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">Receiving</legend>
      {sheet.reception && (
        <p className="flex justify-between border-b border-rule pb-1">
          <span className="text-muted">Signal-to-noise lost</span>
          <FigureText figure={sheet.reception.costs} />
        </p>
      )}
      <QuantityField
        label="Noise figure of the receiver"
        value={noiseFigureDb}
        {...decibels}
        onChange={(db) => set({ noiseFigureDb: Math.abs(db) })}
      />
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Noise around the antenna"
          value={noisePlace}
          options={noisePlaces.map((place) => ({ value: place, label: place }))}
          onChange={(to) => set({ noisePlace: noisePlaces.find((place) => place === to) ?? 'rural' })}
        />
        <QuantityField
          label="Beam above the horizon"
          value={elevationDeg}
          format={(degrees) => `${degrees}°`}
          parse={parseElevation}
          onChange={(degrees) => set({ elevationDeg: degrees })}
        />
      </div>
      <p className="text-sm text-muted">
        After ITU-R P.372. Noise of thunderstorms is not in it: below 10 MHz the band itself is noisier still.
      </p>
      <Tick
        label="An amplifier stands at the antenna"
        checked={preamplifier !== undefined}
        onChange={(on) =>
          editor.change([
            {
              op: 'set design',
              design: { ...editor.design, service: amplified(editor.design.service, on) },
            },
          ])
        }
      />
      {preamplifier && (
        <div className="grid grid-cols-2 gap-2">
          <QuantityField
            label="Its noise figure"
            value={preamplifier.noiseFigureDb}
            {...decibels}
            onChange={(db) => set({ preamplifier: { ...preamplifier, noiseFigureDb: Math.abs(db) } })}
          />
          <QuantityField
            label="Its gain"
            value={preamplifier.gainDb}
            {...decibels}
            onChange={(db) => set({ preamplifier: { ...preamplifier, gainDb: Math.abs(db) } })}
          />
        </div>
      )}
    </fieldset>
  );
}

/** An elevation, 0 to 90°; none is the horizon itself. */
function parseElevation(text: string): Result<number> {
  const read = parsePlainNumber(text.replace(/\s*(°|deg)\s*$/, ''), 'elevation');
  if (!read.ok || (read.value >= 0 && read.value <= 90)) return read;
  return fail('elevation.range', `${read.value}° is no elevation.`, 'field', 'Type 0 to 90°.');
}

/** A service with an amplifier at the antenna, nominal, or without one. */
function amplified({ preamplifier: _, ...rest }: Service, on: boolean): Service {
  return on ? { ...rest, preamplifier: { noiseFigureDb: 1.5, gainDb: 20 } } : rest;
}
