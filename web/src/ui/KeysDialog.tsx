import type { ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Window } from './Window.js';

const keys: [string, string][] = [
  ['← →', 'joint by joint along the ruler'],
  ['1 … 5', 'apply a remedy of the selected place'],
  ['Tab', 'piece by piece, joint by joint'],
  ['F', 'make the selected joint fit'],
  ['A', 'put a piece in at the selected place'],
  ['R', 'turn the selected piece round'],
  ['Alt ← →', 'move the selected piece'],
  ['Delete', 'take the selected piece out'],
  ['C', 'all cables side by side for the selected piece'],
  ['W', 'what if: compare with the run as it is now'],
  ['+ − 0', 'zoom in, out, whole run'],
  ['Shift ← →', 'move along the ruler when zoomed'],
  ['Ctrl K', 'find or do anything'],
  ['Esc', 'let go of the selection; leave a card'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['U', 'metric or imperial'],
  ['Space', 'on a card: next step'],
  ['B', 'on a card: step back'],
  ['W', 'on a card: it went wrong'],
  ['R', 'on a card: say it again'],
  ['?', 'these keys'],
];

/** What a screen is for, by the beginning of its path; the first that fits. */
const help: [path: RegExp, line: string][] = [
  [/^\/runs\/[^/]+\/plan/, 'Press a joint to see whether it mates; press a numbered way to mend it.'],
  [
    /^\/runs\/[^/]+\/cut/,
    'What to take off the reel; give a piece an electrical length and trim it by its readings.',
  ],
  [
    /^\/runs\/[^/]+\/make\/./,
    'One step at a time: Space goes on, W says what went wrong. Nothing is lost when you leave.',
  ],
  [/^\/runs\/[^/]+\/make/, 'Open the card of an end and follow it step by step.'],
  [/^\/runs\/[^/]+\/prove/, 'Type what the meter shows, or drop the analyser’s files here.'],
  [/^\/runs\/[^/]+\/rehearse/, 'Measure the run with its hidden fault, then say what is wrong.'],
  [
    /^\/runs\/[^/]+\/route/,
    'Enter the legs from the radio to the antenna; their lengths and zones follow the run everywhere.',
  ],
  [/^\/runs\/[^/]+\/ground/, 'Which gas tube, from the real peak voltage of this run.'],
  [/^\/runs\/[^/]+\/seal/, 'How each outdoor joint is sealed, layer by layer.'],
  [/^\/runs\/[^/]+\/handover/, 'What is open, the log, and the job as a file; then sign off.'],
  [/^\/runs/, 'Esc goes back; every change can be undone with Ctrl Z.'],
  [/^\/quick/, 'Answers which need no run.'],
  [/^\/catalog/, 'Everything Kobran knows, with its source; add your own from its sheet.'],
  [/^\/identify/, 'Answer what you can see or feel; “not sure” is an answer.'],
  [/^\/device/, 'Keep a site on this device, and see what waits to be sent.'],
  [/^\/kit/, 'Tick which radio has to reach which antenna; out comes the smallest set of adapters.'],
  [/^\/train/, 'Ten-minute drills; what you missed comes back.'],
  [/^\/instruments/, 'Lay a run on the simulated bench, or connect your own analyser.'],
  [/^\/(jobs\/[^/]+\/)?practice/, 'How your shop works: methods, tools, dies, crew.'],
  [
    /^\/jobs\/[^/]+\/new/,
    'Choose both connectors, say the frequency and how far; take one of the proposals.',
  ],
  [/^\/$/, 'Open a run, or begin one with New run; the next step stands at its right.'],
];

export function KeysDialog({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}): ReactNode {
  const { pathname } = useLocation();
  const line = help.find(([path]) => path.test(pathname))?.[1];
  return (
    <Window
      title="Help and keys"
      open={open}
      onOpenChange={onOpenChange}
      {...(line ? { description: line } : {})}
    >
      <dl className="mt-4 grid grid-cols-[8rem_1fr] gap-y-2">
        {keys.map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="key">{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Window>
  );
}
