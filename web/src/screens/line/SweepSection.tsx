import { formatDecibels } from '@kobran/core';
import type { ReactNode } from 'react';
import { FrequencyChart } from '../../drawing/charts/FrequencyChart.js';
import { useSpread } from '../../background/useSpread.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useShop } from '../../store/Shop.js';

/** Return loss at the radio and loss to the antenna over the bands and a little beyond. */
export function SweepSection(): ReactNode {
  const { sheet, editor } = useOpenRun();
  const { frequencyHz, returnLossDb, lossDb } = sheet.sweep;
  const { bands } = editor.design.service;
  const worst = Math.min(...returnLossDb);
  return (
    <>
      <AsBuilt />
      <details className="mt-2 px-3">
        <summary className="cursor-pointer text-muted">Over the bands: return loss and loss</summary>
        <div className="mt-2">
          <FrequencyChart
            title="Return loss at the radio, and loss to the antenna"
            summary={`Return loss is at least ${formatDecibels(worst)}; the run loses up to ${formatDecibels(Math.max(...lossDb))}.`}
            unit="dB"
            frequencyHz={frequencyHz}
            series={[
              { name: 'return loss', values: returnLossDb, tone: 'ink' },
              { name: 'loss', values: lossDb, tone: 'ink', dashed: true },
            ]}
            bands={bands}
            height={190}
            format={formatDecibels}
            most={Math.min(60, Math.max(...returnLossDb) * 1.1)}
          />
        </div>
      </details>
    </>
  );
}

/** What the run comes out at when it is built within its tolerances. */
function AsBuilt(): ReactNode {
  const { editor } = useOpenRun();
  const { own } = useShop();
  const known = useSpread(editor.design, own);
  if (!known || editor.design.pieces.length === 0) return null;
  if ('why' in known)
    return <p className="mt-2 px-3 text-sm text-caution">As built: not worked out, {known.why}.</p>;
  const { swrAtRadio: swr, lossDb, draws } = known.spread;
  return (
    <p className="mt-2 px-3 text-sm text-muted">
      As built, nine of ten: loses{' '}
      <span className="figures">
        {formatDecibels(lossDb.low)} to {formatDecibels(lossDb.high)}
      </span>
      , SWR at the radio{' '}
      <span className="figures">
        {swr.low.toFixed(2)} to {swr.high.toFixed(2)}
      </span>{' '}
      ({draws} runs drawn within the tolerances of velocity, loss and length).
    </p>
  );
}
