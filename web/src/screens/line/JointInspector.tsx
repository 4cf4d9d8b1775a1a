import { sealSystem, faceInFull, type JointSheet } from '@kobran/core';
import { Plus, Puzzle } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { JointDrawing } from '../../drawing/faces/FaceDrawing.js';
import { useOpenRun } from '../../store/RunContext.js';
import { FigureText } from '../../ui/FigureText.js';
import { Rows } from '../../ui/Rows.js';

function Drawing({ joint }: { joint: JointSheet }): ReactNode {
  return (
    <>
      <p className="text-sm text-muted">
        {joint.between[0]} to {joint.between[1]} · {joint.zone}
      </p>
      <div className="mt-2 rounded border border-rule bg-paper p-1">
        <JointDrawing left={joint.left} right={joint.right} width={276} height={104} />
        <div className="flex justify-between gap-4 px-1 text-sm">
          <span>{faceInFull(joint.left)}</span>
          <span className="text-right">{faceInFull(joint.right)}</span>
        </div>
      </div>
    </>
  );
}

function Facts({
  joint,
  onInsert,
  onFit,
}: {
  joint: JointSheet;
  onInsert: () => void;
  onFit: () => void;
}): ReactNode {
  const { id, sheet } = useOpenRun();
  const wrap = sheet.wraps.find(({ jointIds }) => jointIds.includes(joint.id));
  const rows: [string, ReactNode][] = [
    ['Verdict', joint.mating.verdict],
    ['Tighten', joint.torque],
    ['Peak here', <FigureText key="peak" figure={joint.peak} />],
    ['Rated', <FigureText key="limit" figure={joint.limit} />],
    ['Good to', <FigureText key="top" figure={joint.maxFrequency} />],
    [joint.effect.what, <FigureText key="effect" figure={joint.effect.figure} />],
    ['Loss of this joint', <FigureText key="loss" figure={joint.loss} />],
  ];
  return (
    <section className="mt-4">
      <h3 className="text-sm text-muted">This joint</h3>
      {joint.mating.verdict === 'mates' && <p>{joint.mating.reason}</p>}
      <Rows rows={rows} />
      {wrap && (
        <p className="mt-2">
          <Link className="underline underline-offset-4" to={`/runs/${id}/seal`}>
            {wrap.sealed
              ? 'Sealed'
              : wrap.system
                ? `Seal: ${sealSystem(wrap.system).name}`
                : 'How it is sealed'}
          </Link>
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <button className="button" onClick={onFit}>
          <Puzzle size={16} aria-hidden /> Make it fit
        </button>
        <button className="button" onClick={onInsert}>
          <Plus size={16} aria-hidden /> Insert a piece here
        </button>
      </div>
      <p className="mt-3 text-sm text-muted">Sources: {joint.standard}; loss typical, from memory</p>
    </section>
  );
}

export const JointInspector = { Drawing, Facts };
