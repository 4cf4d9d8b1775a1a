import type { Duct, WaySheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { LengthField } from '../../ui/LengthField.js';
import { Tick } from '../../ui/Tick.js';
import { DuctSection } from './DuctSection.js';

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A duct cut across, and what it is like. */
export function DuctPart({
  sheet: { fill, cables },
  duct,
  onChange,
}: {
  sheet: WaySheet;
  duct: Duct;
  onChange: (duct: Duct) => void;
}): ReactNode {
  if (!fill) return null;
  const widest = Math.max(0, ...cables.flatMap(({ connectorsMm }) => connectorsMm));
  return (
    <>
      <h3 className="mt-5 font-bold">
        {percent(fill.share)} full, {percent(fill.limit)} allowed
      </h3>
      <DuctSection boreMm={duct.boreMm} laid={fill.laid} cables={cables} connectorMm={widest} />
      <p className="text-sm text-muted">
        {fill.roomForOneMore ? 'There is room for one more.' : 'There is no room for one more.'} Source: NEC
        chapter 9 table 1, from memory.
      </p>
      <div className="mt-2 grid grid-cols-2 items-end gap-x-3">
        <LengthField
          label="Bore"
          valueM={duct.boreMm / 1000}
          onChange={(metres) => onChange({ ...duct, boreMm: Math.max(5, metres * 1000) })}
        />
        <Tick
          label="lubricated"
          checked={duct.lubricated}
          onChange={(lubricated) => onChange({ ...duct, lubricated })}
        />
        <Tick
          label="drains at its lowest point"
          checked={duct.drained}
          onChange={(drained) => onChange({ ...duct, drained })}
        />
        <Tick label="pull cord in it" checked={duct.cord} onChange={(cord) => onChange({ ...duct, cord })} />
      </div>
    </>
  );
}
