import {
  cutBack,
  damageKinds,
  damages,
  formatFigure,
  formatLength,
  cardFor,
  shorten,
  type DamageKind,
  type EndSheet,
  type Shortened,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Chips } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { Message } from '../../ui/Message.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { Caution, StagePage } from '../../ui/StagePage.js';

/** This cable is damaged at the end: how much to cut back, and what that does to length, phase and loss. */
export function RepairScreen(): ReactNode {
  const { endId = '' } = useParams();
  const { sheet, id } = useOpenRun();
  const end = sheet.ends.find((one) => one.id === endId);
  if (!end)
    return (
      <Message
        title="This end is not in the run any more"
        action={{ label: 'Back to Make', to: `/runs/${id}/make` }}
      />
    );
  return <Repair key={end.id} end={end} />;
}

function Repair({ end }: { end: EndSheet }): ReactNode {
  const { id, editor, facts, practice, writer } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const navigate = useNavigate();
  const [kind, setKind] = useState<DamageKind>('crushed');
  const [damagedM, setDamagedM] = useState(0.1);
  const [typedM, setTypedM] = useState<number>();
  const proposed = cutBack(kind, damagedM, end.part, end.gauge);
  const lostM = typedM ?? proposed.lostM;
  const result = shorten(editor.design, catalog, { pieceId: end.pieceId, lostM }, { facts, practice });
  const small = (metres: number): string => formatLength(metres, { system: units, small: true });

  function takeIt(): void {
    writer.add({
      kind: 'damaged',
      endId: end.id,
      end: {
        part: end.part.id,
        cable: end.cable.id,
        recipe: cardFor(end.part, end.cable, 'metric')?.recipe ?? end.part.style,
        work: 're-end',
        cause: damages[kind].label,
        lostM,
      },
    });
    if (result.change) editor.change([result.change]);
    void navigate(`/runs/${id}/make/${end.id}?work=re-end`);
  }

  return (
    <StagePage
      headline={
        result.after
          ? `Cut ${small(proposed.cutAtM)} off; ${end.name} is then ${small(lostM)} shorter`
          : `Nothing would be left of ${end.name.split(',')[0]}`
      }
      reason={damages[kind].look}
    >
      <div className="grid max-w-4xl gap-6 lg:grid-cols-2">
        <section>
          <h2 className="font-bold">What happened to {end.name}?</h2>
          <div className="mt-2">
            <Chips
              stacked
              legend="Damage"
              value={kind}
              options={damageKinds.map((one) => [one, damages[one].label] as const)}
              onChange={(to) => {
                setKind(to);
                setTypedM(undefined);
              }}
            />
          </div>
          <div className="mt-3 grid grid-cols-2 items-end gap-4">
            <LengthField
              label="Damaged, from the plug’s front"
              valueM={damagedM}
              onChange={(to) => {
                setDamagedM(to);
                setTypedM(undefined);
              }}
            />
            <LengthField label="Finished length lost" valueM={lostM} onChange={setTypedM} />
          </div>
          <p className="mt-1 text-sm text-muted">
            Cut at {small(proposed.cutAtM)} from the plug’s front: the damage, and{' '}
            {small(damages[kind].beyondM)} beyond it. If you had to cut further, type the length lost.
          </p>
        </section>
        <section>
          <h2 className="font-bold">What it does to the run</h2>
          <BeforeAfter result={result} />
          <p
            role="status"
            className={`mt-3 font-semibold ${{ fine: 'text-lake', caution: 'text-caution', stop: 'text-stop' }[result.verdict.level]}`}
          >
            {result.verdict.text}
          </p>
        </section>
      </div>
      <div className="mt-4 max-w-4xl">
        <Caution>
          Radio off and cable unplugged at both ends before the first cut. A cable that was hit by lightning,
          or that goes up a mast in a storm, is left alone.
        </Caution>
        <div className="mt-4 flex flex-wrap items-end gap-4">
          <div className="w-56">
            <SignedBy crew={practice.crew ?? []} />
          </div>
          <button className="button button-primary min-h-11" disabled={!result.after} onClick={takeIt}>
            Log the damage, shorten the cable, open the card
          </button>
        </div>
      </div>
    </StagePage>
  );
}

function BeforeAfter({ result: { before, after } }: { result: Shortened }): ReactNode {
  const { units } = usePreferences();
  const row = (name: string, of: (standing: Shortened['before']) => string): ReactNode => (
    <tr className="border-t border-rule">
      <th scope="row" className="py-1 pr-4 text-left font-normal text-muted">
        {name}
      </th>
      <td className="figures py-1 pr-4 text-right">{of(before)}</td>
      <td className="figures py-1 text-right font-semibold">{after ? of(after) : '–'}</td>
    </tr>
  );
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="text-sm text-muted">
          <th scope="col">
            <span className="sr-only">What</span>
          </th>
          <th scope="col" className="pr-4 text-right font-normal">
            now
          </th>
          <th scope="col" className="text-right font-normal">
            after
          </th>
        </tr>
      </thead>
      <tbody>
        {row('Length', ({ length }) => formatLength(length.value, { system: units, digits: 3 }))}
        {row('Electrical length', ({ degrees }) => formatFigure(degrees, units))}
        {row('As time', ({ delayNs }) => `${delayNs.toFixed(2)} ns`)}
        {row('Loss of this cable', ({ loss }) => formatFigure(loss, units))}
        {row('Spare for re-terminating, times', ({ slack }) =>
          slack ? (slack.spareM < 0 ? 'does not reach' : String(slack.remakes)) : 'no legs yet',
        )}
        {row('… with the loops given up', ({ slack }) => (slack ? String(slack.remakesWithLoops) : '–'))}
      </tbody>
    </table>
  );
}
