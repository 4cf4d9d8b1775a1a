import {
  bondJoints,
  bondMethods,
  formatWireSize,
  joinNeeds,
  metals,
  parseCount,
  parseWireSize,
  usedParts,
  type Bond,
  type BondJoint,
  type BondSheet,
  type Figure,
  type GroundSheet,
  type Metal,
  type Site,
  type SiteChange,
  type SiteSnag,
} from '@kobran/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { Choice } from '../../../ui/Choice.js';
import { now, sayDay, today } from '../../../ui/dates.js';
import { FigureText } from '../../../ui/FigureText.js';
import { LengthField, RunLengthField } from '../../../ui/LengthField.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { QuantityField } from '../../../ui/QuantityField.js';
import { Rows } from '../../../ui/Rows.js';
import { SignedBy } from '../../../ui/SignedBy.js';
import { Tick } from '../../../ui/Tick.js';
import { SiteProblems } from '../SiteProblems.js';
import { GroundPhotos } from './GroundPhotos.js';
import { Readings } from './Readings.js';

interface Props {
  sheet: BondSheet;
  ground: GroundSheet;
  site: Site;
  snags: readonly SiteSnag[];
  change: (changes: readonly SiteChange[]) => void;
  onSelect: (id: string | undefined) => void;
}

/** A figure, or that nobody knows it. */
const known = (figure: Figure | undefined): ReactNode =>
  figure ? <FigureText figure={figure} /> : 'not known';

/** One conductor: its size, its way, and the volts along it. */
export function BondInspector({ sheet, ground, site, snags, change, onSelect }: Props): ReactNode {
  const { bond, from, to } = sheet;
  const replace = (next: Bond): void => change([{ op: 'put bond', bond: next }]);
  const put = (over: Partial<Bond>): void => replace({ ...bond, ...over });
  const { lengthM: _, ...unmeasured } = bond;
  const { bareDepthM: _depth, ...notBare } = bond;
  const parts = ground.nodes.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <>
      <h2 className="text-lg font-bold">
        {from.name} to {to.name}
      </h2>
      {bond.joint === 'mounted' ? (
        <p className="text-muted">Screwed on without a conductor.</p>
      ) : (
        <Rows
          rows={[
            ['Length', known(sheet.length)],
            ['Volts along it, first stroke', known(sheet.first)],
            ['Subsequent stroke', known(sheet.subsequent)],
            ['One metre more costs', <FigureText key="m" figure={sheet.perMetre} />],
            ['One tight bend costs', <FigureText key="b" figure={sheet.perBend} />],
            ['Inductance', known(sheet.inductance)],
          ]}
        />
      )}
      <SiteProblems snags={snags.filter(({ at }) => at === bond.id)} change={change} />
      <div className="mt-4">
        <SignedBy />
      </div>
      <Joined sheet={sheet} ground={ground} replace={replace} />
      <GroundPhotos about={bond.id} of={`${from.name} to ${to.name}`} site={site} change={change} />
      <h3 className="mt-5 mb-2 font-bold">What it is</h3>
      <div className="grid gap-3">
        <div className="grid grid-cols-2 gap-2">
          <Choice
            label="From"
            value={bond.from}
            options={parts}
            onChange={(id) => put(id === bond.to ? { from: id, to: bond.from } : { from: id })}
          />
          <Choice
            label="To"
            value={bond.to}
            options={parts}
            onChange={(id) => put(id === bond.from ? { from: bond.to, to: id } : { to: id })}
          />
          <Choice
            label="Joined by"
            value={bond.joint}
            options={bondJoints.map((joint) => ({
              value: joint,
              label: joint === 'mounted' ? 'screwed on, no conductor' : joint,
            }))}
            onChange={(joint) => put({ joint: joint as BondJoint })}
          />
          {bond.joint !== 'mounted' && (
            <RunLengthField
              allowZero
              label="Measured length"
              valueM={bond.lengthM}
              placeholder="between its points"
              onChange={(lengthM) => put({ lengthM })}
              onClear={() => replace(unmeasured)}
            />
          )}
          {bond.joint !== 'mounted' && (
            <RunLengthField
              allowZero
              label="Bare in the soil, how deep"
              valueM={bond.bareDepthM}
              placeholder="not in the soil"
              onChange={(bareDepthM) => put({ bareDepthM })}
              onClear={() => replace(notBare)}
            />
          )}
        </div>
        {bond.joint !== 'mounted' && <SizeFields bond={bond} put={put} />}
        <Tick
          label="Bimetal part, or grease against corrosion"
          checked={bond.bimetal}
          onChange={(bimetal) => put({ bimetal })}
        />
      </div>
      {bond.joint !== 'mounted' && (
        <Readings kind="bond" about={bond.id} methods={bondMethods} site={site} change={change} />
      )}
      <button
        className="button mt-5"
        onClick={() => {
          change([{ op: 'remove bond', id: bond.id }]);
          onSelect(undefined);
          toast('Conductor deleted', { description: 'Ctrl Z brings it back.' });
        }}
      >
        <Trash2 size={16} aria-hidden /> Delete this conductor
      </button>
    </>
  );
}

/** Is it made? Who says so, and when. */
function Joined({
  sheet,
  ground,
  replace,
}: Pick<Props, 'sheet' | 'ground'> & { replace: (bond: Bond) => void }): ReactNode {
  const { bond } = sheet;
  const { name } = usePreferences();
  const { made, ...open } = bond;
  if (made)
    return (
      <p className="mt-2 flex flex-wrap items-center justify-between gap-2">
        <span>
          <strong>Joined</strong>, {made.by}, {sayDay(made.on)}
        </span>
        <button className="button" onClick={() => replace(open)}>
          Not joined any more
        </button>
      </p>
    );
  return (
    <p className="mt-2">
      <button
        className="button button-primary"
        disabled={name === ''}
        onClick={() =>
          replace({
            ...bond,
            made: { by: name, on: today(), at: now(), used: usedParts(joinNeeds(sheet, { ground })) },
          })
        }
      >
        Mark as joined
      </button>
    </p>
  );
}

/** Round by its area, or a strap by width and thickness. */
function SizeFields({ bond, put }: { bond: Bond; put: (over: Partial<Bond>) => void }): ReactNode {
  const { units } = usePreferences();
  const { section } = bond;
  return (
    <div className="grid grid-cols-2 gap-2">
      <Choice
        label="Shape"
        value={'areaMm2' in section ? 'round' : 'strap'}
        options={[
          { value: 'round', label: 'round' },
          { value: 'strap', label: 'flat strap' },
        ]}
        onChange={(shape) =>
          put({ section: shape === 'round' ? { areaMm2: 16 } : { widthMm: 50, thicknessMm: 1 } })
        }
      />
      {'areaMm2' in section ? (
        <QuantityField
          label="Size"
          value={section.areaMm2}
          format={(mm2) => formatWireSize(mm2, units)}
          parse={parseWireSize}
          onChange={(areaMm2) => put({ section: { areaMm2 } })}
        />
      ) : (
        <>
          <LengthField
            label="Width"
            valueM={section.widthMm / 1000}
            onChange={(metres) => put({ section: { ...section, widthMm: metres * 1000 } })}
          />
          <LengthField
            label="Thickness"
            valueM={section.thicknessMm / 1000}
            onChange={(metres) => put({ section: { ...section, thicknessMm: metres * 1000 } })}
          />
        </>
      )}
      <Choice
        label="Metal"
        value={bond.metal}
        options={metals.map((metal) => ({
          value: metal,
          label: metal === 'zinc' ? 'zinc, galvanised' : metal,
        }))}
        onChange={(metal) => put({ metal: metal as Metal })}
      />
      <QuantityField
        label="Side by side"
        value={bond.parallel}
        format={String}
        parse={(text) => parseCount(text, 1, 12)}
        onChange={(parallel) => put({ parallel })}
      />
      <QuantityField
        label="Tight bends"
        value={bond.sharpBends}
        format={String}
        parse={(text) => parseCount(text, 0, 40)}
        onChange={(sharpBends) => put({ sharpBends })}
        hint="tighter than 200 mm"
      />
    </div>
  );
}
