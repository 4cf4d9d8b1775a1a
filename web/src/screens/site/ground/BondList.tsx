import { formatFigure, formatResistance, type GroundSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { sayDay } from '../../../ui/dates.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { sectionText } from './sectionText.js';

/** Every conductor with its figures: the drawing as a table. */
export function BondList({
  ground,
  selected,
  onSelect,
}: {
  ground: GroundSheet;
  selected: string | undefined;
  onSelect: (id: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  if (ground.bonds.length === 0) return null;
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full min-w-[46rem] text-left">
        <caption className="sr-only">Conductors</caption>
        <thead className="text-sm text-muted">
          <tr className="border-b border-edge">
            <th className="py-1 pr-3 font-normal">Conductor</th>
            <th className="pr-3 font-normal">Size</th>
            <th className="pr-3 text-right font-normal">Length</th>
            <th className="pr-3 text-right font-normal">First stroke</th>
            <th className="pr-3 text-right font-normal">Subsequent</th>
            <th className="pr-3 text-right font-normal">Reading</th>
            <th className="font-normal">Joined</th>
          </tr>
        </thead>
        <tbody>
          {ground.bonds.map(({ bond, from, to, length, first, subsequent, reading }) => (
            <tr key={bond.id} className={`border-b border-rule ${selected === bond.id ? 'bg-panel' : ''}`}>
              <td className="py-1 pr-3">
                <button
                  className="text-left underline decoration-transparent underline-offset-4 hover:decoration-current"
                  onClick={() => onSelect(bond.id)}
                >
                  {from.name} to {to.name}
                </button>
              </td>
              <td className="pr-3">{bond.joint === 'mounted' ? 'screwed on' : sectionText(bond, units)}</td>
              <td className="figures pr-3 text-right whitespace-nowrap">
                {bond.joint === 'mounted' ? '' : length ? formatFigure(length, units) : 'not known'}
              </td>
              <td className="figures pr-3 text-right whitespace-nowrap">
                {bond.joint === 'mounted' ? '' : first ? formatFigure(first, units) : 'not known'}
              </td>
              <td className="figures pr-3 text-right whitespace-nowrap">
                {bond.joint === 'mounted' ? '' : subsequent ? formatFigure(subsequent, units) : 'not known'}
              </td>
              <td className="figures pr-3 text-right whitespace-nowrap">
                {reading ? formatResistance(reading.ohm) : ''}
              </td>
              <td>
                {bond.made ? (
                  `${bond.made.by}, ${sayDay(bond.made.on)}`
                ) : (
                  <span className="text-muted">not yet</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
