import type { SheetBody } from './sheet.js';

/** What a fact may be about, by its id, as a crew calls it: ends, pieces and joints. */
export const placeNames = (sheet: Pick<SheetBody, 'ends' | 'pieces' | 'joints'>): Map<string, string> =>
  new Map([
    ...sheet.ends.map((end) => [end.id, end.name] as const),
    ...sheet.pieces.map((piece) => [piece.id, piece.name] as const),
    ...sheet.joints.map((joint) => [joint.id, `J${joint.number}`] as const),
  ]);
