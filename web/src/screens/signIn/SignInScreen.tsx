import { routes } from '@kobran/contract';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { call, messageOf } from '../../store/client.js';
import { useWaitingCount } from '../../store/Device.js';
import { useCameIn } from '../../store/me.js';
import { NameField } from '../../ui/NameField.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { SentForm } from '../../ui/SentForm.js';
import { EntrancePage } from './EntrancePage.js';

/** Where one signs in; what was being looked at is looked at again afterwards. */
export function SignInScreen(): ReactNode {
  const [name, setName] = useState('');
  const [phrase, setPhrase] = useState('');
  const waiting = useWaitingCount();
  const cameIn = useCameIn();
  const navigate = useNavigate();
  return (
    <EntrancePage title="Sign in">
      {waiting > 0 && (
        <p role="status" className="mt-1 text-caution">
          {waiting} {waiting === 1 ? 'entry waits' : 'entries wait'} on this device, and{' '}
          {waiting === 1 ? 'is' : 'are'} sent when whoever made {waiting === 1 ? 'it' : 'them'} signs in.
        </p>
      )}
      <SentForm
        label="Sign in"
        say={messageOf}
        send={async () => {
          await cameIn(await call(routes.signIn, { body: { name: name.trim(), phrase } }));
          if (location.pathname === '/sign-in') await navigate('/', { replace: true });
        }}
      >
        <NameField label="Name" value={name} onChange={setName} autoComplete="username" />
        <PhraseField label="Pass phrase" value={phrase} onChange={setPhrase} />
      </SentForm>
      <p className="mt-6 text-muted">
        Not of the crew yet, or the phrase forgotten? An owner makes an invitation: open its link, or hold
        this device’s camera before it.
      </p>
    </EntrancePage>
  );
}
