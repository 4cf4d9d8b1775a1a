import { routes, type InvitationFor } from '@kobran/contract';
import { MIN_PHRASE } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { call, messageOf } from '../../store/client.js';
import { ofThisDevice } from '../../store/keepAnswers.js';
import { useCameIn } from '../../store/me.js';
import { codeInAddress } from '../../ui/codeInAddress.js';
import { NameField } from '../../ui/NameField.js';
import { PhraseField } from '../../ui/PhraseField.js';
import { SentForm } from '../../ui/SentForm.js';
import { EntrancePage } from './EntrancePage.js';

/** Where an invitation leads: who it is for, and a pass phrase of one’s own. */
export function JoinScreen(): ReactNode {
  const { hash } = useLocation();
  const code = codeInAddress(hash);
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
  if (invitation) return <Joining invitation={invitation} code={code} />;
  return <CodePage key={code} code={code} problem={error ? messageOf(error) : undefined} />;
}

/** Where there is no code, or none that is good for anything. */
function CodePage({ code, problem }: { code: string; problem: string | undefined }): ReactNode {
  const [typed, setTyped] = useState(code);
  const navigate = useNavigate();
  return (
    <EntrancePage title="Join the crew">
      {problem !== undefined && (
        <p role="alert" className="mt-1 text-stop">
          {problem}
        </p>
      )}
      <SentForm
        label="Go on"
        say={messageOf}
        send={async () => navigate(`/join#${encodeURIComponent(typed.trim())}`, { replace: true })}
      >
        <NameField label="Code of the invitation" value={typed} onChange={setTyped} />
      </SentForm>
    </EntrancePage>
  );
}

function Joining({
  invitation: { name, role, isForMember },
  code,
}: {
  invitation: InvitationFor;
  code: string;
}): ReactNode {
  const [phrase, setPhrase] = useState('');
  const cameIn = useCameIn();
  const navigate = useNavigate();
  return (
    <EntrancePage title={isForMember ? `A new pass phrase for ${name}` : `Welcome, ${name}`}>
      <p className="mt-1 text-muted">
        {isForMember
          ? 'Devices which are signed in with the old one are signed out.'
          : role === 'owner'
            ? 'You join as an owner: you work, and say who else may.'
            : 'You join as an installer. What you read, make and prove is signed with your name.'}
      </p>
      <SentForm
        label={isForMember ? 'Set it and sign in' : 'Join'}
        say={messageOf}
        send={async () => {
          await cameIn(await call(routes.join, { body: { code, phrase } }));
          await navigate('/', { replace: true });
        }}
      >
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
      </SentForm>
    </EntrancePage>
  );
}
