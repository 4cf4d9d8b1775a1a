import type { MemberRole } from '@kobran/core';

/** What the server answers about who may come in. */

/** Who is asking, as the server sees it. */
export type Me =
  | {
      kind: 'here';
      /** Nobody has to sign in at this machine; somebody may, once there is a crew. */
      hasCrew: boolean;
    }
  | { kind: 'out'; hasCrew: boolean }
  | { kind: 'member'; id: string; name: string; role: MemberRole }
  | {
      kind: 'viewer';
      whom: string;
      jobId: string;
      /** The link ends then. */
      until: string;
    };

export interface Member {
  id: string;
  name: string;
  role: MemberRole;
  since: string;
}

/** An invitation which nobody has taken up yet; its code was shown once. */
export interface Invitation {
  id: string;
  name: string;
  role: MemberRole;
  by: string;
  until: string;
  /** A member who shall have a new phrase. */
  isForMember: boolean;
}

export interface CustomerLink {
  id: string;
  jobId: string;
  whom: string;
  by: string;
  until: string;
}

/** Something in which somebody is signed in. */
export interface SignedInDevice {
  id: string;
  /** The member, or whom the link is for. */
  name: string;
  /** What the browser calls itself, in words. */
  device: string;
  since: string;
  seen: string;
  isThis: boolean;
  isViewer: boolean;
}

/** How phones and laptops come in. */
export type CrewDoor =
  | { kind: 'closed' }
  | { kind: 'waiting' }
  | {
      kind: 'open';
      address: string;
      /** SHA-256 of the certificate which Kobran made; nothing where it has one of its own or a proxy has it. */
      fingerprint?: string;
    };

export interface CrewDocument {
  door: CrewDoor;
  members: Member[];
  invitations: Invitation[];
  links: CustomerLink[];
  devices: SignedInDevice[];
}

/** What an invitation is for, for who has its code. */
export interface InvitationFor {
  name: string;
  role: MemberRole;
  isForMember: boolean;
}

/** A code which is shown once: nobody can read it from the database. */
export interface MadeCode {
  id: string;
  code: string;
  /** Where it is used; nothing while phones cannot come in. */
  link?: string;
  /** The link as a picture to be held before a camera: a data URL. */
  qr?: string;
  until: string;
}
