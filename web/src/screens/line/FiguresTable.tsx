import { formatDecibels, formatLength, formatPower, type Sheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { sampleAt } from '../../drawing/ruler/AlongChart.js';

/** The figures of the drawing as a table, for those who read rather than look. */
export function FiguresTable({ sheet }: { sheet: Sheet }): ReactNode {
  const { units } = usePreferences();
  const { ruler, joints } = sheet;
  return (
    <details className="mt-2 px-3 pb-4">
      <summary className="cursor-pointer text-muted">Figures as a table</summary>
      <div className="relative overflow-x-auto">
        <table className="figures mt-2 text-left text-sm">
          <thead>
            <tr>
              {['Joint', 'At', 'Verdict', 'Net power', 'Peak voltage', 'Loss so far'].map((head) => (
                <th key={head} scope="col" className="border-b border-rule py-1 pr-6 font-semibold">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {joints.map(({ id, number, atM, mating }) => {
              const k = sampleAt(ruler.distanceM, atM + 1e-9);
              return (
                <tr key={id}>
                  <th scope="row" className="py-1 pr-6 font-normal">
                    J{number}
                  </th>
                  <td className="pr-6">{formatLength(atM, { system: units, digits: 2 })}</td>
                  <td className="pr-6">{mating.verdict}</td>
                  <td className="pr-6">{formatPower(ruler.netW[k])}</td>
                  <td className="pr-6">{Math.round(ruler.envelopeV[k])} V</td>
                  <td>{formatDecibels(ruler.heatLossDb[k])}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </details>
  );
}
