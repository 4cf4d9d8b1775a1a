import {
  formatClock,
  placeName,
  placesOf,
  TICK_MIN,
  type DaySetup,
  type FixedTask,
  type PlacedTask,
  type Schedule,
} from '@kobran/core';
import { scaleLinear } from 'd3';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useDrag } from '../../../ui/useDrag.js';
import { useWidth } from '../../../ui/useWidth.js';

const ROW = 70;
/** Of a row the bars; below them stands where somebody is. */
const BARS = 50;
const HEAD = 26;
const NAME = 84;

interface Props {
  plan: Schedule;
  setup: DaySetup;
  selected: string | undefined;
  onSelect: (id: string) => void;
  onFix: (task: string, to: Omit<FixedTask, 'task'> | undefined) => void;
}

/** Bars per person over the hours: rain and wind as bands, the chain which decides the end in ink. */
export function DayBars({ plan, setup, selected, onSelect, onFix }: Props): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const from = Math.min(...setup.people.map(({ hours }) => hours[0]), 24 * 60);
  const to = Math.max(...setup.people.map(({ hours }) => hours[1]), from + 60);
  const x = scaleLinear()
    .domain([from, to])
    .range([NAME, Math.max(NAME + 1, width - 24)]);
  const height = HEAD + ROW * setup.people.length + 8;
  const hours = Array.from(
    { length: Math.floor(to / 60) - Math.ceil(from / 60) + 1 },
    (_, k) => (Math.ceil(from / 60) + k) * 60,
  );
  const every = width < 560 ? 2 : 1;
  const chain = new Set(plan.chain);
  return (
    <div ref={ref} className="mt-4">
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label={textOf(plan)}>
          <defs>
            <pattern
              id="rain"
              width="8"
              height="8"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(30)"
            >
              <path d="M0 0V8" stroke="var(--lake)" strokeWidth="1.5" />
            </pattern>
            <pattern id="wind" width="8" height="8" patternUnits="userSpaceOnUse">
              <path d="M0 4H8" stroke="var(--muted)" strokeWidth="1.5" />
            </pattern>
          </defs>
          {hours.map((at, k) => (
            <g key={at}>
              <path d={`M${x(at)} ${HEAD - 6}V${height - 8}`} stroke="var(--rule)" />
              {k % every === 0 && (
                <text
                  x={x(at)}
                  y={HEAD - 10}
                  fontSize={13}
                  textAnchor="middle"
                  className="figures"
                  fill="var(--muted)"
                >
                  {formatClock(at)}
                </text>
              )}
            </g>
          ))}
          {(['wet', 'windy'] as const).flatMap((kind) =>
            setup[kind].map(([a, b]) => (
              <g key={`${kind}${a}`}>
                <rect
                  x={x(Math.max(a, from))}
                  y={HEAD - 4}
                  width={Math.max(0, x(Math.min(b, to)) - x(Math.max(a, from)))}
                  height={height - HEAD - 4}
                  fill={`url(#${kind === 'wet' ? 'rain' : 'wind'})`}
                  opacity={0.35}
                />
              </g>
            )),
          )}
          {setup.people.map(({ name, hours: [begin, end], away }, row) => (
            <g key={name}>
              <text x={0} y={HEAD + row * ROW + 30} fontSize={15} fontWeight={700} fill="var(--ink)">
                {name}
              </text>
              <path d={`M0 ${HEAD + (row + 1) * ROW}H${width}`} stroke="var(--rule)" />
              {[[from, begin], ...away, [end, to]].map(
                ([a, b]) =>
                  b > a && (
                    <rect
                      key={`${a}-${b}`}
                      x={x(Math.max(a, from))}
                      y={HEAD + row * ROW + 2}
                      width={Math.max(0, x(Math.min(b, to)) - x(Math.max(a, from)))}
                      height={BARS - 4}
                      fill="var(--panel)"
                      stroke="var(--rule)"
                      strokeDasharray="3 3"
                    />
                  ),
              )}
            </g>
          ))}
          {setup.people.map(({ name }, row) => (
            <Places key={name} plan={plan} name={name} row={row} x={x} />
          ))}
          {plan.placed.flatMap((one) =>
            one.people.map((name) => (
              <Bar
                key={`${one.task.id} ${name}`}
                one={one}
                name={name}
                row={setup.people.findIndex((person) => person.name === name)}
                x={x}
                setup={setup}
                isChain={chain.has(one.task.id)}
                isSelected={selected === one.task.id}
                onSelect={onSelect}
                onFix={onFix}
              />
            )),
          )}
        </svg>
      )}
      <p className="text-sm text-muted">
        Filled: the chain which decides the end. Below the bars: where they are done.{' '}
        {setup.wet.length > 0 ? 'Slanted: rain. ' : ''}
        {setup.windy.length > 0 ? 'Level lines: nobody aloft. ' : ''}
        Drag a bar, or move it with the arrow keys, to put it to a time or a person; the rest is planned
        around it.
      </p>
    </div>
  );
}

/** Where somebody is, as long as it is one place: a climb is one line. */
function Places({
  plan,
  name,
  row,
  x,
}: Pick<Props, 'plan'> & Pick<BarProps, 'name' | 'row' | 'x'>): ReactNode {
  const y = HEAD + row * ROW + BARS + 2;
  return (
    <>
      {placesOf(plan, name).map(({ place, startMin, endMin }) => {
        const [left, right] = [x(startMin) + 1, x(endMin) - 2];
        const word = placeName[place];
        const short = word.split(',')[0];
        const room = (right - left) / 7.4;
        return (
          <g key={startMin}>
            <path
              d={`M${left} ${y}H${right}`}
              stroke="var(--ink)"
              strokeWidth={place === 'aloft' ? 4 : 1.5}
              strokeDasharray={place === 'ground' ? '5 3' : place === 'inside' ? '1 3' : undefined}
            />
            {short.length <= room && (
              <text x={left} y={y + 14} fontSize={13} fill="var(--muted)">
                {short}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

interface BarProps extends Pick<Props, 'onSelect' | 'onFix' | 'setup'> {
  one: PlacedTask;
  name: string;
  row: number;
  x: ReturnType<typeof scaleLinear<number, number>>;
  isChain: boolean;
  isSelected: boolean;
}

/** Minutes and rows by key. */
const moves: Record<string, [number, number] | undefined> = {
  ArrowLeft: [-TICK_MIN, 0],
  ArrowRight: [TICK_MIN, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function Bar({ one, name, row, x, setup, isChain, isSelected, onSelect, onFix }: BarProps): ReactNode {
  const { task, startMin, endMin, people } = one;
  const [drag, setDrag] = useState<{ dx: number; dy: number }>();
  const fixed = setup.fixed.some((other) => other.task === task.id);
  const put = (minutes: number, rows: number): void => {
    const to = setup.people.at(Math.max(0, Math.min(setup.people.length - 1, row + rows)));
    const start = Math.max(0, Math.round((startMin + minutes) / TICK_MIN) * TICK_MIN);
    onFix(task.id, {
      startMin: start,
      people:
        rows === 0 || !to
          ? people
          : [...people.filter((other) => other !== name && other !== to.name), to.name],
    });
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const move = moves[event.key];
    if (move) put(...move);
    else if (event.key === 'Enter' || event.key === ' ') onSelect(task.id);
    else if (event.key === 'Delete') onFix(task.id, undefined);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const hold = useDrag({
    onDrag: (dx, dy) => setDrag({ dx, dy }),
    onDrop: (dx, dy) => {
      setDrag(undefined);
      const minutes = x.invert(x(startMin) + dx) - startMin;
      const rows = Math.round(dy / ROW);
      if (Math.abs(minutes) >= TICK_MIN / 2 || rows !== 0) put(minutes, rows);
    },
    onCancel: () => setDrag(undefined),
    onClick: () => onSelect(task.id),
  });
  const says = `${task.title}, ${task.whose}, ${formatClock(startMin)} to ${formatClock(endMin)}, ${people.join(' and ')}${isChain ? ', decides the end' : ''}${fixed ? ', fixed' : ''}`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={says}
      aria-pressed={isSelected}
      className="cursor-grab touch-none"
      transform={`translate(${drag?.dx ?? 0} ${drag?.dy ?? 0})`}
      onKeyDown={onKeyDown}
      {...hold}
    >
      <title>{says}</title>
      <BarLooks one={one} row={row} x={x} isChain={isChain} isSelected={isSelected} isFixed={fixed} />
    </g>
  );
}

function BarLooks({
  one: { task, startMin, endMin },
  row,
  x,
  isChain,
  isSelected,
  isFixed,
}: Pick<BarProps, 'one' | 'row' | 'x' | 'isChain' | 'isSelected'> & { isFixed: boolean }): ReactNode {
  const wide = Math.max(3, x(endMin) - x(startMin) - 1);
  return (
    <>
      <rect
        x={x(startMin)}
        y={HEAD + row * ROW + 8}
        width={wide}
        height={BARS - 14}
        rx={2}
        fill={isChain ? 'var(--ink)' : 'var(--paper)'}
        stroke={isSelected ? 'var(--copper)' : 'var(--ink)'}
        strokeWidth={isSelected ? 3 : 1}
      />
      {isFixed && (
        <circle cx={x(startMin) + 5} cy={HEAD + row * ROW + BARS - 11} r={3} fill="var(--copper)" />
      )}
      {wide > 58 && (
        <text
          x={x(startMin) + 5}
          y={HEAD + row * ROW + 32}
          fontSize={13}
          fill={isChain ? 'var(--sheet)' : 'var(--ink)'}
        >
          {fitted(task.title, Math.floor((wide - 8) / 6.8))}
        </text>
      )}
    </>
  );
}

/** As much of a title as there is room for. */
const fitted = (title: string, letters: number): string =>
  title.length <= letters ? title : `${title.slice(0, letters - 1).trimEnd()}…`;

const textOf = ({ placed, endMin }: Schedule): string =>
  `${placed.length} tasks until ${formatClock(endMin)}; each bar is a button, the list below says the same.`;
