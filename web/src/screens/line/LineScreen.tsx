import { counted, rulerAt, type Snag } from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { LineDrawing } from '../../drawing/ruler/LineDrawing.js';
import { useRulerView } from '../../drawing/ruler/useRulerView.js';
import { useWidth } from '../../ui/useWidth.js';
import { ZoomBar } from '../../drawing/ruler/ZoomBar.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { SnagList } from '../../frame/SnagList.js';
import { Charts } from './Charts.js';
import { Ends } from './Ends.js';
import { FiguresTable } from './FiguresTable.js';
import { FitDialog } from './FitDialog.js';
import { InsertDialog } from './InsertDialog.js';
import { Inspector } from './Inspector.js';
import { SweepSection } from './SweepSection.js';
import { useLineKeys } from './useLineKeys.js';
import { useSelection } from './useSelection.js';
import { useWhatIf, WhatIf } from './WhatIf.js';
import { FrequencyField } from '../../ui/unitFields.js';

/** Plan: the run on its ruler, power, voltage and loss on the same scale, snags in words, and the selected place at the side. */
export function LineScreen(): ReactNode {
  const { sheet, editor, id: runId } = useOpenRun();
  const [cursorM, setCursorM] = useState<number>();
  const [lookHz, setLookHz] = useState<number>();
  const catalog = useCatalog();
  const ruler = useMemo(
    () => (lookHz === undefined ? sheet.ruler : rulerAt(editor.design, catalog, lookHz)),
    [lookHz, sheet, editor.design, catalog],
  );
  const [dialog, setDialog] = useState<'fit' | 'insert'>();
  const [ref, width] = useWidth<HTMLDivElement>();
  const view = useRulerView(sheet.totalM, width);
  const selection = useSelection();
  const whatIf = useWhatIf();
  const navigate = useNavigate();
  const { joint, show } = selection;
  useLineKeys(selection, view, setDialog, whatIf.toggle);
  /** The joint “make it fit” is about: the chosen one, else the first that passes nothing. */
  const fitJoint = joint ?? sheet.joints.find(({ mating }) => !mating.passes) ?? sheet.joints[0];
  const pick = ({ at }: Snag): void => show(at === 'run' ? 'service' : at);
  const closeDialog = (): void => setDialog(undefined);

  return (
    <>
      <main className="relative min-w-0 flex-1 overflow-x-hidden overflow-y-auto px-3 py-3 md:px-5">
        <h1 className={`text-xl leading-tight font-bold ${sheet.passes ? '' : 'text-stop'}`}>
          {sheet.headline}
        </h1>
        <p className="text-muted">{sheet.reason}</p>
        {whatIf.base && <WhatIf base={whatIf.base} onEnd={whatIf.end} />}
        <Ends selected={selection.id} onSelect={selection.toggle} />
        <div ref={ref} className="mt-1">
          {width > 0 && (
            <>
              <LineDrawing
                sheet={sheet}
                scale={view.scale}
                surface={view.surface}
                width={width}
                selected={selection.id}
                onSelect={selection.toggle}
                onMove={selection.move}
                cursorM={cursorM}
                onCursor={setCursorM}
              />
              <div className="mt-2 flex flex-wrap items-center gap-x-2 gap-y-1 px-3 text-sm">
                <Tool keyName="A" label="Insert a piece" onClick={() => setDialog('insert')} />
                {(joint ?? !sheet.passes) && (
                  <Tool keyName="F" label={`Make J${fitJoint.number} fit`} onClick={() => setDialog('fit')} />
                )}
                <Tool
                  keyName="C"
                  label="Compare cables"
                  onClick={() => void navigate(`/runs/${runId}/cables`)}
                />
                <Tool
                  keyName="W"
                  label={whatIf.base ? 'End comparison' : 'What if…'}
                  onClick={whatIf.toggle}
                />
                <span className="flex-1" />
                <span className="flex items-center gap-1.5">
                  <span aria-hidden="true">At</span>
                  <span className="w-32">
                    <FrequencyField
                      label="Frequency of the curves"
                      hideLabel
                      value={ruler.frequencyHz}
                      onChange={setLookHz}
                    />
                  </span>
                </span>
                <ZoomBar view={view} aroundM={selection.atM} />
              </div>
              <Charts
                sheet={sheet}
                ruler={ruler}
                scale={view.scale}
                width={width}
                cursorM={cursorM}
                onCursor={setCursorM}
              />
            </>
          )}
        </div>
        <section className="mt-2 px-3">
          <h2 className="font-bold">
            Problems <span className="font-normal text-muted">{counted(sheet.snags)}</span>
          </h2>
          <SnagList snags={sheet.snags} onPick={pick} />
        </section>
        <SweepSection />
        <FiguresTable sheet={sheet} />
      </main>
      {selection.id !== undefined && (
        <Inspector
          selected={selection.id}
          onClose={() => show(undefined)}
          onInsert={() => setDialog('insert')}
          onFit={() => setDialog('fit')}
          onMove={selection.move}
          onTakeOut={selection.takeOut}
        />
      )}
      <FitDialog joint={fitJoint} open={dialog === 'fit'} onClose={closeDialog} />
      <InsertDialog at={selection.insertAt} open={dialog === 'insert'} onClose={closeDialog} onDone={show} />
    </>
  );
}

function Tool({
  keyName,
  label,
  onClick,
}: {
  keyName: string;
  label: string;
  onClick: () => void;
}): ReactNode {
  return (
    <button className="flex min-h-8 items-center gap-1.5 rounded px-1.5 hover:bg-panel" onClick={onClick}>
      <kbd aria-hidden="true" className="key">
        {keyName}
      </kbd>
      {label}
    </button>
  );
}
