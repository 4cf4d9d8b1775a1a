import {
  assembliesOf,
  attenuationDbPer100M,
  cableChoice,
  formatDecibels,
  formatFigure,
  formatLength,
  type Assembly,
  type CableChoice,
  type CableMark,
  type CableRow,
} from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { FrequencyChart, type Series } from '../../drawing/charts/FrequencyChart.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { FigureText } from '../../ui/FigureText.js';
import { useAddress } from '../../ui/useAddress.js';

/** All cables side by side for one assembly of the run: what each would do, and why not. */
export function CablesScreen(): ReactNode {
  const { editor, id: runId } = useOpenRun();
  const [address] = useAddress();
  const assemblies = assembliesOf(editor.design);
  const piece =
    assemblies.find(({ id }) => id === address.get('piece')) ??
    assemblies.toSorted((x, y) => y.lengthM - x.lengthM).at(0);
  if (piece) return <Chooser piece={piece} assemblies={assemblies} />;
  return (
    <main className="flex-1 px-5 py-4">
      <h1 className="text-xl font-bold">There is no cable in this run yet</h1>
      <p className="mt-2">
        <Link className="button" to={`/runs/${runId}/plan`}>
          Back to the line
        </Link>
      </p>
    </main>
  );
}

function Chooser({ piece, assemblies }: { piece: Assembly; assemblies: readonly Assembly[] }): ReactNode {
  const { editor, sheet, id: runId } = useOpenRun();
  const catalog = useCatalog();
  const navigate = useNavigate();
  const [, change] = useAddress();
  const { units } = usePreferences();
  const { design } = editor;
  const choice = useMemo(() => cableChoice(design, piece, sheet, catalog), [design, piece, sheet, catalog]);
  const take = ({ cable, changed }: CableRow): void => {
    if (!changed) return;
    editor.change([{ op: 'set piece', piece: changed }]);
    toast(`${piece.label} is now ${cable.name}`, { description: 'Ctrl Z takes it back.' });
    void navigate(`/runs/${runId}/plan?at=${piece.id}`);
  };
  return (
    <main className="relative min-w-0 flex-1 overflow-x-hidden overflow-y-auto px-3 py-3 md:px-5">
      <h1 className="text-xl leading-tight font-bold">{headline(choice)}</h1>
      <p className="text-muted">
        {choice.basis === 'price'
          ? 'Cheapest by the shop’s prices.'
          : 'No price known for some cables: they are sorted by diameter.'}{' '}
        Beyond the best value, a thicker cable gains little.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <div className="w-72">
          <Choice
            label="For which piece"
            value={piece.id}
            options={assemblies.map(({ id, label, lengthM }) => ({
              value: id,
              label: `${label}, ${formatLength(lengthM, { system: units })}`,
            }))}
            onChange={(id) => change({ piece: id })}
          />
        </div>
        <Link className="button" to={`/runs/${runId}/plan?at=${piece.id}`}>
          Back to the line
        </Link>
      </div>
      <CableTable choice={choice} now={piece.cable} onTake={take} />
      <LossChart choice={choice} now={piece.cable} />
    </main>
  );
}

const named = ({ rows }: CableChoice, mark: CableMark): string | undefined =>
  rows.find(({ marks }) => marks.includes(mark))?.cable.name;

function headline(choice: CableChoice): string {
  const adequate = choice.rows.filter((row) => row.adequate).length;
  const cheapest = named(choice, choice.basis === 'price' ? 'cheapest adequate' : 'thinnest adequate');
  return cheapest
    ? `${adequate} of ${choice.rows.length} cables will do for ${choice.piece.label}; ${cheapest} is enough`
    : `No cable in the catalogue will do for ${choice.piece.label} as the run stands`;
}

const markWords: Record<CableMark, string> = {
  'cheapest adequate': 'cheapest that does',
  'thinnest adequate': 'thinnest that does',
  'lowest loss': 'lowest loss',
  'best value': 'best value',
};

function CableTable({
  choice: { rows },
  now,
  onTake,
}: {
  choice: CableChoice;
  now: string;
  onTake: (row: CableRow) => void;
}): ReactNode {
  const { sheet } = useOpenRun();
  const { units } = usePreferences();
  const [all, setAll] = useState(false);
  const shown = all
    ? rows
    : rows.filter(({ adequate, cable, marks }) => adequate || cable.id === now || marks.length > 0);
  const heads = [
    'Cable',
    'Run loses',
    sheet.receiveOnly ? 'S/N lost' : 'Arrives',
    ...(sheet.receiveOnly ? [] : ['Power margin']),
    'Weight',
    'Bend',
    'Cost',
    '',
  ];
  return (
    <div
      className="relative mt-3 overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Cables side by side"
    >
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {heads.map((head) => (
              <th key={head} scope="col" className="py-1 pr-4 text-sm font-semibold">
                {head || <span className="sr-only">Use it</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr
              key={row.cable.id}
              className={`border-b border-rule align-top ${row.cable.id === now ? 'bg-panel' : ''}`}
            >
              <th scope="row" className="py-1.5 pr-4 font-normal">
                <span className="font-semibold">{row.cable.name}</span>
                {row.cable.id === now && <span className="text-muted"> fitted now</span>}
                {row.marks.map((mark) => (
                  <span
                    key={mark}
                    className="ml-2 rounded border border-lake px-1.5 text-sm whitespace-nowrap text-lake"
                  >
                    {markWords[mark]}
                  </span>
                ))}
                {row.against.map(({ text }) => (
                  <span key={text} className="block text-sm text-stop">
                    {text}
                  </span>
                ))}
              </th>
              <td className="py-1.5 pr-4">
                <FigureText figure={row.loss} className="whitespace-nowrap" />
              </td>
              <td className="py-1.5 pr-4">
                <FigureText figure={row.left} className="whitespace-nowrap" />
              </td>
              {row.margin && (
                <td className="py-1.5 pr-4">
                  <FigureText figure={row.margin} className="whitespace-nowrap" />
                </td>
              )}
              <td className="figures py-1.5 pr-4 whitespace-nowrap">{formatFigure(row.mass, units)}</td>
              <td className="figures py-1.5 pr-4 whitespace-nowrap">
                {formatLength(row.bendMm / 1000, { system: units, small: true, fraction: 16 })}
              </td>
              <td className="figures py-1.5 pr-4">{row.costs === undefined ? '–' : row.costs.toFixed(2)}</td>
              <td className="py-1.5">
                {row.changed && row.cable.id !== now && (
                  <button className="button" onClick={() => onTake(row)}>
                    Use<span className="sr-only"> {row.cable.name}</span>
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < rows.length && (
        <button className="button mt-2" onClick={() => setAll(true)}>
          Show the {rows.length - shown.length} which will not do, and why
        </button>
      )}
    </div>
  );
}

const LOWEST_HZ = 1e6;
const HIGHEST_HZ = 3e9;
const POINTS = 120;

/** Matched loss of the piece in each cable over frequency, with the run’s bands. */
function LossChart({ choice: { rows, piece }, now }: { choice: CableChoice; now: string }): ReactNode {
  const { editor, sheet } = useOpenRun();
  const frequencyHz = useMemo(
    () =>
      Float64Array.from(
        { length: POINTS },
        (_, k) => LOWEST_HZ * (HIGHEST_HZ / LOWEST_HZ) ** (k / (POINTS - 1)),
      ),
    [],
  );
  const series = rows
    .filter(({ changed }) => changed)
    .map(({ cable, marks }): Series => ({
      name: cable.name,
      values: frequencyHz.map((hz) => (attenuationDbPer100M(cable, hz) * piece.lengthM) / 100),
      tone: cable.id === now ? 'copper' : marks.length > 0 ? 'ink' : 'muted',
    }))
    .sort((x, y) => Number(x.tone !== 'muted') - Number(y.tone !== 'muted'));
  return (
    <section className="mt-5">
      <FrequencyChart
        title={`Loss of ${piece.label} over frequency, matched`}
        summary={`At the run’s top frequency: ${rows
          .filter(({ marks, cable }) => marks.length > 0 || cable.id === now)
          .map(
            ({ cable }) =>
              `${cable.name} ${formatDecibels((attenuationDbPer100M(cable, sheet.topHz) * piece.lengthM) / 100)}`,
          )
          .join(', ')}.`}
        unit="dB; fitted cable in copper, marked ones in ink"
        frequencyHz={frequencyHz}
        series={series}
        bands={editor.design.service.bands}
        height={280}
        format={formatDecibels}
        logarithmic
        most={Math.max(6, editor.design.service.lossBudgetDb * 3)}
      />
    </section>
  );
}
