import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { useWords } from '../../ui/Preferences.js';

/** The screens of one site. */
export function SiteTabs({ jobId }: { jobId: string }): ReactNode {
  const words = useWords();
  return (
    <nav aria-label="Of this site" className="mb-3 flex gap-1 border-b border-rule">
      {(
        [
          ['site', 'Ways'],
          ['ground', 'Ground'],
          ['parts', 'Parts and tools'],
          ['day', 'Day'],
          ['handover', 'Hand over'],
        ] as const
      ).map(([path, label]) => (
        <NavLink
          key={path}
          to={`/jobs/${jobId}/${path}`}
          className={({ isActive }) =>
            `-mb-px min-h-9 border-b-4 px-3 py-1 ${isActive ? 'border-copper font-bold' : 'border-transparent hover:border-rule'}`
          }
        >
          {words(label)}
        </NavLink>
      ))}
    </nav>
  );
}
