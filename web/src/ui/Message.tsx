import type { ReactNode } from 'react';
import { Link } from 'react-router';

type Action = { label: string; to: string } | { label: string; run: () => void };

/** A whole screen which says one thing and offers one way on. */
export function Message({
  title,
  detail,
  action,
}: {
  title: string;
  detail?: string;
  action?: Action;
}): ReactNode {
  return (
    <main className="mx-auto max-w-xl px-4 py-24" aria-live="polite">
      <h1 className="text-xl font-bold">{title}</h1>
      {detail && <p className="mt-2 text-muted">{detail}</p>}
      {action && (
        <p className="mt-6">
          {'to' in action ? (
            <Link className="button button-primary" to={action.to}>
              {action.label}
            </Link>
          ) : (
            <button className="button button-primary" onClick={action.run}>
              {action.label}
            </button>
          )}
        </p>
      )}
    </main>
  );
}
