import { counted, documentHash, signedState, signOffProblem } from '@kobran/core';
import { Check } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { sayDay } from '../../ui/dates.js';
import { usePreferences } from '../../ui/Preferences.js';
import { SignedBy } from '../../ui/SignedBy.js';

/** Signing off: a stop refuses it, open stages ask for a reason, and somebody has to sign; a change since asks for another signature. */
export function SignOff({ open }: { open: number }): ReactNode {
  const { sheet, editor, facts, practice, writer } = useOpenRun();
  const { name } = usePreferences();
  const [reason, setReason] = useState('');
  const { design } = editor;
  const { revision, changed, missing, signers } = signedState(design, facts, practice);
  const problem = signOffProblem(sheet, { by: name, reason, signers });
  const stopped = problem?.code === 'handover.stop';
  if (revision && !changed && missing === 0)
    return (
      <p className="mt-4 flex min-h-9 items-center gap-2 font-semibold text-lake">
        <Check size={18} aria-hidden /> Handed over
        <span className="font-normal text-muted">
          {revision.signed.map(({ by, at }) => `${by === '' ? 'unsigned' : by}, ${sayDay(at)}`).join('; ')}
        </span>
      </p>
    );
  const sign = (): void => {
    writer.add({
      kind: 'handed over',
      design: documentHash(design),
      problems: counted(sheet.snags),
      ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
    });
    setReason('');
  };
  return (
    <section aria-label="Sign off" className="mt-4">
      {revision && (
        <p className="mb-2 font-semibold">
          {changed
            ? `Changed since revision ${revision.number}: what stands now is not signed.`
            : `Signed by ${signers.join(' and ')}; a second person signs too.`}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-48">
          <SignedBy />
        </div>
        {open > 0 && !stopped && (
          <div className="min-w-64 flex-1">
            <label htmlFor="reason" className="mb-1 block text-sm text-muted">
              Why it is handed over with {open} {open === 1 ? 'stage' : 'stages'} open
            </label>
            <input
              id="reason"
              className="field"
              maxLength={500}
              value={reason}
              onChange={({ target }) => setReason(target.value)}
            />
          </div>
        )}
        <button className="button button-primary" disabled={problem !== undefined} onClick={sign}>
          Sign off and hand over
        </button>
      </div>
      {problem && (
        <p className={`mt-2 ${stopped ? 'font-semibold text-stop' : 'text-muted'}`}>
          {problem.message} {problem.remedy}
        </p>
      )}
    </section>
  );
}
