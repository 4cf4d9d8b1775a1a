import type { CrewEntry, KeptLog } from '@kobran/core';
import type { CrewDocument, InvitationFor, MadeCode, Me } from './crewResponses.js';
import { ask, get, keep, keepAt, make, remove } from './route.js';

/** Requests about who may come in. */
export const crewRoutes = {
  readMe: get<Me>()('/api/me', 'Who is asking: somebody of the crew, a customer, or nobody yet'),
  signIn: ask<Me>()('/api/me/sign-in', 'Sign in with name and pass phrase', 'SignIn'),
  signOut: keep('/api/me/sign-out', 'End the session of this device'),
  changePhrase: keep(
    '/api/me/phrase',
    'Change one’s own pass phrase; other devices are signed out',
    'ChangePhrase',
  ),
  readInvitation: ask<InvitationFor>()('/api/me/invitation', 'What an invitation is for', 'UseCode'),
  join: ask<Me>()('/api/me/join', 'Take up an invitation with a pass phrase of one’s own', 'Join'),
  openLink: ask<Me>()('/api/me/look', 'Open the link of a customer', 'UseCode'),

  readCrew: get<CrewDocument>()(
    '/api/crew',
    'Members, invitations, links and devices; of others only for owners',
  ),
  readCertificate: get<Blob>()(
    '/api/crew/certificate',
    'The certificate which Kobran made, for a device that shall trust it; no secret',
  ),
  makeOwner: ask<Me>()('/api/crew/owner', 'Make the first owner, at the machine itself', 'MakeOwner'),
  invite: make<MadeCode>()(
    '/api/crew/invitations',
    'Invite somebody, or give a member a new phrase',
    'Invite',
  ),
  removeInvitation: remove('/api/crew/invitations/:id', 'Withdraw an invitation'),
  changeMember: keepAt('/api/crew/members/:id', 'Change what a member may do', 'ChangeMember'),
  removeMember: remove(
    '/api/crew/members/:id',
    'Take a member out of the crew, and sign out all their devices',
  ),
  makeLink: make<MadeCode>()(
    '/api/crew/links',
    'Make a link by which a customer looks at one site',
    'MakeLink',
  ),
  removeLink: remove('/api/crew/links/:id', 'Withdraw a link; who looks by it is shut out'),
  removeDevice: remove('/api/crew/devices/:id', 'Sign a device out'),
  readCrewLog: get<KeptLog<CrewEntry>>()(
    '/api/crew/log',
    'Who came in and who did what only few may, chained',
  ),
};
