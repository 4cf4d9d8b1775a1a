import { routes } from '@kobran/contract';
import { useEffect, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { call, messageOf } from '../../store/client.js';
import { useWaitingCount } from '../../store/Device.js';
import { useCameIn } from '../../store/me.js';
import { NameField } from '../../ui/NameField.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { useSending } from '../../ui/useSending.js';

/** Where one signs in; what was being looked at is looked at again afterwards. */
export function SignInScreen(): ReactNode {
  const [name, setName] = useState('');
  const [phrase, setPhrase] = useState('');
  const waiting = useWaitingCount();
  const cameIn = useCameIn();
  const navigate = useNavigate();
  useEffect(() => {
    document.title = 'Sign in – Kobran';
  }, []);
  const { busy, problem, onSubmit } = useSending(async () => {
    await cameIn(await call(routes.signIn, { body: { name: name.trim(), phrase } }));
    if (location.pathname === '/sign-in') await navigate('/', { replace: true });
  }, messageOf);
  return (
    <main className="mx-auto max-w-md px-4 py-12">
      <p className="text-lg font-bold tracking-tight">Kobran</p>
      <h1 className="mt-4 text-xl font-bold">Sign in</h1>
      {waiting > 0 && (
        <p role="status" className="mt-1 text-caution">
          {waiting} {waiting === 1 ? 'entry waits' : 'entries wait'} on this device, and{' '}
          {waiting === 1 ? 'is' : 'are'} sent when whoever made {waiting === 1 ? 'it' : 'them'} signs in.
        </p>
      )}
      <form className="mt-4 grid gap-4" onSubmit={onSubmit}>
        <NameField label="Name" value={name} onChange={setName} autoComplete="username" />
        <PhraseField label="Pass phrase" value={phrase} onChange={setPhrase} />
        {problem !== undefined && (
          <p role="alert" className="text-stop">
            {problem}
          </p>
        )}
        <p>
          <button className="button button-primary" disabled={busy}>
            {busy ? 'Signing in…' : 'Sign in'}
          </button>
        </p>
      </form>
      <p className="mt-6 text-muted">
        Not of the crew yet, or the phrase forgotten? An owner makes an invitation: open its link, or hold
        this device’s camera before it.
      </p>
    </main>
  );
}
