import { traceOf, type ListedTrace, type StoredTrace } from '@kobran/contract';
import { farEndNames, writeTouchstone } from '@kobran/core';
import { MoreHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { messageOf } from '../../store/client.js';
import { useOpenRun } from '../../store/RunContext.js';
import type { Traces } from '../../store/useTraces.js';
import { sayMoment } from '../../ui/dates.js';
import { Menu } from '../../ui/Menu.js';
import { Tick } from '../../ui/Tick.js';
import { saveFile } from '../../ui/saveFile.js';

/** A sweep of the list: look at it, draw it beside, and what else can be done with it. */
export function SweepRow({
  trace,
  traces,
  chosen,
  onChoose,
  beside,
  onBeside,
}: {
  trace: ListedTrace;
  traces: Traces;
  chosen: boolean;
  onChoose: () => void;
  beside: boolean;
  onBeside: (on: boolean) => void;
}): ReactNode {
  const { editor } = useOpenRun();
  const piece = editor.design.pieces.find(({ id }) => id === trace.pieceId);
  const of = piece?.kind === 'assembly' ? piece.label : 'the whole run';
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
      <label className="flex min-h-9 flex-1 cursor-pointer items-center gap-3">
        <input type="radio" name="trace" className="size-5 accent-ink" checked={chosen} onChange={onChoose} />
        <span>
          <span className={chosen ? 'font-bold' : ''}>{trace.name}</span>
          {trace.birth && <strong className="ml-2 text-lake">birth record</strong>}
          <span className="block text-sm text-muted">
            {of}, {trace.far === 'open' ? 'far end open' : `${farEndNames[trace.far]} on the far end`}
            {trace.rained ? ', after rain' : ''}; {trace.by === '' ? '' : `${trace.by}, `}
            {sayMoment(trace.at)}
          </span>
        </span>
      </label>
      {!chosen && (
        <span className="text-sm">
          <Tick label="Draw beside" checked={beside} onChange={onBeside} />
        </span>
      )}
      <SweepMenu trace={trace} traces={traces} />
    </li>
  );
}

/** What can be done with a sweep: at the server only what the server has. */
function SweepMenu({ trace, traces }: { trace: ListedTrace; traces: Traces }): ReactNode {
  const waits = traces.waits(trace.id);
  return (
    <Menu
      label={`More for ${trace.name}`}
      align="end"
      className="grid size-9 place-items-center rounded hover:bg-panel"
      trigger={<MoreHorizontal size={18} aria-hidden />}
      items={[
        ...(trace.birth
          ? []
          : [
              {
                label: 'Set as birth record',
                hint: waits ? NOT_YET : 'later sweeps are held against it',
                disabled: waits,
                act: () => traces.makeBirth(trace.id),
              },
            ]),
        {
          label: 'Save as file',
          hint: 'Touchstone',
          act: () => void traces.whole(trace.id).then(save, sayFault),
        },
        {
          label: 'Delete',
          hint: waits ? NOT_YET : 'it can be restored',
          disabled: waits,
          act: () => traces.remove(trace),
        },
      ]}
    />
  );
}

const NOT_YET = 'as soon as the server has it';

const sayFault = (error: unknown): void => void toast.error(messageOf(error));

/** The trace as an open file. */
function save(kept: StoredTrace): void {
  const trace = traceOf(kept);
  const text = writeTouchstone(trace, [
    kept.name,
    `taken ${kept.at}${kept.by === '' ? '' : ` by ${kept.by}`}`,
  ]);
  const name = kept.name.replace(/\.s[12]p$/i, '').replace(/[^\w.-]+/g, '-');
  saveFile(text, `${name}.s${trace.ports}p`, 'text/plain');
}
