import { faceOf, seriesOf, type Adapter, type Stock } from '../catalog/index.js';

/** From this share of its rated couplings on, a part is called worn. Common practice, no source. */
export const WORN_SHARE = 0.8;

/** How often an adapter may be coupled: as often as the weaker of its faces. */
export const ratedMatings = ({ faces }: Pick<Adapter, 'faces'>): number =>
  Math.min(...faces.map((code) => seriesOf(faceOf(code)).matings));

export const isWorn = (adapter: Pick<Adapter, 'faces'>, { matings }: Pick<Stock, 'matings'>): boolean =>
  matings >= WORN_SHARE * ratedMatings(adapter);

/** What of the shelf may be packed: without what is worn. */
export const unworn = (
  stock: ReadonlyMap<string, Stock>,
  adapters: ReadonlyMap<string, Adapter>,
): ReadonlyMap<string, Stock> =>
  new Map(
    [...stock].filter(([id, one]) => {
      const adapter = adapters.get(id);
      return !adapter || !isWorn(adapter, one);
    }),
  );
