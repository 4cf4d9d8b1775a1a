import { Maximize, Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Zoom } from './useZoom.js';

/** Nearer, farther, and all of it. */
export function ZoomButtons({ zoom, of }: { zoom: Zoom; of: string }): ReactNode {
  const isFitted = zoom.transform.k === 1;
  return (
    <span className="flex shrink-0 gap-1">
      {(
        [
          ['Farther', Minus, zoom.farther, isFitted],
          ['Nearer', Plus, zoom.nearer, false],
          ['Fit', Maximize, zoom.fit, isFitted],
        ] as const
      ).map(([name, Icon, act, off]) => (
        <button
          key={name}
          className="rounded border border-rule p-1 text-ink disabled:text-muted"
          aria-label={`${name}: ${of}`}
          title={name}
          disabled={off}
          onClick={act}
        >
          <Icon size={16} aria-hidden />
        </button>
      ))}
    </span>
  );
}
