import { routes, type CrewDocument, type Me } from '@kobran/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { TopBar } from '../../frame/TopBar.js';
import { call, messageOf } from '../../store/client.js';
import { useIsOwner, useMe } from '../../store/me.js';
import { ChangePhrase } from './ChangePhrase.js';
import { CrewLog } from './CrewLog.js';
import { Devices } from './Devices.js';
import { Door } from './Door.js';
import { FirstOwner } from './FirstOwner.js';
import { Links } from './Links.js';
import { Members } from './Members.js';
import { CREW } from './useCrewChange.js';

/** Who may come in with phone or laptop, which customers look at a site, and on which devices. */
export function CrewScreen(): ReactNode {
  const me = useMe();
  const { data: crew, error } = useQuery({ queryKey: CREW, queryFn: () => call(routes.readCrew) });
  useEffect(() => {
    document.title = 'Crew – Kobran';
  }, []);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Crew' }]} />
      <main className="mx-auto max-w-4xl px-4 py-4">
        {error && <p className="text-stop">The crew cannot be read: {messageOf(error)}</p>}
        {me && crew && <Crew me={me} crew={crew} />}
      </main>
    </div>
  );
}

function Crew({ me, crew }: { me: Me; crew: CrewDocument }): ReactNode {
  const { members, invitations, links, devices, door } = crew;
  const isOwner = useIsOwner();
  if (members.length === 0) return <FirstOwner door={door} />;
  return (
    <>
      <h1 className="text-xl font-bold">
        {members.length === 1 ? 'One of the crew signs in' : `${members.length} of the crew sign in`}
      </h1>
      <Door door={door} />
      <Members members={members} invitations={invitations} isOwner={isOwner} />
      {isOwner && <Links links={links} />}
      <Devices devices={devices} ofAll={isOwner} />
      {me.kind === 'member' && <ChangePhrase />}
      {isOwner && <CrewLog />}
    </>
  );
}
