import { counted, formatFrequency, formatLength, formatPower, type Sheet, type Snag } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSearchParams } from 'react-router';
import { usePreferences } from '../../preferences/Preferences.js';
import { AlongChart, sampleAt } from '../../ruler/AlongChart.js';
import { LineDrawing } from '../../ruler/LineDrawing.js';
import { rulerScale, type RulerScale } from '../../ruler/scale.js';
import { useWidth } from '../../ruler/useWidth.js';
import { useOpenRun } from '../../runs/RunContext.js';
import { SnagList, useRemedy } from '../../shell/SnagList.js';
import { Inspector } from './Inspector.js';

/** What the ends of the run are called in the address and the selection. */
const ENDS = ['radio', 'service', 'antenna'];

/** Plan: the run on its ruler, power and voltage on the same scale, snags in words, and the selected place at the side. */
export function LineScreen(): ReactNode {
  const { sheet } = useOpenRun();
  const [search, setSearch] = useSearchParams();
  const [cursorM, setCursorM] = useState<number>();
  const [ref, width] = useWidth<HTMLDivElement>();
  const apply = useRemedy();
  const asked = search.get('at') ?? undefined;
  const known =
    [...sheet.joints, ...sheet.pieces].some(({ id }) => id === asked) || ENDS.includes(asked ?? '');
  const selected = known ? asked : undefined;
  const select = (id: string | undefined): void =>
    setSearch(id === undefined || id === selected ? {} : { at: id }, { replace: true });
  const step = (by: number): void => {
    const now = sheet.joints.findIndex(({ id }) => id === selected);
    const next =
      now < 0
        ? by > 0
          ? 0
          : sheet.joints.length - 1
        : Math.min(Math.max(now + by, 0), sheet.joints.length - 1);
    setSearch({ at: sheet.joints[next].id }, { replace: true });
  };
  useHotkeys('right', () => step(1), { preventDefault: true });
  useHotkeys('left', () => step(-1), { preventDefault: true });
  useHotkeys('esc', () => select(undefined));
  const here = sheet.snags.filter(({ at }) => at === selected);
  useHotkeys('1, 2, 3, 4, 5', (_, { keys }) => {
    const remedy = here.at(0)?.remedies.at(Number(keys?.at(0)) - 1);
    if (remedy) apply(remedy);
  });
  const pick = ({ at }: Snag): void => setSearch({ at: at === 'run' ? 'service' : at }, { replace: true });
  const scale = rulerScale(sheet.totalM, width);

  return (
    <>
      <main className="min-w-0 flex-1 overflow-x-hidden overflow-y-auto px-3 py-3 md:px-5">
        <h1 className={`text-xl leading-tight font-bold ${sheet.passes ? '' : 'text-stop'}`}>
          {sheet.headline}
        </h1>
        <p className="text-muted">{sheet.reason}</p>
        <Ends selected={selected} onSelect={select} />
        <div ref={ref} className="mt-1">
          {width > 0 && (
            <>
              <LineDrawing
                sheet={sheet}
                scale={scale}
                width={width}
                selected={selected}
                onSelect={select}
                cursorM={cursorM}
                onCursor={setCursorM}
              />
              <Charts sheet={sheet} scale={scale} width={width} cursorM={cursorM} onCursor={setCursorM} />
            </>
          )}
        </div>
        <section className="mt-2 px-3">
          <h2 className="font-bold">
            Snags <span className="font-normal text-muted">{counted(sheet.snags)}</span>
          </h2>
          <SnagList snags={sheet.snags} onPick={pick} />
        </section>
        <FiguresTable sheet={sheet} />
      </main>
      {selected !== undefined && <Inspector selected={selected} onClose={() => select(undefined)} />}
    </>
  );
}

/** The two ports and the service between them: what everything is measured against. */
function Ends({
  selected,
  onSelect,
}: {
  selected: string | undefined;
  onSelect: (id: string) => void;
}): ReactNode {
  const { editor } = useOpenRun();
  const { radio, antenna, service } = editor.design;
  const bands = service.bands
    .map(({ lowHz, highHz }) =>
      lowHz === highHz ? formatFrequency(lowHz) : `${formatFrequency(lowHz)} to ${formatFrequency(highHz)}`,
    )
    .join(', ');
  const items: [string, string, string][] = [
    ['radio', 'Radio', radio.name],
    [
      'service',
      'Service',
      `${service.powerW > 0 ? `${formatPower(service.powerW)} forward, ` : 'receive only, '}${bands}`,
    ],
    ['antenna', 'Antenna', antenna.name],
  ];
  return (
    <div className="mt-2 flex flex-wrap justify-between gap-x-4 gap-y-1">
      {items.map(([id, label, text]) => (
        <button
          key={id}
          aria-pressed={selected === id}
          onClick={() => onSelect(id)}
          className={`rounded border-2 px-2 py-0.5 text-sm hover:border-copper ${selected === id ? 'border-copper' : 'border-transparent'}`}
        >
          <span className="text-muted">{label} </span>
          <span className="font-semibold underline decoration-rule underline-offset-4">{text}</span>
        </button>
      ))}
    </div>
  );
}

interface ChartsProps {
  sheet: Sheet;
  scale: RulerScale;
  width: number;
  cursorM: number | undefined;
  onCursor: (metres: number | undefined) => void;
}

function Charts({ sheet, scale, width, cursorM, onCursor }: ChartsProps): ReactNode {
  const { ruler, figures, tube, receiveOnly, joints } = sheet;
  const shared = { distanceM: ruler.distanceM, scale, width, cursorM, onCursor };
  const percent = (share: number): string => `${(share * 100).toFixed(0)} %`;
  const first = ruler.netW[0];
  const last = ruler.netW.at(-1) ?? 0;
  const say = receiveOnly ? percent : formatPower;
  const volts = (v: number): string => `${v < 10 ? v.toFixed(1) : v.toFixed(0)} V`;
  const weakest = Math.min(...joints.map(({ limit }) => limit.value));
  return (
    <div className="mt-3 space-y-2">
      <AlongChart
        {...shared}
        title={receiveOnly ? 'Signal left' : 'Power left'}
        unit={
          receiveOnly
            ? `share, ${formatFrequency(ruler.frequencyHz)}`
            : `net, ${formatFrequency(ruler.frequencyHz)}`
        }
        summary={`${say(first)} enters, ${say(last)} arrives; the run loses ${figures.loss.value.toFixed(2)} dB.`}
        values={ruler.netW}
        height={92}
        format={say}
      />
      {!receiveOnly && (
        <AlongChart
          {...shared}
          title="Voltage"
          unit="peak at a standing-wave maximum, forward power"
          summary={`At most ${volts(figures.peakVoltage.value)}; the weakest joint is rated ${volts(weakest)}.`}
          values={ruler.envelopeV}
          height={92}
          format={volts}
          limits={[
            { value: weakest, label: 'weakest joint rated' },
            ...(tube?.firesAboveV === undefined
              ? []
              : [{ value: tube.firesAboveV, label: 'right tube fires from' }]),
          ]}
        />
      )}
    </div>
  );
}

/** The same figures as a table, for those who read rather than look. */
function FiguresTable({ sheet }: { sheet: Sheet }): ReactNode {
  const { units } = usePreferences();
  const { ruler, joints } = sheet;
  return (
    <details className="mt-2 px-3 pb-4">
      <summary className="cursor-pointer text-muted">Figures as a table</summary>
      <table className="figures mt-2 text-left text-sm">
        <thead>
          <tr>
            {['Joint', 'At', 'Verdict', 'Net power', 'Peak voltage'].map((head) => (
              <th key={head} scope="col" className="border-b border-rule py-1 pr-6 font-semibold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {joints.map(({ id, number, atM, mating }) => {
            const k = sampleAt(ruler.distanceM, atM + 1e-9);
            return (
              <tr key={id}>
                <th scope="row" className="py-1 pr-6 font-normal">
                  J{number}
                </th>
                <td className="pr-6">{formatLength(atM, { system: units })}</td>
                <td className="pr-6">{mating.verdict}</td>
                <td className="pr-6">
                  {sheet.receiveOnly ? `${(ruler.netW[k] * 100).toFixed(0)} %` : formatPower(ruler.netW[k])}
                </td>
                <td className="pr-6">{ruler.envelopeV[k].toFixed(1)} V</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
