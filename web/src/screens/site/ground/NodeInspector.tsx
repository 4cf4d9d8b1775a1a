import {
  earthMethods,
  groundNodeKinds,
  metals,
  type GroundNode,
  type GroundNodeKind,
  type GroundSheet,
  type Metal,
  type NodeSheet,
  type Site,
  type SiteChange,
  type SiteSnag,
} from '@kobran/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { Choice } from '../../../ui/Choice.js';
import { FigureText } from '../../../ui/FigureText.js';
import { LengthField, RunLengthField } from '../../../ui/LengthField.js';
import { useWords } from '../../../ui/Preferences.js';
import { Rows } from '../../../ui/Rows.js';
import { SignedBy } from '../../../ui/SignedBy.js';
import { TextField } from '../../../ui/TextField.js';
import { SiteProblems } from '../SiteProblems.js';
import { ofKind } from './newGround.js';
import { GroundPhotos } from './GroundPhotos.js';
import { Readings } from './Readings.js';

interface Props {
  node: NodeSheet;
  ground: GroundSheet;
  site: Site;
  runs: readonly { id: string; name: string }[];
  snags: readonly SiteSnag[];
  change: (changes: readonly SiteChange[]) => void;
  onSelect: (id: string | undefined) => void;
}

/** One part of the ground: what it is, where, and what it is tied to. */
export function NodeInspector(props: Props): ReactNode {
  const { node, ground, snags, change, onSelect } = props;
  const beside = ground.bonds.filter(({ from, to }) => from.id === node.id || to.id === node.id);
  return (
    <>
      <h2 className="text-lg font-bold">{node.name}</h2>
      <Rows
        rows={[
          [
            'Tied to the system',
            node.isElectrode && node.tied ? 'it is an electrode' : node.tied ? 'yes' : 'no',
          ],
          ...(node.volts
            ? [['Above the soil, first stroke', <FigureText key="v" figure={node.volts} />] as const]
            : []),
          ...(node.ohm ? [['To earth, alone', <FigureText key="o" figure={node.ohm} />] as const] : []),
        ]}
      />
      <SiteProblems snags={snags.filter(({ at }) => at === node.id)} change={change} />
      <h3 className="mt-4 font-bold">Conductors here</h3>
      {beside.length === 0 ? (
        <p className="text-muted">None.</p>
      ) : (
        <ul>
          {beside.map(({ bond, from, to }) => (
            <li key={bond.id}>
              <button className="text-left underline underline-offset-4" onClick={() => onSelect(bond.id)}>
                to {from.id === node.id ? to.name : from.name}
              </button>
            </li>
          ))}
        </ul>
      )}
      <GroundPhotos about={node.id} of={node.name} site={props.site} change={change} />
      {node.arrester ? <ArresterPart {...props} /> : node.node && <DrawnPart {...props} drawn={node.node} />}
    </>
  );
}

function ArresterPart({ node: { arrester } }: Props): ReactNode {
  const words = useWords();
  if (!arrester) return null;
  return (
    <>
      <h3 className="mt-4 font-bold">Its run</h3>
      <p>
        {arrester.name}
        {arrester.tubeV === undefined ? ', without a tube' : `, tube of ${arrester.tubeV} V`}
      </p>
      <Link className="underline underline-offset-4" to={`/runs/${arrester.run}/ground`}>
        {words('Ground')} of {arrester.runName}
      </Link>
    </>
  );
}

function DrawnPart({ drawn: node, site, runs, change, onSelect }: Props & { drawn: GroundNode }): ReactNode {
  const replace = (next: GroundNode): void => change([{ op: 'put node', node: next }]);
  const put = (over: Partial<GroundNode>): void => replace({ ...node, ...over });
  const { point: _, ...placeless } = node;
  const cutOff = site.ground.bonds.filter(({ from, to }) => from === node.id || to === node.id).length;
  return (
    <>
      <h3 className="mt-5 mb-2 font-bold">What it is</h3>
      <div className="grid gap-3">
        <TextField label="Name" value={node.name} maxLength={80} onChange={(name) => put({ name })} />
        <Choice
          label="Kind"
          value={node.kind}
          options={groundNodeKinds
            .filter((kind) => kind !== 'ground kit' || runs.length > 0)
            .map((kind) => ({ value: kind, label: kind }))}
          onChange={(kind) => replace(ofKind(node, kind as GroundNodeKind, runs.at(0)?.id))}
        />
        <Choice
          label="Stands at"
          value={node.point ?? ''}
          options={[
            { value: '', label: 'no point of the site' },
            ...site.points.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(point) => (point === '' ? replace(placeless) : put({ point }))}
        />
        <Choice
          label="Surface"
          value={node.metal}
          options={metals.map((metal) => ({
            value: metal,
            label: metal === 'zinc' ? 'zinc, galvanised' : metal,
          }))}
          onChange={(metal) => put({ metal: metal as Metal })}
        />
        {node.electrode && (
          <div className="grid grid-cols-3 gap-2">
            <RunLengthField
              allowZero
              label={node.kind === 'ring' ? 'Across' : node.kind === 'plate' ? 'Side' : 'Length'}
              valueM={node.electrode.lengthM}
              onChange={(lengthM) => node.electrode && put({ electrode: { ...node.electrode, lengthM } })}
            />
            {node.kind !== 'plate' && (
              <LengthField
                label="Diameter"
                valueM={node.electrode.diameterMm / 1000}
                onChange={(metres) =>
                  node.electrode && put({ electrode: { ...node.electrode, diameterMm: metres * 1000 } })
                }
              />
            )}
            <RunLengthField
              allowZero
              label="Depth"
              valueM={node.electrode.depthM}
              onChange={(depthM) => node.electrode && put({ electrode: { ...node.electrode, depthM } })}
            />
          </div>
        )}
        {node.kit && (
          <>
            <Choice
              label="Takes the shield of"
              value={node.kit.run}
              options={runs.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(run) => node.kit && put({ kit: { ...node.kit, run } })}
            />
            <div className="grid grid-cols-2 gap-2">
              {(['fromMm', 'toMm'] as const).map((end) => (
                <LengthField
                  key={end}
                  label={end === 'fromMm' ? 'Jackets from' : 'to'}
                  valueM={(node.kit?.[end] ?? 0) / 1000}
                  onChange={(metres) => node.kit && put({ kit: { ...node.kit, [end]: metres * 1000 } })}
                />
              ))}
            </div>
          </>
        )}
        {node.kind === 'other line' && (
          <TextField
            label="Its protector"
            value={node.protector ?? ''}
            maxLength={80}
            allowEmpty
            onChange={(protector) => put({ protector })}
          />
        )}
      </div>
      <div className="mt-5">
        <SignedBy />
      </div>
      <Readings kind="earth" about={node.id} methods={earthMethods} site={site} change={change} />
      <button
        className="button mt-5"
        onClick={() => {
          change([{ op: 'remove node', id: node.id }]);
          onSelect(undefined);
          toast(`${node.name} deleted`, {
            description: `${cutOff > 0 ? 'Its conductors went with it. ' : ''}Ctrl Z brings it back.`,
          });
        }}
      >
        <Trash2 size={16} aria-hidden /> Delete this part
      </button>
    </>
  );
}
