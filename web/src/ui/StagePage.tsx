import type { ReactNode } from 'react';

/** A stage’s page: the answer in a sentence, then the work. */
export function StagePage({
  headline,
  reason,
  children,
}: {
  headline: string;
  reason?: ReactNode;
  children: ReactNode;
}): ReactNode {
  return (
    <main className="relative min-w-0 flex-1 overflow-y-auto px-4 py-4 md:px-6">
      <h1 className="text-xl leading-tight font-bold">{headline}</h1>
      {reason && <p className="mt-1 max-w-3xl text-muted">{reason}</p>}
      <div className="mt-4">{children}</div>
    </main>
  );
}

/** A caution at the place where the hand is. */
export function Caution({ children }: { children: ReactNode }): ReactNode {
  return (
    <p className="flex gap-2 border-l-4 border-caution pl-3 text-caution">
      <strong className="shrink-0">Caution</strong>
      <span>{children}</span>
    </p>
  );
}
