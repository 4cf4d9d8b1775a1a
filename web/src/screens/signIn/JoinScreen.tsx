import { routes, type InvitationFor } from '@kobran/contract';
import { MIN_PHRASE } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { call, messageOf } from '../../store/client.js';
import { ofThisDevice } from '../../store/keepAnswers.js';
import { useCameIn } from '../../store/me.js';
import { NameField } from '../../ui/NameField.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { useSending } from '../../ui/useSending.js';

/** Where an invitation leads: who it is for, and a pass phrase of one’s own. */
export function JoinScreen(): ReactNode {
  const { hash } = useLocation();
  const code = decodeURIComponent(hash.slice(1));
  // Asked once for each code, and not kept: it is a secret.
  const { data: invitation, error } = useQuery({
    queryKey: ['invitation', code],
    queryFn: () => call(routes.readInvitation, { body: { code } }),
    enabled: code !== '',
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
    meta: ofThisDevice,
  });
  useEffect(() => {
    document.title = 'Join – Kobran';
  }, []);
  if (invitation) return <Joining invitation={invitation} code={code} />;
  return <CodeForm key={code} code={code} problem={error ? messageOf(error) : undefined} />;
}

function CodeForm({ code, problem }: { code: string; problem: string | undefined }): ReactNode {
  const [typed, setTyped] = useState(code);
  const navigate = useNavigate();
  return (
    <main className="mx-auto max-w-md px-4 py-12">
      <p className="text-lg font-bold tracking-tight">Kobran</p>
      <h1 className="mt-4 text-xl font-bold">Join the crew</h1>
      <form
        className="mt-4 grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void navigate(`/join#${encodeURIComponent(typed.trim())}`, { replace: true });
        }}
      >
        <NameField label="Code of the invitation" value={typed} onChange={setTyped} />
        {problem !== undefined && (
          <p role="alert" className="text-stop">
            {problem}
          </p>
        )}
        <p>
          <button className="button button-primary">Go on</button>
        </p>
      </form>
    </main>
  );
}

function Joining({ invitation, code }: { invitation: InvitationFor; code: string }): ReactNode {
  const { name, role, isForMember } = invitation;
  const [phrase, setPhrase] = useState('');
  const cameIn = useCameIn();
  const navigate = useNavigate();
  const { busy, problem, onSubmit } = useSending(async () => {
    await cameIn(await call(routes.join, { body: { code, phrase } }));
    await navigate('/', { replace: true });
  }, messageOf);
  return (
    <main className="mx-auto max-w-md px-4 py-12">
      <p className="text-lg font-bold tracking-tight">Kobran</p>
      <h1 className="mt-4 text-xl font-bold">
        {isForMember ? `A new pass phrase for ${name}` : `Welcome, ${name}`}
      </h1>
      <p className="mt-1 text-muted">
        {isForMember
          ? 'Devices which are signed in with the old one are signed out.'
          : role === 'owner'
            ? 'You join as an owner: you work, and say who else may.'
            : 'You join as an installer. What you read, make and prove is signed with your name.'}
      </p>
      <form className="mt-4 grid gap-4" onSubmit={onSubmit}>
        {/* A password manager keeps the phrase under it. */}
        <input
          className="sr-only"
          type="text"
          autoComplete="username"
          value={name}
          readOnly
          tabIndex={-1}
          aria-hidden
        />
        <PhraseField
          label="Your pass phrase"
          value={phrase}
          onChange={setPhrase}
          isNew
          hint={`Four or five words which do not belong together, ${MIN_PHRASE} letters or more. You type it once a month or so.`}
        />
        {problem !== undefined && (
          <p role="alert" className="text-stop">
            {problem}
          </p>
        )}
        <p>
          <button className="button button-primary" disabled={busy}>
            {busy ? 'One moment…' : isForMember ? 'Set it and sign in' : 'Join'}
          </button>
        </p>
      </form>
    </main>
  );
}
