import { aims, usualPlan, type Aim, type PieceToCut } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import type { PlanNews } from '../../background/planWork.js';
import type { useCuttingPlan } from '../../background/useCuttingPlan.js';
import { useShop } from '../../store/Shop.js';
import { LengthField, RunLengthField } from '../../ui/LengthField.js';
import { Choice } from '../../ui/Choice.js';

/** Time for the proof, s. */
const LIMIT_S = 9;

/** What the plan may do, its start, its progress and its end. */
export function PlanWork({
  wanted,
  solver,
}: {
  wanted: readonly PieceToCut[];
  solver: ReturnType<typeof useCuttingPlan>;
}): ReactNode {
  const { catalog } = useShop();
  const [usefulM, setUseful] = useState(usualPlan.usefulM);
  const [buyM, setBuy] = useState(usualPlan.buyM);
  const [aim, setAim] = useState<Aim>('new cable');
  const { state } = solver;
  return (
    <div className="mt-4 print:hidden">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-44">
          <LengthField label="Shorter is scrap" valueM={usefulM} onChange={setUseful} />
        </div>
        <div className="w-44">
          <RunLengthField label="A new reel holds" valueM={buyM} digits={1} onChange={setBuy} />
        </div>
        <div className="w-56">
          <Choice
            label="First goal"
            value={aim}
            options={[
              { value: 'new cable', label: 'use up what is there' },
              { value: 'reels', label: 'begin the fewest reels' },
              { value: 'cost', label: 'pay the least' },
            ]}
            onChange={(to) => setAim(aims.find((one) => one === to) ?? 'new cable')}
          />
        </div>
        {state.kind === 'working' ? (
          <button className="button min-h-9" onClick={solver.cancel}>
            Stop
          </button>
        ) : (
          <button
            className="button button-primary min-h-9"
            disabled={wanted.length === 0}
            onClick={() =>
              solver.start({
                wanted,
                reels: [...catalog.reels.values()],
                limits: { usefulM, buyM, limitS: LIMIT_S, aim },
              })
            }
          >
            Plan the cuts
          </button>
        )}
      </div>
      {state.kind === 'working' && (
        <p role="status" className="mt-2 text-muted">
          {state.news ? sayNews(state.news) : 'Starting…'}
        </p>
      )}
      {state.kind === 'failed' && (
        <p role="alert" className="mt-2 text-stop">
          The plan could not be worked out: {state.why}. Nothing was changed; try again.
        </p>
      )}
    </div>
  );
}

const goals = { new: 'least new cable', scrap: 'least scrap', remnant: 'the longest remnant' };

function sayNews(news: PlanNews): string {
  if (news.goal === 'proving') {
    if (!Number.isFinite(news.found)) return 'Looking for a plan…';
    return `Found ${(Math.abs(news.found) / 1000).toFixed(2)} m; none is better than ${(Math.abs(news.bound) / 1000).toFixed(2)} m`;
  }
  return `Cable ${news.done + 1} of ${news.all}: ${goals[news.goal]}`;
}
