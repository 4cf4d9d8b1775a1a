import { faceOf, type Adapter, type Face } from '../catalog/index.js';
import { mate } from './mate.js';

/** An adapter turned the way it is used. */
export interface TurnedAdapter {
  adapter: Adapter;
  reversed: boolean;
}

/** The face which looks back, and the one which looks on. */
const facesOfTurned = ({ adapter, reversed }: TurnedAdapter): [Face, Face] => {
  const [a, b] = adapter.faces.map(faceOf);
  return reversed ? [b, a] : [a, b];
};

const joins = (a: Face, b: Face): boolean => mate(a, b).verdict === 'mates';

/**
 * Shortest chains of adapters which join two faces, every joint mating.
 *
 * @param most longest chain tried
 * @returns all chains of the shortest length that works, shortest bodies first; none when nothing joins them
 */
export function adapterChains(
  from: Face,
  to: Face,
  adapters: Iterable<Adapter>,
  most = 2,
): TurnedAdapter[][] {
  const turned = [...adapters].flatMap((adapter): TurnedAdapter[] => [
    { adapter, reversed: false },
    { adapter, reversed: true },
  ]);
  let open: TurnedAdapter[][] = [[]];
  for (let length = 1; length <= most; length++) {
    open = open.flatMap((chain) => {
      const end = chain.length === 0 ? from : facesOfTurned(chain[chain.length - 1])[1];
      return turned.filter((next) => joins(end, facesOfTurned(next)[0])).map((next) => [...chain, next]);
    });
    const closed = open.filter((chain) => joins(facesOfTurned(chain[chain.length - 1])[1], to));
    if (closed.length > 0) return closed.sort((x, y) => bodyMm(x) - bodyMm(y));
  }
  return [];
}

const bodyMm = (chain: TurnedAdapter[]): number =>
  chain.reduce((sum, { adapter }) => sum + adapter.lengthMm + (adapter.rightAngle ? 50 : 0), 0);
