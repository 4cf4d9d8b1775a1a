import { useEffect, type ComponentType, type ReactNode } from 'react';
import { NavLink, useParams } from 'react-router';
import { TopBar } from '../../frame/TopBar.js';
import { ExcessLoss } from './ExcessLoss.js';
import { QuickLength } from './QuickLength.js';
import { WhatCable } from './WhatCable.js';

/** Answers which need no run. */
const sheets: Record<string, { label: string; title: string; Sheet: ComponentType }> = {
  length: { label: 'Length', title: 'Cut to electrical length', Sheet: QuickLength },
  cable: { label: 'What cable is this?', title: 'What cable is this?', Sheet: WhatCable },
  loss: { label: 'Where is the loss?', title: 'Where is the loss?', Sheet: ExcessLoss },
};

export function QuickScreen(): ReactNode {
  const { sheet: asked = 'length' } = useParams();
  const { title, Sheet } = sheets[asked] ?? sheets.length;
  useEffect(() => {
    document.title = `${title} – Kobran`;
  }, [title]);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Quick figures' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <nav aria-label="Quick figures" className="flex flex-wrap gap-x-1 border-b-2 border-ink">
          {Object.entries(sheets).map(([id, { label }]) => (
            <NavLink
              key={id}
              to={`/quick/${id}`}
              className={({ isActive }) =>
                `px-3 py-1.5 ${isActive || sheets[asked] === undefined ? 'bg-ink font-semibold text-sheet' : 'hover:bg-panel'}`
              }
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <h1 className="mt-4 text-xl font-bold">{title}</h1>
        <Sheet />
      </main>
    </div>
  );
}
