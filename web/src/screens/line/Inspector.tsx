import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useOpenRun } from '../../runs/RunContext.js';
import { SnagMark, snagColour } from '../../shell/SnagMark.js';
import { Remedies } from '../../shell/SnagList.js';
import { JointInspector } from './JointInspector.js';
import { PieceInspector } from './PieceInspector.js';
import { AntennaInspector, RadioInspector } from './PortInspector.js';
import { ServiceInspector } from './ServiceInspector.js';

/** The selected place: what is said against it and how to mend it, then what it is and what can be changed. */
export function Inspector({ selected, onClose }: { selected: string; onClose: () => void }): ReactNode {
  const { sheet, editor } = useOpenRun();
  const joint = sheet.joints.find(({ id }) => id === selected);
  const placed = sheet.pieces.find(({ id }) => id === selected);
  const piece = editor.design.pieces.find(({ id }) => id === selected);
  const snags = sheet.snags.filter(({ at }) => at === selected || (at === 'run' && selected === 'service'));
  return (
    <aside
      aria-label="Selected place"
      className="border-t border-rule bg-panel p-4 md:w-80 md:shrink-0 md:overflow-y-auto md:border-t-0 md:border-l"
    >
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-lg leading-tight font-bold">
          {joint
            ? `Joint ${joint.number}`
            : (placed?.name ?? { radio: 'Radio', antenna: 'Antenna', service: 'Service' }[selected])}
        </h2>
        <button
          className="grid size-8 place-items-center rounded hover:text-copper"
          aria-label="Close"
          onClick={onClose}
        >
          <X size={18} aria-hidden />
        </button>
      </div>
      {joint && <JointInspector.Drawing joint={joint} />}
      {snags.map((snag) => (
        <section key={snag.id} className="mt-3">
          <h3 className={`flex items-start gap-2 font-bold ${snagColour[snag.level]}`}>
            <span className="mt-1">
              <SnagMark level={snag.level} />
            </span>
            <span>
              <span className="sr-only">{snag.level}: </span>
              {snag.what}
            </span>
          </h3>
          <p className="mt-1">{snag.why}</p>
          {snag.remedies.length > 0 && <p className="mt-2 mb-1 text-sm text-muted">Ways to mend it</p>}
          <Remedies snag={snag} />
          <p className="mt-1 text-sm text-muted">Source: {snag.source}</p>
        </section>
      ))}
      {joint && <JointInspector.Facts joint={joint} />}
      {placed && piece && <PieceInspector placed={placed} piece={piece} onGone={onClose} />}
      {selected === 'radio' && <RadioInspector />}
      {selected === 'antenna' && <AntennaInspector />}
      {selected === 'service' && <ServiceInspector />}
    </aside>
  );
}
