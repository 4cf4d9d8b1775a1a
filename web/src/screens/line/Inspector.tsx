import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { SnagDetail } from '../../frame/SnagDetail.js';
import { JointInspector } from './JointInspector.js';
import { PieceInspector } from './PieceInspector.js';
import { AntennaInspector, RadioInspector } from './PortInspector.js';
import { ServiceInspector } from './ServiceInspector.js';

/** The selected place: what is said against it and how to mend it, then what it is and what can be changed. */
export function Inspector({
  selected,
  onClose,
  onInsert,
  onFit,
  onMove,
  onTakeOut,
}: {
  selected: string;
  onClose: () => void;
  onInsert: () => void;
  onFit: () => void;
  onMove: (id: string, toIndex: number) => void;
  onTakeOut: () => void;
}): ReactNode {
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
          className="grid size-8 place-items-center rounded hover:bg-panel"
          aria-label="Close"
          onClick={onClose}
        >
          <X size={18} aria-hidden />
        </button>
      </div>
      {joint && <JointInspector.Drawing joint={joint} />}
      {snags.map((snag) => (
        <SnagDetail key={snag.id} snag={snag} />
      ))}
      {joint && <JointInspector.Facts joint={joint} onInsert={onInsert} onFit={onFit} />}
      {placed && piece && (
        <PieceInspector placed={placed} piece={piece} onMove={onMove} onTakeOut={onTakeOut} />
      )}
      {selected === 'radio' && <RadioInspector />}
      {selected === 'antenna' && <AntennaInspector />}
      {selected === 'service' && <ServiceInspector />}
    </aside>
  );
}
