import type { KitPairing, Port } from '@kobran/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useKit, type KitState } from '../../background/useKit.js';
import { useShop } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { Tick } from '../../ui/Tick.js';
import { TopBar } from '../../frame/TopBar.js';
import { Answer } from './Answer.js';
import { pairingKey, PairingTable } from './PairingTable.js';
import { Matings } from './Matings.js';

/** A radio and an antenna belong together when their bands meet. */
const meets = (radio: Port, antenna: Port): boolean =>
  radio.lowHz <= antenna.highHz && antenna.lowHz <= radio.highHz;

/** Which adapters belong in the bag: the fewest which join every pairing somebody names. */
export function KitScreen(): ReactNode {
  const { catalog, own } = useShop();
  const { state, start, cancel } = useKit();
  const [dropped, setDropped] = useState<ReadonlySet<string>>(new Set());
  const [most, setMost] = useState(2);
  const [allForms, setAllForms] = useState(false);
  useEffect(() => {
    document.title = 'Kit – Kobran';
  }, []);
  const radios = useMemo(() => [...catalog.ports.values()].filter(({ side }) => side === 'radio'), [catalog]);
  const antennas = useMemo(
    () => [...catalog.ports.values()].filter(({ side }) => side === 'antenna'),
    [catalog],
  );
  const possible = radios.flatMap((radio) =>
    antennas.filter((antenna) => meets(radio, antenna)).map((antenna) => ({ radio, antenna })),
  );
  const wanted = possible.filter(({ radio, antenna }) => !dropped.has(pairingKey(radio, antenna)));
  const pairings = wanted.map(({ radio, antenna }): KitPairing => ({
    from: { name: radio.name, face: radio.face },
    to: { name: antenna.name, face: antenna.face },
    topHz: Math.min(radio.highHz, antenna.highHz),
    powerW: radio.powerW,
  }));
  const toggle = (keys: readonly string[], on: boolean): void => {
    setDropped((now) => {
      const next = new Set(now);
      for (const key of keys) {
        if (on) next.delete(key);
        else next.add(key);
      }
      return next;
    });
  };
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Kit' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <h1 className="text-xl font-bold">{headline(state, pairings.length)}</h1>
        <p className="text-muted">
          The fewest adapters with which each radio reaches each antenna you tick, one pair at a time.
        </p>
        {radios.length === 0 || antennas.length === 0 ? (
          <p className="mt-6 text-lg">
            No radios and antennas yet.{' '}
            <Link className="button" to="/catalog/port">
              Enter the ports you own
            </Link>
          </p>
        ) : (
          <div className="mt-4 grid gap-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
            <div className="min-w-0">
              <PairingTable
                radios={radios}
                antennas={antennas}
                meets={meets}
                dropped={dropped}
                onToggle={toggle}
              />
              <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
                <div className="w-56">
                  <Choice
                    label="Longest chain"
                    value={String(most)}
                    options={[1, 2, 3].map((n) => ({
                      value: String(n),
                      label: n === 1 ? 'one adapter' : `${n} adapters`,
                    }))}
                    onChange={(value) => setMost(Number(value))}
                  />
                </div>
                <Tick label="Also right angles and savers" checked={allForms} onChange={setAllForms} />
                {state.kind === 'working' ? (
                  <button className="button min-h-11" onClick={cancel}>
                    Stop
                  </button>
                ) : (
                  <button
                    className="button button-primary min-h-11"
                    disabled={pairings.length === 0}
                    onClick={() => start({ pairings, own, limits: { most, allForms } })}
                  >
                    Find the smallest kit
                  </button>
                )}
              </div>
              <Progress state={state} />
              <Matings />
            </div>
            <Answer state={state} />
          </div>
        )}
      </main>
    </div>
  );
}

function headline(state: KitState, pairings: number): string {
  if (state.kind === 'done') {
    const { size, proved, bound, impossible } = state.answer;
    const proof = proved ? 'no set is smaller' : `any set has at least ${bound}`;
    const lost = impossible.length > 0 ? `; ${impossible.length} cannot be joined` : '';
    return size === 0
      ? `No adapter is needed${lost}`
      : `${size} ${size === 1 ? 'adapter' : 'adapters'}: ${proof}${lost}`;
  }
  return `What belongs in the bag? ${pairings} ${pairings === 1 ? 'pair' : 'pairs'} to join`;
}

function Progress({ state }: { state: KitState }): ReactNode {
  if (state.kind === 'failed')
    return (
      <p role="alert" className="mt-3 text-stop">
        The kit could not be worked out: {state.why}. Nothing was changed; try again.
      </p>
    );
  if (state.kind !== 'working') return null;
  const { news } = state;
  const words = !news
    ? 'Starting…'
    : news.stage === 'chains'
      ? `Chains of pair ${news.done + 1} of ${news.all}`
      : news.stage === 'proving'
        ? `${Number.isFinite(news.found) ? `A kit of ${Math.round(news.found)} is found` : 'Looking for a kit'}; no kit has fewer than ${Math.ceil(news.bound - 1e-6)}`
        : news.stage === 'solving'
          ? `${news.all} kinds of pair, looking for the fewest`
          : 'Looking for single points of failure';
  return (
    <p role="status" className="mt-3 text-muted">
      {words}
    </p>
  );
}
