import {
  formatFigure,
  formatResistance,
  formatSpread,
  latestReading,
  lowerFirst,
  parseDecibels,
  parseResistance,
  stageHeadline,
  type ProofSheet,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { FigureText } from '../../ui/FigureText.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { soundResistance } from '../../ui/sound.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { StagePage } from '../../ui/StagePage.js';
import { PowerSteps } from './PowerSteps.js';
import { ReadIt } from './ReadIt.js';
import { Sweeps } from './Sweeps.js';
import { Withdraw } from './Withdraw.js';
import { WholeRun } from './WholeRun.js';
import { sayMoment } from '../../ui/dates.js';

const tone = { pass: 'text-lake', marginal: 'text-caution', fail: 'text-stop' };

/** Expected against read, assembly by assembly, with a verdict in words beside each reading. */
export function ProveScreen(): ReactNode {
  const { sheet, editor, practice, id } = useOpenRun();
  const { units } = usePreferences();
  return (
    <StagePage
      headline={stageHeadline('prove', sheet, editor.design, units)}
      reason="Read each assembly on its own, before it is joined. A good SWR is never a pass: a wet cable looks better than a dry one."
    >
      {editor.design.antenna.dcShort && (
        <p className="mb-3">
          With the antenna connected the run reads a short at direct current; {editor.design.antenna.name}{' '}
          joins pin and shell by design.
        </p>
      )}
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div className="w-full max-w-xs">
          <SignedBy crew={practice.crew ?? []} />
        </div>
        <Link className="underline underline-offset-4 hover:decoration-2" to={`/runs/${id}/rehearse`}>
          Rehearse: find a hidden fault in this run
        </Link>
      </div>
      {sheet.proofs.map((proof) => (
        <Proof key={proof.pieceId} proof={proof} />
      ))}
      <WholeRun />
      <PowerSteps />
      <Sweeps />
    </StagePage>
  );
}

/** How many of the same were read; of one alone, nothing. */
const CopiesRead = ({ read, of }: { read: number; of: number }): ReactNode =>
  of > 1 && (
    <p className="text-sm">
      {read} of {of} read; the last one stands here
    </p>
  );

function Proof({ proof }: { proof: ProofSheet }): ReactNode {
  const { writer, facts } = useOpenRun();
  const { units, sound } = usePreferences();
  return (
    <section className="mt-5" aria-label={proof.name}>
      <h2 className="text-lg font-bold">{proof.name}</h2>
      {proof.copies > 1 && (
        <p className="text-muted">{proof.copies} of the same: each is read, one after the other.</p>
      )}
      <ul className="divide-y divide-rule border-y border-rule">
        {proof.expectations.map((expectation) => {
          const { id, name, how, expected, judgement, copiesRead } = expectation;
          const kept = latestReading(facts, proof.pieceId, id);
          const isOhm = expected.unit === 'ohm';
          return (
            <li
              key={id}
              className="grid items-start gap-x-6 gap-y-2 py-3 sm:grid-cols-2 lg:grid-cols-[minmax(0,1.2fr)_11rem_11rem_minmax(0,1.2fr)]"
            >
              <div>
                <h3 className="font-semibold">{name}</h3>
                <p className="text-sm text-muted">{how}</p>
                <CopiesRead read={copiesRead} of={proof.copies} />
              </div>
              <div>
                <p className="mb-1 text-sm text-muted">Expected</p>
                <p className="pt-1.5">
                  <FigureText figure={expected} />{' '}
                  <span className="figures inline-block text-sm whitespace-nowrap text-muted">
                    {expected.value === Infinity
                      ? 'above 100 MΩ'
                      : isOhm
                        ? `at most ${formatResistance(expectation.most)}`
                        : formatSpread(expected, units)}
                  </span>
                </p>
              </div>
              <div>
                <QuantityField
                  key={kept?.id ?? 'none'}
                  label="Read"
                  value={kept ? (kept.value ?? Infinity) : undefined}
                  format={(value) => formatFigure({ ...expected, value }, units)}
                  parse={isOhm ? parseResistance : parseDecibels}
                  placeholder={
                    expectation.test === 'insulation' ? 'OL, 200 Mohm' : isOhm ? '0.3 ohm' : '1.8 dB'
                  }
                  onChange={(value) => {
                    if (sound && isOhm) soundResistance(value);
                    writer.add({
                      kind: 'reading',
                      pieceId: proof.pieceId,
                      expectation: id,
                      value: value === Infinity ? null : value,
                    });
                  }}
                />
                <ReadIt pieceId={proof.pieceId} expectation={expectation} />
              </div>
              <div role="status">
                {judgement && (
                  <p className={tone[judgement.verdict]}>
                    <strong className="capitalize">{judgement.verdict}. </strong>
                    {judgement.why}
                  </p>
                )}
                {kept && (
                  <p className="text-sm text-muted">
                    {kept.by ? `${kept.by}, ` : ''}
                    {sayMoment(kept.at)}
                  </p>
                )}
                {kept && <Withdraw key={kept.id} fact={kept} name={`${lowerFirst(name)}, ${proof.name}`} />}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
