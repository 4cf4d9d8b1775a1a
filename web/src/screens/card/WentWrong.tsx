import { shorten, type EndSheet } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { useWords } from '../../ui/Preferences.js';
import { LengthField } from '../../ui/LengthField.js';
import { Window } from '../../ui/Window.js';

const tone = { fine: 'text-lake', caution: 'text-caution', stop: 'text-stop' };

/** A failed end is logged with its cause and the cable it cost; the run is evaluated again and the card begins anew. */
export function WentWrong({
  open,
  end,
  causes,
  lostM: proposedM,
  onClose,
  onFailed,
  onDeviation,
}: {
  open: boolean;
  end: EndSheet;
  causes: readonly string[];
  /** What a failure at this step usually costs, m. */
  lostM: number;
  onClose: () => void;
  onFailed: (cause: string, lostM: number) => void;
  onDeviation: (what: string) => void;
}): ReactNode {
  return (
    <Window
      title="What went wrong?"
      description="The cause goes into the log. Begin again, or note it and go on."
      open={open}
      onOpenChange={(to) => !to && onClose()}
      wide
    >
      {open && (
        <FailureForm
          end={end}
          causes={causes}
          proposedM={proposedM}
          onFailed={onFailed}
          onDeviation={onDeviation}
        />
      )}
    </Window>
  );
}

function FailureForm({
  end,
  causes,
  proposedM,
  onFailed,
  onDeviation,
}: {
  end: EndSheet;
  causes: readonly string[];
  proposedM: number;
  onFailed: (cause: string, lostM: number) => void;
  onDeviation: (what: string) => void;
}): ReactNode {
  const { editor, facts, practice } = useOpenRun();
  const catalog = useCatalog();
  const words = useWords();
  const [cause, setCause] = useState('');
  const [lostM, setLostM] = useState(proposedM);
  const [asked, setAsked] = useState(false);
  const { verdict } = shorten(editor.design, catalog, { pieceId: end.pieceId, lostM }, { facts, practice });
  const what = cause.trim();
  const give = (to: () => void) => (): void => {
    setAsked(true);
    if (what !== '') to();
  };
  return (
    <div className="mt-3">
      <fieldset className="grid gap-2">
        <legend className="sr-only">Cause</legend>
        {causes.map((one) => (
          <label
            key={one}
            className={`flex min-h-11 cursor-pointer items-center gap-3 rounded border-2 bg-paper px-3 py-1 ${cause === one ? 'border-copper' : 'border-rule'}`}
          >
            <input
              type="radio"
              name="cause"
              className="size-5 accent-ink"
              checked={cause === one}
              onChange={() => setCause(one)}
            />
            {words(one)}
          </label>
        ))}
        <input
          className="field min-h-11"
          aria-label="Another cause"
          placeholder="Another cause"
          maxLength={300}
          value={causes.includes(cause) ? '' : cause}
          onChange={({ target }) => setCause(target.value)}
        />
      </fieldset>
      {asked && what === '' && (
        <p role="alert" className="mt-2 font-bold text-stop">
          Choose a cause or type one: the shop learns from it.
        </p>
      )}
      <div className="mt-3 grid gap-x-6 gap-y-2 sm:grid-cols-[13rem_minmax(0,1fr)]">
        <LengthField label="Cable cut off to begin again" valueM={lostM} onChange={setLostM} />
        <p className={`self-end font-semibold ${tone[verdict.level]}`} role="status">
          {lostM > 0 ? verdict.text : 'Nothing is cut off: the length stays as it is.'}
        </p>
      </div>
      <div className="mt-4 flex flex-wrap gap-3">
        <button className="button button-primary min-h-11" onClick={give(() => onFailed(what, lostM))}>
          Log the failure, begin again
        </button>
        <button className="button min-h-11" onClick={give(() => onDeviation(what))}>
          Only note it, go on
        </button>
      </div>
    </div>
  );
}
