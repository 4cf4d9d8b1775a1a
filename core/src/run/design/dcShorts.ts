import type { Design } from './design.js';

/** Why centre and shell may rightly read as joined while a piece is in its run: each in words, with what to unplug. */
export function dcShorts(design: Design): string[] {
  const { antenna, service } = design;
  return [
    ...(antenna.dcShort
      ? [`${antenna.name} joins pin and shell for direct current: unplug it, or the short is its own.`]
      : []),
    ...(service.dcFeed
      ? [`${design.radio.name} or the feed puts direct current on the cable: unplug it before any ohm-meter.`]
      : []),
  ];
}
