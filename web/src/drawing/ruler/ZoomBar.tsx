import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import type { ReactNode } from 'react';
import type { RulerView } from './useRulerView.js';

const MAX_SHOWN = 100;

/** How large the ruler is shown, and the way back to the whole run. */
export function ZoomBar({ view, aroundM }: { view: RulerView; aroundM: number | undefined }): ReactNode {
  const tool =
    'grid size-8 place-items-center rounded border border-transparent hover:border-ink disabled:text-rule';
  const { magnification: m } = view;
  return (
    <div role="group" aria-label="Zoom of the ruler" className="flex items-center gap-1">
      <button
        className={tool}
        aria-label="Zoom out"
        title="Zoom out (−)"
        disabled={m <= 1}
        onClick={() => view.zoomBy(0.5, aroundM)}
      >
        <ZoomOut size={16} aria-hidden />
      </button>
      <span className="figures w-14 text-center text-sm text-muted" aria-live="polite">
        {m <= 1.005
          ? 'whole'
          : `×${m < 10 ? m.toFixed(1) : m < MAX_SHOWN ? m.toFixed(0) : Math.round(m / 10) * 10}`}
      </span>
      <button
        className={tool}
        aria-label="Zoom in"
        title="Zoom in (+)"
        onClick={() => view.zoomBy(2, aroundM)}
      >
        <ZoomIn size={16} aria-hidden />
      </button>
      <button
        className={tool}
        aria-label="Whole run"
        title="Whole run (0)"
        disabled={m <= 1.005}
        onClick={view.whole}
      >
        <Maximize2 size={16} aria-hidden />
      </button>
    </div>
  );
}
