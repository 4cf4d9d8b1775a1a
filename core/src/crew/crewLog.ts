/** What is written down of who may come in and who did what only few may; in one chained log, like what was done of a run. */

interface Told {
  id: string;
  /** Who did it: a name, or where nobody signed in, the machine. */
  by: string;
  at: string;
}

export const crewEventKinds = [
  'owner made',
  'invited',
  'invitation withdrawn',
  'joined',
  'phrase changed',
  'role changed',
  'member removed',
  'signed in',
  'signed out',
  'sign-in refused',
  'device signed out',
  'session presented twice',
  'link made',
  'link withdrawn',
  'link opened',
  'backup made',
  'backup taken',
  'backup restored',
  'job deleted',
  'job imported',
] as const;
export type CrewEventKind = (typeof crewEventKinds)[number];

/** An entry of the crew’s log. */
export interface CrewEntry extends Told {
  kind: CrewEventKind;
  /** Whom or what it is about, in words; empty where the kind says it all. */
  about: string;
}

/** How an entry reads, without who and when. */
const texts: Record<CrewEventKind, (about: string) => string> = {
  'owner made': (about) => `made ${about} the first owner`,
  invited: (about) => `invited ${about}`,
  'invitation withdrawn': (about) => `withdrew the invitation of ${about}`,
  joined: (about) => `joined as ${about}`,
  'phrase changed': () => 'changed the pass phrase',
  'role changed': (about) => `made ${about}`,
  'member removed': (about) => `took ${about} out of the crew`,
  'signed in': (about) => `signed in on ${about}`,
  'signed out': (about) => `signed out on ${about}`,
  'sign-in refused': (about) => `was kept waiting after wrong pass phrases from ${about}`,
  'device signed out': (about) => `signed ${about} out`,
  'session presented twice': (about) =>
    `was signed out on ${about}: a key was used which it had given back, so somebody has a copy or it lost the newer one`,
  'link made': (about) => `made a link for ${about}`,
  'link withdrawn': (about) => `withdrew the link for ${about}`,
  'link opened': (about) => `opened the link on ${about}`,
  'backup made': (about) => `made the backup ${about}`,
  'backup taken': (about) => `took a copy of the backup ${about}`,
  'backup restored': (about) => `put the backup ${about} in the place of what stood`,
  'job deleted': (about) => `deleted the job ${about}`,
  'job imported': (about) => `imported the job ${about}`,
};

/**
 * How an entry of the crew’s log reads.
 *
 * @example crewEntryText({ kind: 'joined', about: 'installer' }) // 'joined as installer'
 */
export const crewEntryText = ({ kind, about }: Pick<CrewEntry, 'kind' | 'about'>): string =>
  texts[kind](about);
