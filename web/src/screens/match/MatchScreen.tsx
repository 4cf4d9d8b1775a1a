import {
  antennaLoad,
  degreesOfDelay,
  delayLine,
  entry,
  fail,
  halfWaveBalun,
  loadImpedance,
  ok,
  parseDegrees,
  parsePlainNumber,
  parseResistance,
  quarterWave,
  referenceOhmOf,
  seriesSections,
  stubMatches,
  trapStub,
  type Assembly,
  type Cable,
  type Complex,
  type MatchDevice,
  type Result,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Chips, Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { StagePage } from '../../ui/StagePage.js';
import { useAddress } from '../../ui/useAddress.js';
import { ChokePanel } from './ChokePanel.js';
import { DeviceResult } from './DeviceResult.js';
import { FrequencyField } from '../../ui/unitFields.js';

const kinds = [
  ['quarter', 'Quarter wave'],
  ['stub', 'Stub'],
  ['series', 'Series section'],
  ['balun', 'Half-wave balun'],
  ['delay', 'Delay line'],
  ['notch', 'Notch stub'],
  ['choke', 'Choke'],
] as const;
type Kind = (typeof kinds)[number][0];
const isKind = (text: string | null): text is Kind => kinds.some(([kind]) => kind === text);

/** Devices made of cable: designed for this run’s antenna, drawn, cut, and looked at in their place. */
export function MatchScreen(): ReactNode {
  const [address, change] = useAddress();
  const asked = address.get('kind');
  const kind = isKind(asked) ? asked : 'quarter';
  return (
    <StagePage
      headline="Match and choke: devices made of cable"
      reason="Each is worked out for this run’s antenna, and looked at in its place: how well it matches, over which band, and what it costs."
    >
      <Chips legend="Which device" value={kind} options={kinds} onChange={(to) => change({ kind: to })} />
      <div className="mt-4">{kind === 'choke' ? <ChokePanel /> : <Match key={kind} kind={kind} />}</div>
    </StagePage>
  );
}

/** A folded dipole or a loop, ohm. */
const BALANCED_OHM = 200;

interface Wish {
  frequencyHz: number;
  load: Complex;
  /** Cable of the section, stub or loop. */
  cable: string;
  far: 'open' | 'shorted';
  degrees: number;
  notchHz: number;
}

/** What the run itself says: the middle of its bands, its antenna there, its last cable. */
function useFirstWish(): { wish: Wish; run: Cable } {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  const [band] = design.service.bands;
  const frequencyHz = (band.lowHz + band.highHz) / 2;
  const { re, im } = loadImpedance(antennaLoad(design, referenceOhmOf(design)), Float64Array.of(frequencyHz));
  const last = design.pieces.findLast((piece): piece is Assembly => piece.kind === 'assembly');
  const run = entry(catalog.cables, last?.cable ?? 'rg213');
  const load = { re: Number(re[0].toFixed(2)), im: Number(im[0].toFixed(2)) };
  return {
    run,
    wish: { frequencyHz, load, cable: 'rg11', far: 'shorted', degrees: 90, notchHz: 2 * frequencyHz },
  };
}

function Match({ kind }: { kind: Exclude<Kind, 'choke'> }): ReactNode {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const first = useFirstWish();
  const [wish, setWish] = useState(
    kind === 'balun' ? { ...first.wish, load: { re: BALANCED_OHM, im: 0 } } : first.wish,
  );
  const [nth, setNth] = useState(0);
  const set = (change: Partial<Wish>): void => {
    setWish({ ...wish, ...change });
    setNth(0);
  };
  const devices = devicesOf(
    kind,
    wish,
    first.run,
    [...catalog.cables.values()],
    referenceOhmOf(editor.design),
  );
  const device = devices.at(nth) ?? devices.at(0);
  return (
    <>
      <Fields kind={kind} wish={wish} set={set} />
      {devices.length > 1 && (
        <div className="mt-3">
          <Chips
            legend="Which solution"
            value={String(nth)}
            options={devices.map((one, k) => [
              String(k),
              `${k === 0 ? 'First' : 'Second'}: ${one.pieces.map(({ degrees }) => `${degrees.toFixed(0)}°`).join(' + ')}`,
            ])}
            onChange={(to) => setNth(Number(to))}
          />
        </div>
      )}
      {device ? (
        <DeviceResult
          device={device}
          load={wish.load}
          matches={kind === 'quarter' || kind === 'stub' || kind === 'series'}
        />
      ) : (
        <p role="status" className="mt-4 text-lg font-semibold text-caution">
          {kind === 'series'
            ? 'No series section of this cable matches this load: its impedance is too near the run’s. Take another cable, or a stub.'
            : 'Nothing to match here: the load is the run’s own impedance, or reflects everything.'}
        </p>
      )}
    </>
  );
}

function devicesOf(
  kind: Exclude<Kind, 'choke'>,
  { frequencyHz, load, cable, far, degrees, notchHz }: Wish,
  run: Cable,
  cables: readonly Cable[],
  runOhm: number,
): MatchDevice[] {
  const section = cables.find(({ id }) => id === cable) ?? run;
  switch (kind) {
    case 'quarter':
      return [quarterWave(load, frequencyHz, runOhm, run, [section])];
    case 'stub':
      return stubMatches(load, frequencyHz, run, section, far);
    case 'series':
      return seriesSections(load, frequencyHz, run, section);
    case 'balun':
      return [halfWaveBalun(frequencyHz, section)];
    case 'delay':
      return [delayLine(degrees, frequencyHz, section)];
    case 'notch':
      return [trapStub(notchHz, frequencyHz, section)];
  }
}

const cableLabels: Record<Exclude<Kind, 'choke'>, string> = {
  quarter: 'Cable of the section',
  stub: 'Cable of the stub',
  series: 'Cable of the section',
  balun: 'Cable of the loop',
  delay: 'Cable',
  notch: 'Cable of the stub',
};

function Fields({
  kind,
  wish,
  set,
}: {
  kind: Exclude<Kind, 'choke'>;
  wish: Wish;
  set: (change: Partial<Wish>) => void;
}): ReactNode {
  const catalog = useCatalog();
  return (
    <div className="grid items-end gap-3 sm:grid-cols-3 lg:grid-cols-5">
      <FrequencyField label="At" value={wish.frequencyHz} onChange={(frequencyHz) => set({ frequencyHz })} />
      {kind === 'delay' ? (
        <Delay wish={wish} set={set} />
      ) : (
        <>
          <QuantityField
            label={kind === 'balun' ? 'Balanced load, resistance' : 'Antenna, resistance'}
            value={wish.load.re}
            format={(ohm) => `${ohm} Ω`}
            parse={(text) => positive(parseResistance(text))}
            onChange={(re) => set({ load: { ...wish.load, re } })}
          />
          <QuantityField
            label="Reactance"
            value={wish.load.im}
            format={(ohm) => `${ohm} Ω`}
            parse={parseReactance}
            onChange={(im) => set({ load: { ...wish.load, im } })}
          />
        </>
      )}
      <Choice
        label={cableLabels[kind]}
        value={wish.cable}
        options={[...catalog.cables.values()].map(({ id, name, impedanceOhm }) => ({
          value: id,
          label: `${name}, ${impedanceOhm} Ω`,
        }))}
        onChange={(cable) => set({ cable })}
      />
      {kind === 'stub' && (
        <Choice
          label="Its far end"
          value={wish.far}
          options={[
            { value: 'shorted', label: 'shorted' },
            { value: 'open', label: 'open' },
          ]}
          onChange={(to) => set({ far: to === 'open' ? 'open' : 'shorted' })}
        />
      )}
      {kind === 'notch' && (
        <FrequencyField label="Shorts out" value={wish.notchHz} onChange={(notchHz) => set({ notchHz })} />
      )}
    </div>
  );
}

/** `-j30`, `-30 ohm`, `+12`. */
function parseReactance(text: string): Result<number> {
  return parsePlainNumber(text.replace(/\s*(?:ohms?|Ω)\s*$/i, '').replace(/j/i, ''), 'reactance');
}

const positive = (read: Result<number>): Result<number> =>
  !read.ok || (read.value > 0 && Number.isFinite(read.value))
    ? read
    : fail('match.load', 'A load has a resistance above nothing.', 'load', 'Measure it at its own port.');

/** A delay in degrees, or in nanoseconds. */
function Delay({ wish, set }: { wish: Wish; set: (change: Partial<Wish>) => void }): ReactNode {
  const ns = (wish.degrees / 360 / wish.frequencyHz) * 1e9;
  return (
    <>
      <QuantityField
        label="Degrees"
        value={wish.degrees}
        format={(degrees) => `${Number(degrees.toFixed(2))}°`}
        parse={(text) => positive(parseDegrees(text))}
        onChange={(degrees) => set({ degrees })}
      />
      <QuantityField
        label="Or nanoseconds"
        value={ns}
        format={(value) => `${Number(value.toFixed(3))} ns`}
        parse={(text) => {
          const read = positive(parsePlainNumber(text.replace(/\s*ns\s*$/i, ''), 'delay'));
          return read.ok ? ok(read.value) : read;
        }}
        onChange={(value) => set({ degrees: degreesOfDelay(value * 1e-9, wish.frequencyHz) })}
      />
    </>
  );
}
