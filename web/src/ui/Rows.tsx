import type { ReactNode } from 'react';

/** Names to the left, figures to the right, a thin rule under each. */
export function Rows({ rows }: { rows: readonly (readonly [label: string, value: ReactNode])[] }): ReactNode {
  return (
    <dl>
      {rows.map(([label, value]) => (
        <div key={label} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
          <dt className="text-muted">{label}</dt>
          <dd className="text-right">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
