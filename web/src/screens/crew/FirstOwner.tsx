import { routes, type CrewDoor } from '@kobran/contract';
import { MIN_PHRASE } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { call, messageOf } from '../../store/client.js';
import { useCameIn } from '../../store/me.js';
import { NameField } from '../../ui/NameField.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useSending } from '../../ui/useSending.js';
import { Door } from './Door.js';

/** Before there is a crew: what it is good for, and the first owner. */
export function FirstOwner({ door }: { door: CrewDoor }): ReactNode {
  const { name: usual } = usePreferences();
  const [name, setName] = useState(usual);
  const [phrase, setPhrase] = useState('');
  const cameIn = useCameIn();
  const { busy, problem, onSubmit } = useSending(
    async () => cameIn(await call(routes.makeOwner, { body: { name: name.trim(), phrase } })),
    messageOf,
  );
  return (
    <>
      <h1 className="text-xl font-bold">Nobody has to sign in yet</h1>
      <p className="mt-1 max-w-3xl text-muted">
        On one machine nobody needs to. With a crew, everybody signs in on a phone or laptop of their own:
        what they read and make is then signed by them, not by a name that was typed, and a lost phone can be
        shut out. At this machine Kobran stays open as it is.
      </p>
      {door.kind === 'closed' && <Door door={door} />}
      <form className="mt-4 grid max-w-md gap-4" onSubmit={onSubmit}>
        <h2 className="text-lg font-bold">The first owner</h2>
        <NameField label="Name" value={name} onChange={setName} autoComplete="username" />
        <PhraseField
          label="Pass phrase"
          value={phrase}
          onChange={setPhrase}
          isNew
          hint={`Four or five words which do not belong together, ${MIN_PHRASE} letters or more.`}
        />
        {problem !== undefined && (
          <p role="alert" className="text-stop">
            {problem}
          </p>
        )}
        <p>
          <button className="button button-primary" disabled={busy}>
            {busy ? 'One moment…' : 'Make the first owner'}
          </button>
        </p>
      </form>
    </>
  );
}
