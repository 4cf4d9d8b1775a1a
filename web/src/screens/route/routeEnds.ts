import type { Design, Site } from '@kobran/core';

/** Where a run begins and ends in a site: by its ways, else by the names of its ports, else by what points are for. */
export function routeEnds(
  { points, ways }: Site,
  { route, radio, antenna }: Pick<Design, 'route' | 'radio' | 'antenna'>,
): { from: string; to: string } {
  const chain = (route ?? []).flatMap((step) => ways.find(({ id }) => id === step.way) ?? []);
  const named = (name: string): string | undefined =>
    points.find((point) => point.name.toLowerCase() === name.toLowerCase())?.id;
  const from =
    loose(chain[0], chain[1]) ?? named(radio.name) ?? points.find(({ kind }) => kind === 'rack')?.id;
  const to =
    loose(chain.at(-1), chain.at(-2)) ??
    named(antenna.name) ??
    points.findLast(({ kind }) => kind === 'antenna')?.id;
  return { from: from ?? points[0]?.id ?? '', to: to ?? points.at(-1)?.id ?? '' };
}

interface Link {
  from: string;
  to: string;
}

/** The end of a way which its neighbour does not touch; of a way alone its second one, seen from behind its first. */
function loose(way: Link | undefined, neighbour: Link | undefined): string | undefined {
  if (!way || !neighbour) return undefined;
  return [neighbour.from, neighbour.to].includes(way.from) ? way.to : way.from;
}
