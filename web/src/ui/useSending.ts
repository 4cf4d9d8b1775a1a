import { useState, type FormEvent } from 'react';

/** A form which is being sent: once at a time, and with what went wrong. */
export interface Sending {
  busy: boolean;
  /** Nothing while all is well. */
  problem: string | undefined;
  /** Sends it, unless it is on its way. */
  onSubmit: (event: FormEvent) => void;
}

/**
 * Sends a form.
 *
 * @param send does it
 * @param say makes a sentence of what went wrong
 */
export function useSending(send: () => Promise<void>, say: (error: unknown) => string): Sending {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  async function start(): Promise<void> {
    setBusy(true);
    setProblem(undefined);
    try {
      await send();
    } catch (error) {
      setProblem(say(error));
    } finally {
      setBusy(false);
    }
  }
  return {
    busy,
    problem,
    onSubmit: (event) => {
      event.preventDefault();
      if (!busy) void start();
    },
  };
}
