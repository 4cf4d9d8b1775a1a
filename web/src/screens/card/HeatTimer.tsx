import { useEffect, useState, type ReactNode } from 'react';

/** Counts the seconds of heat, so that nobody guesses them. */
export function HeatTimer({ seconds }: { seconds: number }): ReactNode {
  const [left, setLeft] = useState<number>();
  useEffect(() => {
    if (left === undefined || left <= 0) return undefined;
    const timer = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timer);
  }, [left]);
  return (
    <div className="mt-3 flex items-center gap-4">
      <button className="button min-h-11" onClick={() => setLeft(seconds)}>
        Count {seconds} s of heat
      </button>
      <p role="timer" aria-live="assertive" className="figures text-2xl font-bold text-copper">
        {left === undefined ? '' : left === 0 ? 'Heat off' : left}
      </p>
    </div>
  );
}
