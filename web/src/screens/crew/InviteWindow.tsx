import { routes, type MadeCode, type Member } from '@kobran/contract';
import { memberRoles, nameAsCompared, type MemberRole } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { call, messageOf } from '../../store/client.js';
import { Choice } from '../../ui/Choice.js';
import { NameField } from '../../ui/NameField.js';
import { SentForm } from '../../ui/SentForm.js';
import { Window } from '../../ui/Window.js';
import { ShownOnce } from './ShownOnce.js';
import { useCrewAgain } from './useCrewChange.js';

/** Makes an invitation, and shows it this once. */
export function InviteWindow({
  who,
  crew,
  onClose,
}: {
  who: Pick<Member, 'name' | 'role'>;
  crew: readonly Member[];
  onClose: () => void;
}): ReactNode {
  const [name, setName] = useState(who.name);
  const [role, setRole] = useState<MemberRole>(who.role);
  const [made, setMade] = useState<MadeCode>();
  const readAgain = useCrewAgain();
  async function send(): Promise<void> {
    setMade(await call(routes.invite, { body: { name: name.trim(), role } }));
    await readAgain();
  }
  const isKnown = who.name !== '';
  const namesake = crew.find((one) => nameAsCompared(one.name) === nameAsCompared(name));
  return (
    <Window
      title={isKnown ? `A new pass phrase for ${who.name}` : 'Invite somebody'}
      open
      onOpenChange={onClose}
    >
      {made ? (
        <ShownOnce made={made} what={`Give this to ${name.trim()}: it lets one person in.`} />
      ) : (
        <SentForm label="Make the invitation" say={messageOf} send={send}>
          {isKnown ? (
            <p>Their devices stay signed in until the new phrase is set.</p>
          ) : (
            <>
              <NameField label="Name, as it signs" value={name} onChange={setName} />
              <Choice
                label="What they may do"
                value={role}
                options={memberRoles.map((value) => ({
                  value,
                  label:
                    value === 'owner' ? 'Owner: work, and say who else may' : 'Installer: work on every job',
                }))}
                onChange={(value) => setRole(value as MemberRole)}
              />
              {namesake && (
                <p role="status" className="text-caution">
                  {namesake.name} is of the crew: this gives {namesake.name} a new pass phrase. For another
                  person add a second name, so that signatures differ.
                </p>
              )}
            </>
          )}
        </SentForm>
      )}
    </Window>
  );
}
