import { routes, type CrewDoor } from '@kobran/contract';
import { MIN_PHRASE } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { call, messageOf } from '../../store/client.js';
import { useCameIn } from '../../store/me.js';
import { NameField } from '../../ui/NameField.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { usePreferences } from '../../ui/Preferences.js';
import { SentForm } from '../../ui/SentForm.js';
import { Door } from './Door.js';

/** Before there is a crew: what it is good for, and the first owner. */
export function FirstOwner({ door }: { door: CrewDoor }): ReactNode {
  const { name: usual } = usePreferences();
  const [name, setName] = useState(usual);
  const [phrase, setPhrase] = useState('');
  const cameIn = useCameIn();
  return (
    <>
      <h1 className="text-xl font-bold">Nobody has to sign in yet</h1>
      <p className="mt-1 max-w-3xl text-muted">
        On one machine nobody needs to. With a crew, everybody signs in on a phone or laptop of their own:
        what they read and make is then signed by them, not by a name that was typed, and a lost phone can be
        shut out. At this machine Kobran stays open as it is.
      </p>
      {door.kind === 'closed' && <Door door={door} />}
      <h2 className="mt-4 text-lg font-bold">The first owner</h2>
      <SentForm
        label="Make the first owner"
        say={messageOf}
        send={async () => cameIn(await call(routes.makeOwner, { body: { name: name.trim(), phrase } }))}
      >
        <NameField label="Name" value={name} onChange={setName} autoComplete="username" />
        <PhraseField
          label="Pass phrase"
          value={phrase}
          onChange={setPhrase}
          isNew
          hint={`Four or five words which do not belong together, ${MIN_PHRASE} letters or more.`}
        />
      </SentForm>
    </>
  );
}
