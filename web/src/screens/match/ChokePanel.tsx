import {
  chokingBand,
  chokingOhm,
  chooseChoke,
  entry,
  formatDecibels,
  formatFrequency,
  formatLength,
  formatResistance,
  matchedLossDb,
  type Assembly,
  type Cable,
  type Choke,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { FrequencyChart } from '../../drawing/charts/FrequencyChart.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { Rows } from '../../ui/Rows.js';
import { FrequencyField, OhmField } from '../../ui/unitFields.js';

/** Formers that lie about: drain pipe and bottles, mean diameters, m. Common practice, no source. */
const DIAMETERS_M = [0.05, 0.065, 0.08, 0.1, 0.11, 0.125, 0.15, 0.18, 0.22, 0.27, 0.33, 0.4];
const POINTS = 300;

/** A coil of the run’s own cable against current on its outside. */
export function ChokePanel(): ReactNode {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const { service, pieces } = editor.design;
  const last = pieces.findLast((piece): piece is Assembly => piece.kind === 'assembly');
  const [cableId, setCable] = useState(last?.cable ?? 'rg213');
  const [lowHz, setLow] = useState(Math.min(...service.bands.map((band) => band.lowHz)));
  const [highHz, setHigh] = useState(Math.max(...service.bands.map((band) => band.highHz)));
  const [targetOhm, setTarget] = useState(1000);
  const cable = entry(catalog.cables, cableId);
  const found = chooseChoke(cable, Math.min(lowHz, highHz), Math.max(lowHz, highHz), targetOhm, DIAMETERS_M);
  return (
    <>
      <div className="grid items-end gap-3 sm:grid-cols-4">
        <Choice
          label="Cable to wind"
          value={cableId}
          options={[...catalog.cables.values()].map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setCable}
        />
        <FrequencyField label="From" value={lowHz} onChange={setLow} />
        <FrequencyField label="To" value={highHz} onChange={setHigh} />
        <OhmField label="At least" value={targetOhm} onChange={setTarget} />
      </div>
      {found ? (
        <ChokeResult found={found} cable={cable} targetOhm={targetOhm} topHz={Math.max(lowHz, highHz)} />
      ) : (
        <p role="status" className="mt-4 text-lg font-semibold text-caution">
          No coil of this cable does that over this band: take a narrower band, a thinner cable (it bends
          tighter), or ferrite, whose data Kobran does not have.
        </p>
      )}
    </>
  );
}

function ChokeResult({
  found,
  cable,
  targetOhm,
  topHz,
}: {
  found: Choke;
  cable: Cable;
  targetOhm: number;
  topHz: number;
}): ReactNode {
  const { editor } = useOpenRun();
  const { units } = usePreferences();
  const small = (metres: number): string => formatLength(metres, { system: units, small: true });
  const band = chokingBand(found, targetOhm);
  const from = found.resonanceHz / 4;
  const f = Float64Array.from({ length: POINTS }, (_, k) => from * 16 ** (k / (POINTS - 1)));
  const ohm = f.map((hz) => chokingOhm(found, hz));
  const words = `${found.turns} turns of ${cable.name} on ${small(found.diameterM)}: above ${formatResistance(targetOhm)} ${band ? `from ${formatFrequency(band.lowHz)} to ${formatFrequency(band.highHz)}` : 'nowhere'}`;
  return (
    <section className="mt-4" aria-label="Choke">
      <div role="status">
        <h2 className="text-lg font-bold">{words}</h2>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div className="min-w-0">
          <Coil choke={found} cable={cable} />
          <FrequencyChart
            title="Impedance against current on the shield"
            summary={words}
            unit="ohm"
            frequencyHz={f}
            series={[
              { name: 'asked for', values: f.map(() => targetOhm), tone: 'muted', dashed: true },
              { name: 'choke', values: ohm, tone: 'ink' },
            ]}
            bands={editor.design.service.bands}
            height={220}
            format={formatResistance}
            logarithmic
            most={Math.min(Math.max(...ohm), 6 * targetOhm)}
          />
        </div>
        <div>
          <Rows
            rows={[
              [
                'Cable in the turns',
                <strong key="c" className="figures">
                  {formatLength(found.cableM, { system: units, digits: 2 })}
                </strong>,
              ],
              ['Loss of the coil', formatDecibels(matchedLossDb(cable, topHz, found.cableM))],
              ['Inductance', `${(found.henry * 1e6).toFixed(2)} µH, ± 5 %`],
              ['Resonates near', `${formatFrequency(found.resonanceHz)}, ± 15 %`],
              [
                'Radius, and least allowed',
                `${small(found.diameterM / 2)}, ${small(found.leastRadiusMm / 1000)}`,
              ],
              ['Coil’s length', small(found.coilM)],
            ]}
          />
          <p className="mt-2 text-sm text-muted">
            Wheeler’s inductance and Medhurst’s capacitance, turn against turn; what stands near it moves the
            resonance. Side by side in one layer: a bundle resonates lower and chokes less. It belongs at the
            feed point. Its cable is part of the run.
          </p>
          <LongerBy cableM={found.cableM} cable={cable} />
        </div>
      </div>
    </section>
  );
}

/** With the turns of this choke in it; another one which was wound before is unwound. */
const withTurns = (piece: Assembly, woundM: number): Assembly => ({
  ...piece,
  lengthM: piece.lengthM - (piece.woundM ?? 0) + woundM,
  woundM,
});

/** The turns are cut of the run’s last cable: it is as much longer. */
function LongerBy({ cableM, cable }: { cableM: number; cable: Cable }): ReactNode {
  const { editor } = useOpenRun();
  const last = editor.design.pieces.findLast((piece): piece is Assembly => piece.kind === 'assembly');
  if (last?.cable !== cable.id) return null;
  return (
    <button
      className="button button-primary mt-3"
      onClick={() => {
        editor.change([{ op: 'set piece', piece: withTurns(last, cableM) }]);
        toast(`${last.label} is longer by its turns; undo takes it back.`);
      }}
    >
      Add the turns to {last.label}
    </button>
  );
}

const COIL = { width: 420, height: 150 };

/** The coil in elevation, to scale. */
function Coil({ choke, cable }: { choke: Choke; cable: Cable }): ReactNode {
  const { units } = usePreferences();
  const scale = Math.min((COIL.width - 160) / choke.coilM, (COIL.height - 40) / choke.diameterM);
  const [wide, high] = [choke.coilM * scale, choke.diameterM * scale];
  const [x, y] = [70, (COIL.height - high) / 2];
  const pitch = wide / choke.turns;
  const thick = Math.max(2, (cable.jacketMm / 1000) * scale - 1.5);
  return (
    <svg
      viewBox={`0 0 ${COIL.width} ${COIL.height}`}
      className="h-40 w-full max-w-xl rounded border border-rule bg-paper"
      role="img"
      aria-label={`Coil of ${choke.turns} turns, ${formatLength(choke.diameterM, { system: units, small: true })} across.`}
    >
      <rect
        x={x - 14}
        y={y + 6}
        width={wide + 28}
        height={high - 12}
        fill="var(--dielectric)"
        stroke="var(--edge)"
      />
      {Array.from({ length: choke.turns }, (_, k) => (
        <path
          key={k}
          d={`M${x + pitch * (k + 0.5)} ${y}v${high}`}
          stroke="var(--ink)"
          strokeWidth={thick}
          strokeLinecap="round"
        />
      ))}
      <path d={`M${x + pitch / 2} ${y + high}H10`} stroke="var(--ink)" strokeWidth={thick} />
      <path d={`M${x + wide - pitch / 2} ${y}H${x + wide + 70}`} stroke="var(--ink)" strokeWidth={thick} />
      <path d={`M${x + wide + 34} ${y}v${high}`} stroke="var(--ink)" />
      <text x={x + wide + 42} y={COIL.height / 2 + 5} fontSize={13} className="figures">
        {formatLength(choke.diameterM, { system: units, small: true })}
      </text>
    </svg>
  );
}
