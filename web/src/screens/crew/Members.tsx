import { routes, type Invitation, type Member } from '@kobran/contract';
import type { MemberRole } from '@kobran/core';
import { MoreHorizontal, UserPlus } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { call } from '../../store/client.js';
import { sayDay } from '../../ui/dates.js';
import { Menu } from '../../ui/Menu.js';
import { InviteWindow } from './InviteWindow.js';
import { useCrewChange } from './useCrewChange.js';

const roleWords: Record<MemberRole, string> = {
  owner: 'Owner: works, and says who else may',
  installer: 'Installer: works on every job',
};

/** Who is of the crew, and who is invited. */
export function Members({
  members,
  invitations,
  isOwner,
}: {
  members: readonly Member[];
  invitations: readonly Invitation[];
  isOwner: boolean;
}): ReactNode {
  /** Whom to invite; an empty name is asked for. */
  const [inviting, setInviting] = useState<Pick<Member, 'name' | 'role'>>();
  return (
    <section className="mt-6" aria-labelledby="members">
      <h2 id="members" className="text-lg font-bold">
        Crew
      </h2>
      <ul className="mt-2 divide-y divide-rule border-y border-rule">
        {members.map((member) => (
          <MemberRow key={member.id} member={member} isOwner={isOwner} onNewPhrase={setInviting} />
        ))}
        {invitations.map((one) => (
          <InvitationRow key={one.id} invitation={one} />
        ))}
      </ul>
      {isOwner && (
        <button
          className="button button-primary mt-3"
          onClick={() => setInviting({ name: '', role: 'installer' })}
        >
          <UserPlus size={18} aria-hidden /> Invite somebody
        </button>
      )}
      {inviting && <InviteWindow who={inviting} crew={members} onClose={() => setInviting(undefined)} />}
    </section>
  );
}

function MemberRow({
  member,
  isOwner,
  onNewPhrase,
}: {
  member: Member;
  isOwner: boolean;
  onNewPhrase: (member: Member) => void;
}): ReactNode {
  const { id, name, role, since } = member;
  const { change } = useCrewChange();
  const other: MemberRole = role === 'owner' ? 'installer' : 'owner';
  return (
    <li className="flex items-center gap-x-4 py-2">
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{name}</span>{' '}
        <span className="block text-sm text-muted">
          {roleWords[role]}; since {sayDay(since)}
        </span>
      </span>
      {isOwner && (
        <Menu
          label={`More for ${name}`}
          align="end"
          className="grid size-9 shrink-0 place-items-center rounded hover:bg-panel"
          trigger={<MoreHorizontal size={18} aria-hidden />}
          items={[
            {
              label: 'New pass phrase…',
              hint: 'an invitation to set another',
              act: () => onNewPhrase(member),
            },
            {
              label: `Make ${other}`,
              hint: roleWords[other],
              act: () => change(() => call(routes.changeMember, { id, body: { role: other } })),
            },
            {
              label: 'Take out of the crew',
              hint: 'signed out everywhere; what was signed stays signed',
              act: () => change(() => call(routes.removeMember, { id })),
            },
          ]}
        />
      )}
    </li>
  );
}

function InvitationRow({ invitation }: { invitation: Invitation }): ReactNode {
  const { id, name, role, by, until, isForMember } = invitation;
  const { busy, change } = useCrewChange();
  return (
    <li className="flex items-center gap-x-4 py-2">
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{name}</span>{' '}
        <span className="block text-sm text-muted">
          {isForMember ? 'Has an invitation to a new pass phrase' : `Invited as ${role}`} by {by}, until{' '}
          {sayDay(until)}
        </span>
      </span>
      <button
        className="button"
        disabled={busy}
        onClick={() => change(() => call(routes.removeInvitation, { id }))}
      >
        Withdraw<span className="sr-only"> the invitation of {name}</span>
      </button>
    </li>
  );
}
