export { passesBore, withRoom } from './bore.js';
export { entryM, isExposed, isOutdoors, legKindIn, legKinds, routeLength, zoneAt, zones } from './legs.js';
export type { LegKind, LegLike, RouteLength, Zone, ZoneSpan } from './legs.js';
