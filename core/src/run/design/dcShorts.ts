import { entry, type Catalog } from '../../catalog/index.js';
import type { Design } from './design.js';

/** Why centre and shell may rightly read as joined while a piece is in its run: each in words, with what to unplug. */
export function dcShorts(design: Design, { adapters, arresters }: Catalog): string[] {
  const { antenna, service } = design;
  return [
    ...(antenna.dcShort
      ? [`${antenna.name} joins pin and shell for direct current: unplug it, or the short is its own.`]
      : []),
    ...design.pieces.flatMap((piece) => {
      if (piece.kind === 'assembly') return [];
      const { name, grounds } =
        piece.kind === 'arrester'
          ? {
              name: entry(arresters, piece.arrester).name,
              grounds: entry(arresters, piece.arrester).groundsDc,
            }
          : {
              name: entry(adapters, piece.adapter).name,
              grounds: entry(adapters, piece.adapter).device?.dc === 'grounds',
            };
      return grounds ? [`${name} joins pin and shell for direct current by design: uncouple it first.`] : [];
    }),
    ...(service.dcFeed
      ? [`${design.radio.name} or the feed puts direct current on the cable: unplug it before any ohm-meter.`]
      : []),
  ];
}
