import { formatWireSize, type Bond, type UnitSystem } from '@kobran/core';

/** How a conductor is called by its size. */
export const sectionText = ({ section, parallel, metal }: Bond, units: UnitSystem): string => {
  const one =
    'areaMm2' in section
      ? formatWireSize(section.areaMm2, units)
      : `${section.widthMm} × ${section.thicknessMm} mm`;
  return `${parallel > 1 ? `${parallel} × ` : ''}${one} ${metal}`;
};
