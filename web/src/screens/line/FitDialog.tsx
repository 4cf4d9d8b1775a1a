import { faceInFull, fitJoint, formatDecibels, type JointSheet, type WayToJoin } from '@kobran/core';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import { JointDrawing } from '../../drawing/faces/FaceDrawing.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Window } from '../../ui/Window.js';

/** Every way to make a joint fit, ranked: turn, re-end, exchange, adapters. */
export function FitDialog({
  joint,
  open,
  onClose,
}: {
  joint: JointSheet;
  open: boolean;
  onClose: () => void;
}): ReactNode {
  return (
    <Window
      title={`Make joint ${joint.number} fit`}
      description={`${faceInFull(joint.left)} meets ${faceInFull(joint.right)}: ${joint.mating.verdict}. ${joint.mating.reason}`}
      open={open}
      onOpenChange={(to) => !to && onClose()}
      wide
    >
      {open && <Ways joint={joint} onClose={onClose} />}
    </Window>
  );
}

function Ways({ joint, onClose }: { joint: JointSheet; onClose: () => void }): ReactNode {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const ways = useMemo(() => fitJoint(editor.design, joint.id, catalog), [editor.design, joint.id, catalog]);
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => first.current?.focus(), []);
  const take = (way: WayToJoin): void => {
    editor.change(way.changes);
    toast(way.title, { description: 'Done. Ctrl Z takes it back.' });
    onClose();
  };
  useHotkeys('1, 2, 3, 4, 5, 6, 7, 8, 9', (_, { keys }) => {
    const way = ways.at(Number(keys?.at(0)) - 1);
    if (way) take(way);
  });
  return (
    <>
      <div className="mx-auto mt-3 w-fit rounded border border-rule bg-paper p-1">
        <JointDrawing left={joint.left} right={joint.right} width={360} height={96} />
      </div>
      {ways.length === 0 && (
        <p className="mt-4">
          {joint.mating.verdict === 'mates'
            ? 'This joint mates, and nothing of the catalogue would do it better.'
            : 'Nothing in the catalogue joins these two. Another cable end or an own adapter would.'}
        </p>
      )}
      <ol className="mt-4 space-y-2" aria-label="Ways, best first">
        {ways.map((way, k) => (
          <li key={way.title}>
            <button
              {...(k === 0 ? { ref: first } : {})}
              className={`grid w-full grid-cols-[1.5rem_1fr] gap-x-2 rounded border-2 bg-paper px-3 py-2 text-left hover:border-ink sm:grid-cols-[1.5rem_1fr_auto] ${k === 0 && way.passes ? 'border-copper' : 'border-rule'}`}
              onClick={() => take(way)}
            >
              <span aria-hidden="true" className="figures font-bold text-muted">
                {k + 1}
              </span>
              <span>
                <span className="block font-semibold">{way.title}</span>
                <span className="block text-sm text-muted">{way.detail}</span>
                {way.against.map((why) => (
                  <span key={why} className={`block text-sm ${way.passes ? 'text-caution' : 'text-stop'}`}>
                    {way.passes ? 'But: ' : 'Will not do: '}
                    {why}
                  </span>
                ))}
              </span>
              <span className="figures col-start-2 text-sm text-muted sm:col-start-3 sm:text-right">
                {way.joints === 0
                  ? 'no joint more'
                  : `+${way.joints} ${way.joints === 1 ? 'joint' : 'joints'}`}
                <br className="hidden sm:block" /> {formatDecibels(way.lossDb)}, {way.minutes} min
              </span>
            </button>
          </li>
        ))}
      </ol>
    </>
  );
}
