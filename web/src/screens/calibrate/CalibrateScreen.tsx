import { ID1_CARD_MM, scaleFromCard } from '@kobran/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useScreenScale } from '../../drawing/gauge/useScreenScale.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { TopBar } from '../../frame/TopBar.js';

/** CSS pixels have about 96 to the inch; a first guess. */
const GUESS_PX_PER_MM = 96 / 25.4;
const STEP_PX = 1;
const LARGE_STEP_PX = 10;

/** Hold a bank card against the screen once, and gauges are drawn life-size at this device. */
export function CalibrateScreen(): ReactNode {
  const { set } = usePreferences();
  const known = useScreenScale();
  const navigate = useNavigate();
  const [ref, width] = useWidth<HTMLDivElement>();
  const [longPx, setLongPx] = useState(() => ID1_CARD_MM.width * (known ?? GUESS_PX_PER_MM));
  const [problem, setProblem] = useState('');
  const slider = useRef<HTMLInputElement>(null);
  useEffect(() => {
    document.title = 'Life-size – Kobran';
    slider.current?.focus();
  }, []);
  // On a narrow screen the card stands upright.
  const upright = width > 0 && width < longPx + 24;
  const shortPx = (longPx * ID1_CARD_MM.height) / ID1_CARD_MM.width;
  const box = upright ? { width: shortPx, height: longPx } : { width: longPx, height: shortPx };
  const nudge = (px: number): void => setLongPx((now) => Math.max(60, now + px));
  function keep(): void {
    const scale = scaleFromCard(longPx, devicePixelRatio);
    if (!scale.ok) return setProblem(`${scale.problem.message} ${scale.problem.remedy}`);
    set({ screen: scale.value });
    void navigate(-1);
  }
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Life-size' }]} />
      <main className="mx-auto max-w-4xl px-4 py-4">
        <h1 className="text-xl font-bold">Make the outline as large as a bank card</h1>
        <p className="mt-1 text-muted">
          Hold any bank or identity card flat against the screen (ISO/IEC 7810: 85.60 × 53.98 mm) and move the
          slider until the outline just shows around it. Once for this device; a zoomed page is allowed for.
        </p>
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <button className="button min-h-11" onClick={() => nudge(-LARGE_STEP_PX)}>
            Much smaller
          </button>
          <button className="button min-h-11" onClick={() => nudge(-STEP_PX)}>
            Smaller
          </button>
          <input
            ref={slider}
            type="range"
            aria-label="Size of the outline"
            aria-valuetext={`${Math.round(longPx)} pixels long`}
            className="min-w-40 flex-1 accent-ink"
            min={150}
            max={1200}
            step={0.5}
            value={longPx}
            onChange={({ target }) => setLongPx(Number(target.value))}
          />
          <button className="button min-h-11" onClick={() => nudge(STEP_PX)}>
            Larger
          </button>
          <button className="button min-h-11" onClick={() => nudge(LARGE_STEP_PX)}>
            Much larger
          </button>
          <button className="button button-primary min-h-11" onClick={keep}>
            Save: the outline fits
          </button>
        </div>
        {problem && (
          <p role="alert" className="mt-2 font-bold text-stop">
            {problem}
          </p>
        )}
        <div ref={ref} className="mt-4 overflow-hidden">
          <svg
            width={box.width + 8}
            height={box.height + 8}
            role="img"
            aria-label="Outline of a card, to be matched with a real one"
          >
            <rect
              x={2}
              y={2}
              width={box.width}
              height={box.height}
              rx={(3.18 * longPx) / ID1_CARD_MM.width}
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth={2}
            />
            <text x={box.width / 2} y={box.height / 2} textAnchor="middle" fontSize={15}>
              card here
            </text>
          </svg>
        </div>
        <p className="figures mt-2 text-sm text-muted">
          {(longPx / ID1_CARD_MM.width).toFixed(2)} pixels to the mm
        </p>
      </main>
    </div>
  );
}
