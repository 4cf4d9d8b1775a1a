import {
  formatFigure,
  NODE_PX,
  oneLine,
  type GroundSheet,
  type NodeSheet,
  type OneLine,
  type SiteSnag,
  type UnitSystem,
} from '@kobran/core';
import { curveBumpX, line } from 'd3';
import { useMemo, type ReactNode } from 'react';
import { usePreferences } from '../../../ui/Preferences.js';

interface Props {
  ground: GroundSheet;
  snags: readonly SiteSnag[];
  selected: string | undefined;
  onSelect: (id: string) => void;
}

const path = line<{ x: number; y: number }>(
  ({ x }) => x,
  ({ y }) => y,
).curve(curveBumpX);

/** What is tied to what, from where a surge comes in to the soil; a missing conductor is a gap. */
export function OneLineDrawing({ ground, snags, selected, onSelect }: Props): ReactNode {
  const { units } = usePreferences();
  const drawing = useMemo(() => oneLine(ground, snags), [ground, snags]);
  const { width, height } = drawing;
  return (
    <figure aria-label="One-line drawing" className="mt-3 overflow-x-auto border border-rule bg-paper">
      <figcaption className="sticky left-0 px-2 pt-1 text-sm text-muted">
        Surges run from left to right, into the soil. Dashed red: missing.
      </figcaption>
      <svg width={width} height={height} className="mx-auto block">
        <Lines drawing={drawing} units={units} selected={selected} onSelect={onSelect} />
        {ground.nodes.map((node) => (
          <NodeBox
            key={node.id}
            node={node}
            at={drawing.nodes.get(node.id) ?? { x: 0, y: 0 }}
            selected={selected === node.id}
            onSelect={() => onSelect(node.id)}
          />
        ))}
      </svg>
    </figure>
  );
}

function Lines({
  drawing: { bonds, gaps },
  units,
  selected,
  onSelect,
}: {
  drawing: OneLine;
  units: UnitSystem;
  selected: string | undefined;
  onSelect: (id: string) => void;
}): ReactNode {
  return (
    <>
      {gaps.map(({ id, points }) => (
        <path
          key={id}
          d={path(points) ?? ''}
          fill="none"
          stroke="var(--stop)"
          strokeWidth={2}
          strokeDasharray="5 6"
        />
      ))}
      {bonds.map(({ id, points, sheet: { bond, from, to } }) => (
        <g key={id} className="cursor-pointer" onClick={() => onSelect(id)}>
          <title>{`${from.name} to ${to.name}`}</title>
          <path d={path(points) ?? ''} fill="none" stroke="transparent" strokeWidth={16} />
          <path
            d={path(points) ?? ''}
            fill="none"
            stroke={selected === id ? 'var(--copper)' : 'var(--ink)'}
            strokeWidth={selected === id ? 4 : bond.made ? 3 : 1.6}
          />
        </g>
      ))}
      {gaps.map(({ id, label }) => (
        <Words key={id} x={label.x} y={label.y - 5} colour="var(--stop)" bold>
          missing
        </Words>
      ))}
      {bonds.map(({ id, label, sheet: { bond, length, first } }) =>
        bond.joint === 'mounted' ? (
          <Words key={id} x={label.x} y={label.y - 5}>
            screwed on
          </Words>
        ) : (
          <g key={id}>
            <Words x={label.x} y={label.y - 5}>
              {length ? formatFigure(length, units) : 'length?'}
            </Words>
            <Words x={label.x} y={label.y + 15} bold>
              {first ? formatFigure(first, units) : 'volts not known'}
            </Words>
          </g>
        ),
      )}
    </>
  );
}

/** Text on the paper, so that no line goes through it. */
function Words({
  x,
  y,
  colour = 'var(--ink)',
  bold = false,
  children,
}: {
  x: number;
  y: number;
  colour?: string;
  bold?: boolean;
  children: string;
}): ReactNode {
  return (
    <text
      x={x}
      y={y}
      fontSize={13}
      textAnchor="middle"
      className="figures"
      style={{ fill: colour }}
      fontWeight={bold ? 700 : 400}
      stroke="var(--paper)"
      strokeWidth={5}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

/** Letters which go into a box, at 13 px. */
const LINE_LETTERS = 18;

const short = (text: string): string =>
  text.length <= LINE_LETTERS ? text : `${text.slice(0, LINE_LETTERS - 1).trimEnd()}…`;

/** A name on two lines of a box. */
function twoLines({ name, arrester }: NodeSheet): [string, string] {
  if (arrester)
    return [
      arrester.tubeV === undefined ? 'Arrester' : `Arrester, ${arrester.tubeV} V`,
      short(arrester.runName),
    ];
  if (name.length <= LINE_LETTERS) return [name, ''];
  const at = name.lastIndexOf(' ', LINE_LETTERS);
  return at < 0 ? [short(name), ''] : [name.slice(0, at), short(name.slice(at + 1))];
}

function NodeBox({
  node,
  at: { x, y },
  selected,
  onSelect,
}: {
  node: NodeSheet;
  at: { x: number; y: number };
  selected: boolean;
  onSelect: () => void;
}): ReactNode {
  const { width, height } = NODE_PX;
  const loose = !node.tied;
  const lines = twoLines(node).filter((text) => text !== '');
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={selected}
      aria-label={`${node.name}, ${node.kind}${loose ? ', not tied to the system' : ''}`}
      transform={`translate(${x - width / 2} ${y - height / 2})`}
      className="cursor-pointer"
      onClick={onSelect}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onSelect();
      }}
    >
      <rect
        width={width}
        height={height}
        rx={node.isElectrode ? 0 : 3}
        fill={selected ? 'var(--panel)' : 'var(--sheet)'}
        stroke={loose ? 'var(--stop)' : selected ? 'var(--copper)' : 'var(--ink)'}
        strokeWidth={selected ? 3 : loose ? 2 : 1.5}
        strokeDasharray={loose ? '5 4' : undefined}
      />
      {node.isElectrode && (
        <path
          d={`M${width / 2} ${height}v5M${width / 2 - 12} ${height + 5}h24M${width / 2 - 7} ${height + 8}h14M${width / 2 - 3} ${height + 11}h6`}
          stroke={loose ? 'var(--stop)' : 'var(--ink)'}
          strokeWidth={1.5}
        />
      )}
      {lines.map((text, k) => (
        <text
          key={k}
          x={width / 2}
          y={lines.length === 1 ? 25 : 17 + k * 16}
          fontSize={13}
          textAnchor="middle"
          fontWeight={k === 0 ? 600 : 400}
          fill="var(--ink)"
        >
          {text}
        </text>
      ))}
    </g>
  );
}
