import { entry, type Cable, type Catalog, type Style } from '../../catalog/index.js';
import { partsFor } from '../../fit/index.js';
import { attenuationDbPer100M, cableCutoffHz, matchedLossDb } from '../../line/index.js';
import { formatDecibels } from '../../quantity/index.js';
import type { Assembly } from '../design/design.js';
import type { Remedy } from '../design/remedy.js';

/** Styles nobody gets who has not asked for them. */
export const byHandOnly: ReadonlySet<Style> = new Set<Style>([
  'bulkhead',
  'pigtail',
  'piercing',
  'right angle',
]);

/** The part with this face which fits the cable: the one fitted now if it does, else one of its style, else the usual choice. */
export function partFor(
  faceCode: string,
  cable: Cable,
  catalog: Catalog,
  fitted?: string,
): string | undefined {
  const fits = partsFor(
    cable,
    [...catalog.parts.values()].filter(({ face }) => face === faceCode),
  );
  const style = fitted === undefined ? undefined : catalog.parts.get(fitted)?.style;
  return (
    fits.find(({ id }) => id === fitted) ??
    fits.find((part) => part.style === style) ??
    fits.find((part) => !byHandOnly.has(part.style))
  )?.id;
}

/** The assembly in another cable, with ends of the same faces; nothing when no such part fits. */
export function inCable(piece: Assembly, cable: Cable, catalog: Catalog): Assembly | undefined {
  const a = partFor(entry(catalog.parts, piece.a.part).face, cable, catalog, piece.a.part);
  const b = partFor(entry(catalog.parts, piece.b.part).face, cable, catalog, piece.b.part);
  return a && b ? { ...piece, cable: cable.id, a: { part: a }, b: { part: b } } : undefined;
}

/** Other cables which satisfy, thinnest first, as remedies: same impedance, same faces. */
export function betterCables(
  piece: Assembly,
  catalog: Catalog,
  topHz: number,
  satisfies: (cable: Cable) => boolean,
  most = 3,
): Remedy[] {
  const now = entry(catalog.cables, piece.cable);
  return [...catalog.cables.values()]
    .filter(
      (cable) =>
        cable.id !== now.id &&
        cable.impedanceOhm === now.impedanceOhm &&
        topHz < cableCutoffHz(cable) &&
        satisfies(cable),
    )
    .sort(
      (x, y) => x.jacketMm - y.jacketMm || attenuationDbPer100M(x, topHz) - attenuationDbPer100M(y, topHz),
    )
    .flatMap((cable): Remedy[] => {
      const changed = inCable(piece, cable, catalog);
      if (!changed) return [];
      const loss = formatDecibels(matchedLossDb(cable, topHz, piece.lengthM));
      return [
        {
          title: `Use ${cable.name} for ${piece.label}`,
          detail: `${loss} in the cable · ${cable.jacketMm} mm · new ends`,
          changes: [{ op: 'set piece', piece: changed }],
        },
      ];
    })
    .slice(0, most);
}
