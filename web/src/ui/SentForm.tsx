import { useState, type FormEvent, type ReactNode } from 'react';

/** A form which is sent: once at a time, with what went wrong above its button, and nothing typed lost. */
export function SentForm({
  send,
  say,
  label,
  isQuiet = false,
  children,
}: {
  send: () => Promise<void>;
  /** Makes a sentence of what went wrong. */
  say: (error: unknown) => string;
  /** Of its button. */
  label: string;
  /** Not the one thing to do on its screen. */
  isQuiet?: boolean;
  children: ReactNode;
}): ReactNode {
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
  return (
    <form
      className="mt-4 grid max-w-md gap-4"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        if (!busy) void start();
      }}
    >
      {children}
      {problem !== undefined && (
        <p role="alert" className="text-stop">
          {problem}
        </p>
      )}
      <p>
        <button className={`button ${isQuiet ? '' : 'button-primary'}`} disabled={busy}>
          {busy ? 'One moment…' : label}
        </button>
      </p>
    </form>
  );
}
