import {
  conditions,
  formatFigure,
  formatSpeed,
  legKinds,
  parseSpeed,
  unseenDuct,
  type Condition,
  type LegKind,
  type Site,
  type SiteChange,
  type SiteSnag,
  type Way,
  type WaySheet,
} from '@kobran/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { Choice } from '../../ui/Choice.js';
import { FigureText } from '../../ui/FigureText.js';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { Rows } from '../../ui/Rows.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { Bends } from './Bends.js';
import { BesideFields } from './BesideFields.js';
import { DuctPart } from './DuctPart.js';
import { Pulls } from './Pulls.js';
import { SiteProblems } from './SiteProblems.js';
import { RunLengthField } from '../../ui/LengthField.js';

/** What hangs free or stands up: ice and wind get at it. */
const inTheWind: readonly LegKind[] = ['aerial', 'tower leg', 'boat deck or mast'];

type Optional = 'lengthM' | 'depthM' | 'supportM' | 'sagM' | 'iceMm' | 'windMps' | 'duct';

/** One way: what it is, what lies in it, and what is against it. */
export function WayInspector({
  sheet,
  site,
  jobId,
  snags,
  change,
  onSelect,
}: {
  sheet: WaySheet;
  site: Site;
  jobId: string;
  snags: readonly SiteSnag[];
  change: (changes: readonly SiteChange[]) => void;
  onSelect: (id: string | undefined) => void;
}): ReactNode {
  const { units } = usePreferences();
  const { way, length, riseM, cables } = sheet;
  const replace = (next: Way): void => change([{ op: 'put way', way: next }]);
  const put = (over: Partial<Way>): void => replace({ ...way, ...over });
  const clear = (key: Optional): void => {
    const { [key]: _, ...rest } = way;
    replace(rest);
  };
  const points = site.points.map(({ id, name }) => ({ value: id, label: name }));
  const isInGround = way.kind === 'duct' || way.kind === 'direct burial';
  return (
    <>
      <h2 className="text-lg font-bold">{way.name}</h2>
      <Rows
        rows={[
          ['Length', <FigureText key="l" figure={length} />],
          ['Up', `${riseM < 0 ? '−' : ''}${formatFigure({ ...length, value: Math.abs(riseM) }, units)}`],
          ['Weight of its cables', <FigureText key="w" figure={sheet.weight} />],
          ...(sheet.wind
            ? [['Area in the wind', <FigureText key="a" figure={sheet.wind.area} />] as const]
            : []),
          ...(sheet.wind?.push
            ? [['Push of the wind', <FigureText key="p" figure={sheet.wind.push} />] as const]
            : []),
        ]}
      />
      {sheet.fill && way.duct && (
        <DuctPart sheet={sheet} duct={way.duct} onChange={(duct) => put({ duct })} />
      )}
      <SiteProblems snags={snags.filter(({ at }) => at === way.id)} change={change} />
      <Pulls sheet={sheet} site={site} jobId={jobId} />
      <h3 className="mt-5 font-bold">Cables in it</h3>
      {cables.length === 0 ? (
        <p className="text-muted">None: no run’s route uses it.</p>
      ) : (
        <ul>
          {cables.map(({ runId, run, label, cable }) => (
            <li key={runId} className="border-b border-rule py-1">
              {run}
              <span className="block text-sm text-muted">
                {label}, {cable.name}
              </span>
            </li>
          ))}
        </ul>
      )}
      <h3 className="mt-5 mb-2 font-bold">What it is</h3>
      <div className="grid gap-3">
        <TextField label="Name" value={way.name} maxLength={80} onChange={(name) => put({ name })} />
        <Choice
          label="Kind"
          value={way.kind}
          options={legKinds.map((kind) => ({ value: kind, label: kind }))}
          onChange={(kind) => replace(ofKind(way, kind as LegKind))}
        />
        <div className="grid grid-cols-2 gap-2">
          <Choice
            label="From"
            value={way.from}
            options={points}
            onChange={(from) => put(from === way.to ? { from, to: way.from } : { from })}
          />
          <Choice
            label="To"
            value={way.to}
            options={points}
            onChange={(to) => put(to === way.from ? { from: way.to, to } : { to })}
          />
          <RunLengthField
            allowZero
            label="Measured length"
            valueM={way.lengthM}
            placeholder="along its points"
            onChange={(lengthM) => (lengthM > 0 ? put({ lengthM }) : clear('lengthM'))}
            onClear={() => clear('lengthM')}
          />
          {isInGround && (
            <RunLengthField
              allowZero
              label="Depth"
              valueM={way.depthM}
              placeholder="not known"
              onChange={(depthM) => put({ depthM })}
              onClear={() => clear('depthM')}
            />
          )}
          {!isInGround && (
            <RunLengthField
              allowZero
              label="Supports every"
              valueM={way.supportM}
              placeholder="by the cable"
              onChange={(supportM) => (supportM > 0 ? put({ supportM }) : clear('supportM'))}
              onClear={() => clear('supportM')}
            />
          )}
          {way.kind === 'aerial' && (
            <>
              <RunLengthField
                allowZero
                label="Sag"
                valueM={way.sagM}
                placeholder="3 % of the span"
                onChange={(sagM) => (sagM > 0 ? put({ sagM }) : clear('sagM'))}
                onClear={() => clear('sagM')}
              />
            </>
          )}
          {inTheWind.includes(way.kind) && (
            <>
              <RunLengthField
                allowZero
                label="Ice on it"
                valueM={way.iceMm === undefined ? undefined : way.iceMm / 1000}
                placeholder="none"
                onChange={(metres) => put({ iceMm: metres * 1000 })}
                onClear={() => clear('iceMm')}
              />
              <QuantityField
                label="Wind to reckon with"
                value={way.windMps}
                placeholder="none"
                format={(mps) => formatSpeed(mps, units)}
                parse={(text) => parseSpeed(text, units)}
                onChange={(windMps) => put({ windMps })}
                onClear={() => clear('windMps')}
              />
            </>
          )}
        </div>
        <fieldset>
          <legend className="text-sm text-muted">Conditions</legend>
          <div className="grid grid-cols-2">
            {conditions.map((one) => (
              <Tick
                key={one}
                label={one}
                checked={way.conditions.includes(one)}
                onChange={(on) => put({ conditions: withCondition(way.conditions, one, on) })}
              />
            ))}
          </div>
        </fieldset>
        <Bends bends={way.bends} lengthM={length.value} onChange={(bends) => put({ bends })} />
        <BesideFields beside={way.beside} onChange={(beside) => put({ beside })} />
      </div>
      <button
        className="button mt-5"
        onClick={() => {
          change([{ op: 'remove way', id: way.id }]);
          onSelect(undefined);
          toast(`${way.name} deleted`, { description: 'Ctrl Z brings it back.' });
        }}
      >
        <Trash2 size={16} aria-hidden /> Delete this way
      </button>
    </>
  );
}

const withCondition = (all: readonly Condition[], one: Condition, on: boolean): Condition[] =>
  on ? [...all, one] : all.filter((other) => other !== one);

/** A duct has a bore, and what is no duct has none. */
function ofKind({ duct, ...way }: Way, kind: LegKind): Way {
  if (kind !== 'duct') return { ...way, kind };
  return { ...way, kind, duct: duct ?? { ...unseenDuct } };
}
