import type { ArresterPiece, Assembly, Design } from './design.js';

/** What is often looked for in a design. */

export const assembliesOf = ({ pieces }: Pick<Design, 'pieces'>): Assembly[] =>
  pieces.filter((piece): piece is Assembly => piece.kind === 'assembly');

export const arrestersOf = ({ pieces }: Pick<Design, 'pieces'>): ArresterPiece[] =>
  pieces.filter((piece): piece is ArresterPiece => piece.kind === 'arrester');

/** The assembly with this id, when there is one. */
export const findAssembly = (design: Pick<Design, 'pieces'>, id: string): Assembly | undefined =>
  assembliesOf(design).find((piece) => piece.id === id);

/**
 * The assembly with this id.
 *
 * @throws when the design has none: its caller got the id from the same design
 */
export function assemblyOf(design: Pick<Design, 'pieces'>, id: string): Assembly {
  const found = findAssembly(design, id);
  if (!found) throw new Error(`no assembly ${id}`);
  return found;
}

/** The longest assembly of a run. */
export const longestAssembly = (design: Pick<Design, 'pieces'>): Assembly | undefined =>
  assembliesOf(design).reduce<Assembly | undefined>(
    (best, piece) => (best && best.lengthM >= piece.lengthM ? best : piece),
    undefined,
  );

export const isReceiveOnly = ({ service }: Pick<Design, 'service'>): boolean => service.powerW === 0;

/** Lowest frequency in use, Hz. */
export const lowHzOf = ({ service }: Pick<Design, 'service'>): number =>
  Math.min(...service.bands.map(({ lowHz }) => lowHz));

/** Highest frequency in use, Hz. */
export const topHzOf = ({ service }: Pick<Design, 'service'>): number =>
  Math.max(...service.bands.map(({ highHz }) => highHz));
