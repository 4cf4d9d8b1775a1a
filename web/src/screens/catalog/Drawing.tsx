import {
  braidMm,
  faceOf,
  fitCable,
  partOf,
  stripGauge,
  type Cable,
  type PartDimensions,
  type ShopEntry,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { FaceDrawing } from '../../drawing/faces/FaceDrawing.js';
import { useWords } from '../../ui/Preferences.js';
import { FaceFront } from '../../drawing/faces/FaceFront.js';
import { StripGaugeDrawing } from '../../drawing/gauge/StripGaugeDrawing.js';
import { TrainDrawing } from '../../drawing/gauge/TrainDrawing.js';
import { useWidth } from '../../ui/useWidth.js';
import { useCatalog } from '../../store/Shop.js';

/** An entry drawn from its dimensions. */
export function Drawing({ entry }: { entry: ShopEntry }): ReactNode {
  switch (entry.kind) {
    case 'cable':
      return <CableSection cable={entry.data} />;
    case 'part':
      return <PartDrawing part={entry.data} />;
    case 'adapter': {
      const [a, b] = entry.data.faces.map(faceOf);
      return (
        <div className="flex flex-wrap items-center justify-center gap-4">
          <FaceFront face={a} size={120} />
          <div className="flex">
            <FaceDrawing face={a} turned width={150} height={90} unnamed />
            <FaceDrawing face={b} width={150} height={90} unnamed />
          </div>
          <FaceFront face={b} size={120} />
        </div>
      );
    }
    case 'port':
      return (
        <div className="flex flex-wrap items-center justify-center gap-6">
          <FaceFront face={faceOf(entry.data.face)} size={130} />
          <FaceDrawing face={faceOf(entry.data.face)} width={240} height={100} unnamed />
        </div>
      );
    case 'stock':
    case 'reel':
      return null;
  }
}

const SIZE = 150;

/** The cable cut across, its layers named with their diameters. */
function CableSection({ cable }: { cable: Cable }): ReactNode {
  const words = useWords();
  const scale = (SIZE - 6) / cable.jacketMm;
  const layers = [
    { name: 'jacket', mm: cable.jacketMm, fill: 'var(--ink)', what: cable.jacket },
    {
      name: 'shield',
      mm: Math.min(braidMm(cable), cable.jacketMm),
      fill: 'var(--braid)',
      what: cable.shield,
    },
    { name: 'dielectric', mm: cable.dielectricMm, fill: 'var(--dielectric)', what: cable.dielectric },
    { name: 'centre', mm: cable.centreMm, fill: 'var(--copper)', what: words(cable.centre) },
  ];
  return (
    <div className="flex flex-wrap items-center justify-center gap-6">
      <svg
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={`${cable.name || 'The cable'} cut across: ${layers.map(({ name, mm }) => `${name} ${mm.toFixed(2)} mm`).join(', ')}`}
      >
        {layers.map(({ name, mm, fill }) => (
          <circle
            key={name}
            cx={SIZE / 2}
            cy={SIZE / 2}
            r={(mm * scale) / 2}
            fill={fill}
            stroke="var(--ink)"
            strokeWidth={0.8}
          />
        ))}
      </svg>
      <ul className="text-sm">
        {layers.map(({ name, mm, what, fill }) => (
          <li key={name} className="flex items-center gap-2">
            <span aria-hidden="true" className="size-3 border border-ink" style={{ background: fill }} />
            <span className="figures w-20">{mm.toFixed(2)} mm</span>
            {name}: {what}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The parts in sliding order and the strip lengths on the first cable they fit. */
function PartDrawing({ part: dimensions }: { part: PartDimensions }): ReactNode {
  const { cables } = useCatalog();
  const [ref, width] = useWidth<HTMLDivElement>();
  const part = partOf(dimensions);
  const fitting = [...cables.values()].filter((cable) => fitCable(part, cable).verdict === 'fits');
  const cable = fitting.at(0);
  return (
    <div ref={ref}>
      <div className="flex flex-wrap items-center justify-center gap-4">
        <FaceFront face={faceOf(part.face)} size={110} />
        <FaceDrawing face={faceOf(part.face)} width={220} height={90} unnamed />
      </div>
      {width > 0 && (
        <>
          <TrainDrawing
            items={part.train}
            confirmed={part.train.map(({ id }) => id)}
            jacketMm={cable?.jacketMm ?? part.gripBoreMm ?? 5}
            width={Math.min(width, 620)}
          />
          <p className="text-sm text-muted">
            In sliding order: {part.train.map(({ name }, k) => `${k + 1} ${name}`).join(', ')}.
          </p>
          {cable ? (
            <>
              <p className="text-sm text-muted">
                Strip lengths on {cable.name}; it fits {fitting.map(({ name }) => name).join(', ')}.
              </p>
              <StripGaugeDrawing
                gauge={stripGauge(part, cable)}
                active={undefined}
                width={Math.min(width, 620)}
                tall={70}
              />
            </>
          ) : (
            <p className="text-sm text-caution">It fits no cable of the catalogue: check its bores.</p>
          )}
        </>
      )}
    </div>
  );
}
