import type { StoredTrace } from '@kobran/contract';
import { magnitudes, swrBehindLoss, swrFromReflection, type Swept, type Trace } from '@kobran/core';
import type { ReactNode } from 'react';
import { FrequencyChart } from '../../drawing/charts/FrequencyChart.js';
import { useOpenRun } from '../../store/RunContext.js';

/** Top of the chart of standing waves. */
const MAX_SWR = 5;

/** SWR at the radio and the one behind it at the far end: loss in the cable hides a bad antenna. */
export function Standing({
  kept,
  trace,
  swept,
}: {
  kept: StoredTrace;
  trace: Trace;
  swept: Swept;
}): ReactNode {
  const { editor } = useOpenRun();
  if (kept.far !== 'antenna') return null;
  const size = magnitudes(trace.s.s11);
  const atRadio = size.map(swrFromReflection);
  const atLoad = size.map((one, k) => Math.min(MAX_SWR, swrBehindLoss(one, swept.lossDb[k])));
  const least = (values: Float64Array): string => Math.min(...values).toFixed(2);
  return (
    <FrequencyChart
      title="SWR at the radio, and at the antenna behind the cable"
      summary={`At best ${least(atRadio)} at the radio, ${least(atLoad)} at the antenna.`}
      unit="SWR"
      frequencyHz={trace.frequencyHz}
      series={[
        {
          name: 'predicted at the radio',
          values: magnitudes(swept.s11).map(swrFromReflection),
          tone: 'ink',
          dashed: true,
        },
        { name: 'at the antenna', values: atLoad, tone: 'muted' },
        { name: 'measured at the radio', values: atRadio, tone: 'lake' },
      ]}
      bands={editor.design.service.bands}
      height={190}
      format={(swr) => swr.toFixed(2)}
      most={MAX_SWR}
      least={1}
    />
  );
}
