import { formatFrequency, formatPower } from '@kobran/core';
import type { ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';

/** The two ports and the service between them: what everything is measured against. */
export function Ends({
  selected,
  onSelect,
}: {
  selected: string | undefined;
  onSelect: (id: string) => void;
}): ReactNode {
  const { editor } = useOpenRun();
  const { radio, antenna, service } = editor.design;
  const bands = service.bands
    .map(({ lowHz, highHz }) =>
      lowHz === highHz ? formatFrequency(lowHz) : `${formatFrequency(lowHz)} to ${formatFrequency(highHz)}`,
    )
    .join(', ');
  const items: [string, string, string][] = [
    ['radio', 'Radio', radio.name],
    [
      'service',
      'Service',
      `${service.powerW > 0 ? `${formatPower(service.powerW)} forward, ` : 'receive only, '}${bands}`,
    ],
    ['antenna', 'Antenna', antenna.name],
  ];
  return (
    <div className="mt-2 flex flex-wrap justify-between gap-x-4 gap-y-1">
      {items.map(([id, label, text]) => (
        <button
          key={id}
          aria-pressed={selected === id}
          onClick={() => onSelect(id)}
          className={`rounded border-2 px-2 py-0.5 text-sm hover:border-ink ${selected === id ? 'border-copper' : 'border-transparent'}`}
        >
          <span className="text-muted">{label} </span>
          <span className="font-semibold underline decoration-rule underline-offset-4">{text}</span>
        </button>
      ))}
    </div>
  );
}
