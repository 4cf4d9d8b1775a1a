import { useEffect, type ReactNode } from 'react';

/** A page before one is in: nothing on it but the way in. */
export function EntrancePage({ title, children }: { title: string; children: ReactNode }): ReactNode {
  useEffect(() => {
    document.title = `${title} – Kobran`;
  }, [title]);
  return (
    <main className="mx-auto max-w-md px-4 py-12">
      <p className="text-lg font-bold tracking-tight">Kobran</p>
      <h1 className="mt-4 text-xl font-bold">{title}</h1>
      {children}
    </main>
  );
}
