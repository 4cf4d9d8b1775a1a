import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences, type CardPreferences } from '../../ui/Preferences.js';
import { Tick } from '../../ui/Tick.js';
import { Window } from '../../ui/Window.js';
import { hasEars, hasVoice } from '../../ui/speech.js';

/** How cards are worked at this device: by eye, by touch, by voice, by pedal. */
export function CardOptions({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}): ReactNode {
  const { card: how, screen, set } = usePreferences();
  const choose = (change: Partial<CardPreferences>): void => set({ card: { ...how, ...change } });
  return (
    <Window
      title="How this card is worked"
      description="Kept at this device, for every card."
      open={open}
      onOpenChange={onOpenChange}
    >
      <div className="mt-2 grid gap-1">
        <Tick
          label="By touch: words for hands alone"
          checked={how.touch}
          onChange={(touch) => choose({ touch })}
        />
        <Tick
          label={`Speak each step${hasVoice() ? '' : ' (this browser has no voice)'}`}
          checked={how.speak}
          onChange={(speak) => choose({ speak })}
        />
        {hasEars() ? (
          <>
            <Tick label="Listen to me" checked={how.listen} onChange={(listen) => choose({ listen })} />
            <p className="ml-7 text-sm text-muted">
              Say “next”, “back”, “repeat”, “count”, “wrong”, or “value 0.3”. Some browsers listen over the
              network.
            </p>
          </>
        ) : (
          <p className="py-1.5 text-muted">This browser cannot listen: Space, a pedal or a tap goes on.</p>
        )}
        <Tick label="A tap anywhere goes on" checked={how.tap} onChange={(tap) => choose({ tap })} />
        <Pedal pedal={how.pedal} onChange={(pedal) => choose({ pedal })} />
        <p className="mt-1">
          <Link className="underline underline-offset-4 hover:decoration-2" to="/calibrate">
            {screen ? 'Calibrate this screen again' : 'Calibrate this screen for life-size gauges'}
          </Link>
        </p>
      </div>
    </Window>
  );
}

/** A pedal is a keyboard with one key: press it once, and it is known. */
function Pedal({ pedal, onChange }: { pedal: string; onChange: (code: string) => void }): ReactNode {
  const [asking, setAsking] = useState(false);
  useEffect(() => {
    if (!asking) return undefined;
    const press = (event: KeyboardEvent): void => {
      event.preventDefault();
      event.stopPropagation();
      if (event.code !== 'Escape') onChange(event.code);
      setAsking(false);
    };
    addEventListener('keydown', press, { capture: true });
    return () => removeEventListener('keydown', press, { capture: true });
  }, [asking, onChange]);
  return (
    <p className="flex flex-wrap items-center gap-3 py-1">
      <button className="button" onClick={() => setAsking(true)}>
        {asking ? 'Press the pedal now, Esc to leave it' : 'Learn a pedal’s key'}
      </button>
      <span role="status">{pedal === '' ? 'No pedal yet' : `Pedal: ${pedal}`}</span>
      {pedal !== '' && (
        <button className="underline underline-offset-4 hover:decoration-2" onClick={() => onChange('')}>
          Clear the pedal
        </button>
      )}
    </p>
  );
}
