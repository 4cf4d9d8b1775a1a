import {
  formatLength,
  freshId,
  hangNeeds,
  legKindIn,
  legKinds,
  parseLength,
  stageHeadline,
  survey,
  usedParts,
  zones,
  type Leg,
  type LegKind,
  type UsedPart,
  type Zone,
} from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { FigureText } from '../../ui/FigureText.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { StagePage } from '../../ui/StagePage.js';
import { SnagDetail } from '../../frame/SnagDetail.js';
import { TextField } from '../../ui/TextField.js';
import { DoneButton } from '../../frame/DoneButton.js';
import { RouteOnSite } from './RouteOnSite.js';
import { RouteStrip } from './RouteStrip.js';
import { RunLengthField } from '../../ui/LengthField.js';

/** Legs from the radio to the antenna: lengths, slack and zones follow from them. */
export function RouteScreen(): ReactNode {
  const { sheet, editor, place } = useOpenRun();
  const { units } = usePreferences();
  const { legs } = editor.design;
  const { route } = sheet;
  const [asked] = useSearchParams();
  const [choosing, setChoosing] = useState(asked.has('from'));
  const [pointed, point] = useState<number>();
  const hung = useHung();
  // A run whose site is not here shows the legs it had there.
  const onWays = place !== undefined && (editor.design.route !== undefined || choosing);
  const set = (next: Leg[]): void => editor.change([{ op: 'set legs', legs: next }]);
  const add = (): void =>
    set([
      ...legs,
      {
        id: freshId(legs, 'leg'),
        name: `leg ${legs.length + 1}`,
        kind: 'indoor tray',
        zone: legs.at(-1)?.zone ?? 'dry',
        lengthM: 2,
        slackM: 0,
      },
    ]);
  const move = (k: number, by: number): void => {
    const next = [...legs];
    [next[k], next[k + by]] = [next[k + by], next[k]];
    set(next);
  };
  return (
    <StagePage
      headline={stageHeadline('route', sheet, editor.design, units)}
      reason={
        legs.length > 0
          ? undefined
          : 'Enter the legs in order from the radio. Each gives its length, its slack and the zone of the joints in it.'
      }
    >
      {legs.length > 0 && <RouteStrip pointed={pointed} onPoint={point} />}
      {legs.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-x-5">
          <span>
            Legs <FigureText figure={route.legs} />
          </span>
          <span>
            Slack <FigureText figure={route.slack} />
          </span>
          <span>
            Spare <FigureText figure={route.remakes} />
          </span>
          <span>
            In all <FigureText figure={route.total} className="font-bold" />
          </span>
        </p>
      )}
      {sheet.snags
        .filter(({ stage }) => stage === 'route')
        .map((snag) => (
          <SnagDetail key={snag.id} snag={snag} />
        ))}
      {onWays ? (
        <RouteOnSite site={place} pointed={pointed} onPoint={point} />
      ) : (
        <ol className="mt-4 divide-y divide-rule border-y border-rule">
          {legs.map((leg, k) => (
            <LegRow
              key={leg.id}
              leg={leg}
              index={k}
              count={legs.length}
              onChange={(to) => set(legs.map((old, at) => (at === k ? to : old)))}
              onRemove={() => set(legs.toSpliced(k, 1))}
              onMove={(by) => move(k, by)}
            />
          ))}
        </ol>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        {!onWays && (
          <button className="button" onClick={add}>
            <Plus size={16} aria-hidden /> Add a leg
          </button>
        )}
        {!onWays && (place?.ways.length ?? 0) > 0 && (
          <button className="button" onClick={() => setChoosing(true)}>
            Choose ways of the site
          </button>
        )}
        {legs.length > 0 && (
          <DoneButton fact={{ kind: 'installed', ...hung }} label="Mark as installed" done="Installed" />
        )}
      </div>
    </StagePage>
  );
}

/** Clips, hangers and grips which leave the shelf when the run is hung; the site knows them. */
function useHung(): { used?: UsedPart[] } {
  const { id, editor, sheet, practice, place } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  return useMemo(() => {
    if (!place) return {};
    const run = { id, design, sheet, installed: false };
    const site = survey(place, [run], catalog, practice.codeProfiles);
    return { used: usedParts(hangNeeds(id, site).flatMap(({ needs }) => needs)) };
  }, [id, design, sheet, place, catalog, practice.codeProfiles]);
}

function LegRow({
  leg,
  index,
  count,
  onChange,
  onRemove,
  onMove,
}: {
  leg: Leg;
  index: number;
  count: number;
  onChange: (leg: Leg) => void;
  onRemove: () => void;
  onMove: (by: 1 | -1) => void;
}): ReactNode {
  const { units } = usePreferences();
  return (
    <li
      aria-label={leg.name}
      className="grid items-start gap-3 py-3 sm:grid-cols-3 xl:grid-cols-[minmax(0,1.4fr)_minmax(0,1.2fr)_minmax(0,1fr)_6.5rem_6rem_6.5rem_auto]"
    >
      <TextField
        label="Leg"
        value={leg.name}
        maxLength={80}
        onChange={(name) => onChange({ ...leg, name })}
      />
      <Choice
        label="Kind"
        value={leg.kind}
        options={legKinds.map((kind) => ({ value: kind, label: kind }))}
        onChange={(kind) => onChange({ ...leg, kind: kind as LegKind })}
      />
      <Choice
        label="Zone"
        value={leg.zone}
        options={zones.map((zone) => ({ value: zone, label: zone }))}
        onChange={(zone) => onChange({ ...leg, zone: zone as Zone, kind: legKindIn(zone as Zone, leg.kind) })}
      />
      <RunLengthField
        label="Length"
        valueM={leg.lengthM}
        digits={2}
        onChange={(lengthM) => onChange({ ...leg, lengthM })}
      />
      <RunLengthField
        label="Slack"
        valueM={leg.slackM}
        digits={2}
        allowZero
        onChange={(slackM) => onChange({ ...leg, slackM })}
      />
      <QuantityField
        label="Tightest bend"
        value={leg.bendRadiusMm === undefined ? undefined : leg.bendRadiusMm / 1000}
        placeholder="none"
        format={(metres) => formatLength(metres, { system: units, small: true, digits: 0, fraction: 16 })}
        parse={(text) => parseLength(text, { unit: units === 'metric' ? 'mm' : 'in', allowZero: true })}
        onChange={(metres) => onChange(withBend(leg, metres))}
      />
      <div className="flex gap-1 pt-6">
        <button
          className="button px-2"
          aria-label={`Move ${leg.name} towards the radio`}
          disabled={index === 0}
          onClick={() => onMove(-1)}
        >
          ↑
        </button>
        <button
          className="button px-2"
          aria-label={`Move ${leg.name} towards the antenna`}
          disabled={index === count - 1}
          onClick={() => onMove(1)}
        >
          ↓
        </button>
        <button className="button px-2" aria-label={`Take ${leg.name} out`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden />
        </button>
      </div>
    </li>
  );
}

/** The radius of the leg’s tightest bend, m; nothing is no bend. */
function withBend({ bendRadiusMm: _, ...leg }: Leg, metres: number): Leg {
  return metres === 0 ? leg : { ...leg, bendRadiusMm: Math.round(metres * 1000) };
}
