export { mayAs, memberRoles, roles, type MemberRole, type Role } from './roles.js';
export { FORGIVEN_S, FREE_TRIES, waitAfter } from './waiting.js';
export { MAX_PHRASE, MIN_PHRASE, phraseAsCompared, phraseProblem } from './phrase.js';
export { crewEntryText, crewEventKinds, type CrewEntry, type CrewEventKind } from './crewLog.js';
export { nameAsCompared } from './name.js';
