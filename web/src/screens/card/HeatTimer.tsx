import { useEffect, useState, type ReactNode } from 'react';
import { useKeys } from '../../ui/useKeys.js';
import { beep } from '../../ui/sound.js';

const TICK_HZ = 660;
const END_HZ = 990;

/** Counts the seconds of heat with a tick for each and a long tone at the end, so that nobody guesses them or looks away. */
export function HeatTimer({ seconds, starts }: { seconds: number; starts: number }): ReactNode {
  const [left, setLeft] = useState<number>();
  const [startsSeen, setStartsSeen] = useState(starts);
  const start = (): void => {
    beep(TICK_HZ, 0.12);
    setLeft(seconds);
  };
  if (starts !== startsSeen) {
    // Asked for by voice.
    setStartsSeen(starts);
    setLeft(seconds);
  }
  useKeys('c', start);
  useEffect(() => {
    if (left === undefined || left <= 0) return undefined;
    const timer = setTimeout(() => {
      setLeft(left - 1);
      if (left === 1) beep(END_HZ, 1.2);
      else beep(TICK_HZ, 0.08);
    }, 1000);
    return () => clearTimeout(timer);
  }, [left]);
  return (
    <div className="mt-3 flex items-center gap-4">
      <button className="button min-h-11" onClick={start}>
        Count {seconds} s of heat <kbd className="key">C</kbd>
      </button>
      <p role="timer" aria-live="assertive" className="figures text-2xl font-bold">
        {left === undefined ? '' : left === 0 ? 'Heat off' : left}
      </p>
    </div>
  );
}
