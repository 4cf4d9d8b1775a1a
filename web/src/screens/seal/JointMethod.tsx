import { sealSystems, sealWords, type JointSeal, type WrapSheet } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { Choice } from '../../ui/Choice.js';
import { TextField } from '../../ui/TextField.js';

type Method = Omit<JointSeal, 'joint' | 'reason'>;

/** How this joint is sealed: as the shop does, or in its own way with the reason. */
export function JointMethod({ sheet: { jointId, system } }: { sheet: WrapSheet }): ReactNode {
  const { editor, practice } = useOpenRun();
  const [draft, setDraft] = useState<Method>();
  if (!system) return null;
  const shop = practice.sealSystem ?? 'rubber and vinyl';
  const own = editor.design.seals?.find(({ joint }) => joint === jointId);
  const { reason, ...kept } = own ?? { reason: undefined, system: shop };
  const now: Method = draft ?? kept;
  const keep = (seal: JointSeal | undefined): void => {
    setDraft(undefined);
    if (seal ?? own) editor.change([{ op: 'set seal', joint: jointId, seal }]);
  };
  const put = (over: Partial<Record<keyof Method, unknown>>): void => {
    // What is as the shop does it is not stated.
    const stated = Object.entries({ ...now, ...over }).filter(([, value]) => value !== undefined);
    const next = Object.fromEntries(stated) as unknown as Method;
    const differs = next.system !== shop || differing.some((member) => next[member] !== undefined);
    if (!differs) keep(undefined);
    else if (own) keep({ ...next, joint: jointId, reason: own.reason });
    else setDraft(next);
  };
  return (
    <div className="mb-3 grid gap-2">
      <Choice
        label="Sealed with"
        value={now.system}
        options={sealSystems.map(({ id, name }) => ({ value: id, label: name }))}
        hint={`${now.system === shop ? 'As the shop seals. ' : ''}${sealWords[now.system].why}`}
        onChange={(to) => put({ system: to })}
      />
      {now.system === 'rubber and vinyl' && <OtherwiseHere now={now} put={put} />}
      {(draft ?? own) && (
        <TextField
          label={draft ? 'Why here? (then it is taken over)' : 'Why here'}
          value={reason ?? ''}
          maxLength={300}
          onChange={(why) => keep({ ...now, joint: jointId, reason: why })}
        />
      )}
    </div>
  );
}

const asShop = { value: '', label: 'as the shop' };
const choices = (values: readonly string[]): { value: string; label: string }[] => [
  asShop,
  ...values.map((one) => ({ value: one, label: one })),
];

/** Passes, stretch, lap and courtesy layer of one joint, where they are not the shop’s. */
function OtherwiseHere({
  now,
  put,
}: {
  now: Method;
  put: (over: Partial<Record<keyof Method, unknown>>) => void;
}): ReactNode {
  return (
    <details open={differing.some((member) => now[member] !== undefined)}>
      <summary className="cursor-pointer underline underline-offset-4">Otherwise at this joint</summary>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Choice
          label="Passes here"
          value={String(now.passes ?? '')}
          options={choices(['1', '2', '3', '4'])}
          onChange={(to) => put({ passes: to === '' ? undefined : Number(to) })}
        />
        <Choice
          label="Stretch here"
          value={now.stretch ?? ''}
          options={choices(['a little', 'hard'])}
          onChange={(to) => put({ stretch: to || undefined })}
        />
        <Choice
          label="Lap here"
          value={now.lap ?? ''}
          options={choices(['half', 'two thirds'])}
          onChange={(to) => put({ lap: to || undefined })}
        />
        <Choice
          label="Courtesy layer here"
          value={courtesyWord(now.courtesy)}
          options={choices(['yes', 'no'])}
          onChange={(to) => put({ courtesy: to === '' ? undefined : to === 'yes' })}
        />
      </div>
    </details>
  );
}

const courtesyWord = (courtesy: boolean | undefined): string =>
  courtesy === undefined ? '' : courtesy ? 'yes' : 'no';

const differing = ['passes', 'stretch', 'lap', 'courtesy'] as const;
