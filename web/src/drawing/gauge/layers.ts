import type { Layer } from '@kobran/core';

/** How each layer of a cable is filled in every drawing. */
export const layerFill: Record<Layer, string> = {
  centre: 'var(--copper)',
  dielectric: 'var(--dielectric)',
  braid: 'var(--braid)',
  tube: 'var(--copper)',
  jacket: 'var(--ink)',
};
