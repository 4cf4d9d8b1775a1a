import { article, faceOf } from '@kobran/core';
import type { ReactNode } from 'react';
import type { KitState } from '../../background/useKit.js';
import { FaceFront } from '../../drawing/faces/FaceFront.js';

/** The kit: what to pack, what to buy, which pair uses what, and what to take twice. */
export function Answer({ state }: { state: KitState }): ReactNode {
  if (state.kind !== 'done')
    return (
      <section aria-label="The kit" className="text-muted">
        <p>Tick the pairs and find the kit: what to pack, what to buy, what to carry a spare of.</p>
      </section>
    );
  const { adapters, joined, impossible, direct, spares } = state.answer;
  const toBuy = adapters.reduce((sum, { count, onShelf }) => sum + count - onShelf, 0);
  return (
    <section aria-label="The kit" aria-live="polite" className="space-y-5">
      <div>
        <h2 className="border-b-2 border-ink font-bold">
          Pack these{' '}
          <span className="font-normal text-muted">
            {toBuy === 0 ? 'all on the shelf' : `${toBuy} to buy`}
          </span>
        </h2>
        <ul>
          {adapters.map(({ adapter, count, uses, onShelf }) => (
            <li key={adapter.id} className="flex items-center gap-3 border-b border-rule py-1.5">
              <span className="flex shrink-0">
                {adapter.faces.map((code, k) => (
                  <FaceFront key={k} face={faceOf(code)} size={34} label="" />
                ))}
              </span>
              <span className="flex-1">
                <span className="font-semibold">
                  {count > 1 ? `${count} × ` : ''}
                  {adapter.name}
                </span>
                <span className="block text-sm text-muted">
                  joins {uses} {uses === 1 ? 'pair' : 'pairs'}
                </span>
              </span>
              <span className={`text-sm ${onShelf < count ? 'font-semibold text-caution' : 'text-muted'}`}>
                {onShelf < count ? 'buy' : 'on the shelf'}
              </span>
            </li>
          ))}
        </ul>
        {adapters.length === 0 && <p className="py-2">Nothing: every pair mates as it is.</p>}
      </div>
      {spares.length > 0 && (
        <div>
          <h2 className="border-b-2 border-ink font-bold">Take a spare</h2>
          <p className="text-sm text-muted">Lose one of these and pairs are off the air.</p>
          <ul>
            {spares.map(({ adapter, pairings }) => (
              <li key={adapter.id} className="flex justify-between gap-3 border-b border-rule py-1">
                <span>{adapter.name}</span>
                <span className="text-muted">
                  {pairings} {pairings === 1 ? 'pair' : 'pairs'}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
      {impossible.length > 0 && (
        <div>
          <h2 className="border-b-2 border-ink font-bold text-stop">Cannot be joined</h2>
          <ul>
            {impossible.map(({ pairing, why }) => (
              <li key={`${pairing.from.name}|${pairing.to.name}`} className="border-b border-rule py-1">
                <span className="font-semibold">
                  {pairing.from.name} to {pairing.to.name}.
                </span>{' '}
                {why}
              </li>
            ))}
          </ul>
        </div>
      )}
      <details>
        <summary className="cursor-pointer text-muted">
          Adapters for each pair ({joined.length} by adapters, {direct.length} as they are)
        </summary>
        <ul className="mt-1">
          {joined.map(({ pairing, chain }) => (
            <li key={`${pairing.from.name}|${pairing.to.name}`} className="border-b border-rule py-1">
              <span className="font-semibold">
                {pairing.from.name} to {pairing.to.name}:
              </span>{' '}
              {chain.adapters.map(({ adapter }) => article(adapter.name)).join(', then ')}.{' '}
              <span className="text-muted">{chain.why}</span>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
