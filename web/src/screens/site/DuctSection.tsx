import { formatLength, type CableInWay, type LaidCable } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';

const SIZE = 150;

/** A duct cut across: the cables as they lie, and beside it the widest connector at the same scale. */
export function DuctSection({
  boreMm,
  laid,
  cables,
  connectorMm,
}: {
  boreMm: number;
  laid: readonly LaidCable[] | undefined;
  cables: readonly CableInWay[];
  connectorMm: number;
}): ReactNode {
  const { units } = usePreferences();
  const scale = (SIZE - 16) / boreMm;
  const mm = (value: number): string => formatLength(value / 1000, { system: units, small: true, digits: 0 });
  const across = connectorMm * scale;
  const words = laid
    ? `Cut across: ${cables.map(({ cable }) => mm(cable.jacketMm)).join(', ') || 'no cable'} in a bore of ${mm(boreMm)}.`
    : `The cables do not go into a bore of ${mm(boreMm)}.`;
  return (
    <svg
      role="img"
      aria-label={`${words} The widest connector is ${mm(connectorMm)}.`}
      width={SIZE + 30 + Math.max(across, 110)}
      height={SIZE + 4}
      className="max-w-full"
    >
      <g transform={`translate(${SIZE / 2} ${SIZE / 2})`}>
        <circle r={(boreMm / 2) * scale + 4} fill="var(--braid)" stroke="var(--ink)" />
        <circle r={(boreMm / 2) * scale} fill="var(--paper)" stroke="var(--ink)" />
        {laid?.map(({ xMm, yMm, diameterMm }, k) => (
          <g key={k} transform={`translate(${xMm * scale} ${-yMm * scale})`}>
            <circle r={(diameterMm / 2) * scale} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.5} />
            <circle r={(cables[k].cable.dielectricMm / 2) * scale} fill="var(--dielectric)" />
            <circle r={Math.max(1, (cables[k].cable.centreMm / 2) * scale)} fill="var(--copper)" />
          </g>
        ))}
        {!laid && (
          <text textAnchor="middle" y={5} fontSize={13} fill="var(--stop)">
            does not go in
          </text>
        )}
      </g>
      {connectorMm > 0 && (
        <g transform={`translate(${SIZE + 14 + across / 2} ${SIZE / 2 - 14})`}>
          <circle r={across / 2} fill="none" stroke="var(--ink)" strokeDasharray="4 3" />
          <text y={across / 2 + 18} x={-across / 2} fontSize={13}>
            widest connector
          </text>
          <text y={across / 2 + 35} x={-across / 2} fontSize={13} className="figures">
            {mm(connectorMm)}
          </text>
        </g>
      )}
    </svg>
  );
}
