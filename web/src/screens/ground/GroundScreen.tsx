import {
  arresterNeeds,
  arrestersOf,
  entry,
  formatPower,
  gasTubeVolts,
  highestFiringV,
  letThrough,
  lowestFiringV,
  stageHeadline,
  tubeHistory,
  usedParts,
  type Arrester,
  type TubeChoice,
} from '@kobran/core';
import { scaleLog } from 'd3';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useWidth } from '../../ui/useWidth.js';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { FigureText } from '../../ui/FigureText.js';
import { Caution, StagePage } from '../../ui/StagePage.js';
import { SnagDetail } from '../../frame/SnagDetail.js';
import { DoneButton } from '../../frame/DoneButton.js';
import { useCatalog } from '../../store/Shop.js';
import { sayDay } from '../../ui/dates.js';
import { GroundStrand } from './GroundStrand.js';

/** The arrester of the run: which tube, does it pass direct current, and is it grounded. */
export function GroundScreen(): ReactNode {
  const { sheet, editor, facts, place } = useOpenRun();
  const catalog = useCatalog();
  const { tube } = sheet;
  const [fitted] = arrestersOf(editor.design);
  const { fittedArrester: arrester } = sheet;
  const { units } = usePreferences();
  const words = useWords();
  const stub = arrester !== undefined && !arrester.tubeChangeable;
  return (
    <StagePage
      headline={stageHeadline('ground', sheet, editor.design, units)}
      reason={
        stub
          ? words('Its shorted quarter wave grounds the centre for direct current, and passes its band.')
          : tube?.why
      }
    >
      <Caution>
        {words(
          'Local electrical code and a licensed electrician decide. Nothing survives a direct strike for certain; keep off the antenna and its ground conductors when storms are about.',
        )}
      </Caution>
      {tube && !stub && <TubeScale tube={tube} {...(fitted ? { fittedV: fitted.tubeV } : {})} />}
      {tube && <TubeFigures tube={tube} fittedV={stub ? undefined : fitted?.tubeV} />}
      {arrester && <p>It takes {arrester.impulseKa} kA once, 8/20 µs.</p>}
      {sheet.snags
        .filter(({ stage }) => stage === 'ground')
        .map((snag) => (
          <SnagDetail key={snag.id} snag={snag} />
        ))}
      <Tubes />
      {arrester && (
        <>
          {place && place.ground.nodes.length > 0 ? (
            <GroundStrand site={place} />
          ) : (
            <EntryDrawing
              name={arrester.name}
              grounded={sheet.stages.some(({ id, state }) => id === 'ground' && state === 'done')}
            />
          )}
          <p className="mb-3 max-w-2xl text-muted">
            {directCurrent(arrester)}
            {words(
              'One entry point, one plate, and from it a short, straight, wide conductor to the rod; the rods of the site and the building’s ground are joined together.',
            )}
          </p>
          <DoneButton
            fact={{ kind: 'grounded', used: usedParts(arresterNeeds(editor.design, facts, catalog)) }}
            label={words('Mark as grounded')}
            done={words('Joined to the entry ground rod')}
          />
        </>
      )}
    </StagePage>
  );
}

/** What the run asks of a tube, and what the fitted one lets through. */
function TubeFigures({ tube, fittedV }: { tube: TubeChoice; fittedV: number | undefined }): ReactNode {
  const through = fittedV === undefined ? undefined : letThrough(fittedV);
  return (
    <p className="flex flex-wrap gap-x-6">
      <span>
        Peak of the run <FigureText figure={tube.peak} />
      </span>
      <span>
        With margin <FigureText figure={tube.needed} />
      </span>
      {through && (
        <span>
          Fitted, it lets through <FigureText figure={through} />
        </span>
      )}
      {tube.holdsW !== undefined && (
        <span>The right tube holds {formatPower(tube.holdsW)} into a matched load.</span>
      )}
    </p>
  );
}

/** Each tube that can be changed: when it was looked at, and the way to its card. */
function Tubes(): ReactNode {
  const { editor, facts } = useOpenRun();
  const catalog = useCatalog();
  const tubes = arrestersOf(editor.design).filter(
    ({ arrester }) => entry(catalog.arresters, arrester).tubeChangeable,
  );
  if (tubes.length === 0) return null;
  return (
    <ul className="mt-3" aria-label="Tubes">
      {tubes.map(({ id, tubeV }) => {
        const { last, strikes } = tubeHistory(facts, id);
        return (
          <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <Link className="button" to={`tube/${id}`}>
              Open the tube card
            </Link>
            <span>
              {tubeV} V tube,{' '}
              {last ? `looked at ${sayDay(last.at)}: ${last.found}` : 'not looked at since it was fitted'}
              {strikes > 0 && `, ${strikes} ${strikes === 1 ? 'strike' : 'strikes'} near by`}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

const directCurrent = ({ passesDc, groundsDc }: Arrester): string =>
  passesDc
    ? 'It passes direct current. '
    : groundsDc
      ? 'It shorts direct current by design. '
      : 'It blocks direct current. ';

/** Standard tubes on a scale of volts: where each may fire, what the run needs, which is fitted. */
function TubeScale({ tube, fittedV }: { tube: TubeChoice; fittedV?: number }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const needed = tube.needed.value;
  const x = scaleLog()
    .domain([Math.min(40, needed * 0.8), Math.max(1300, needed * 1.2)])
    .range([16, Math.max(width - 120, 17)]);
  const rows = gasTubeVolts.length;
  const textOf = (volts: number): string =>
    [`${volts} V`, volts === tube.tubeV && 'suits', volts === fittedV && 'fitted'].filter(Boolean).join(', ');
  return (
    <div ref={ref} className="mt-4 max-w-3xl">
      {width > 0 && (
        <svg
          width={width}
          height={rows * 24 + 44}
          role="img"
          aria-label={`Gas tubes: the run needs ${Math.round(needed)} V; ${gasTubeVolts.map((v) => `${v} V may fire from ${lowestFiringV(v)} V`).join(', ')}.`}
        >
          {gasTubeVolts.map((volts, k) => {
            const low = lowestFiringV(volts);
            const holds = low >= needed;
            return (
              <rect
                key={volts}
                x={x(low)}
                y={k * 24 + 30}
                width={x(highestFiringV(volts)) - x(low)}
                height={16}
                fill={volts === tube.tubeV ? 'var(--copper)' : 'var(--panel)'}
                stroke={holds ? 'var(--ink)' : 'var(--edge)'}
                strokeDasharray={holds ? undefined : '3 3'}
              />
            );
          })}
          <path d={`M${x(needed)} 18V${rows * 24 + 30}`} stroke="var(--stop)" strokeWidth={2} />
          {gasTubeVolts.map((volts, k) => (
            <text
              key={volts}
              x={besideLine(x(highestFiringV(volts)) + 8, textOf(volts), x(needed))}
              y={k * 24 + 43}
              fontSize={13}
              className="figures"
              fontWeight={volts === tube.tubeV ? 700 : 400}
              stroke="var(--sheet)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {textOf(volts)}
            </text>
          ))}
          <text
            x={x(needed)}
            y={13}
            fontSize={13}
            textAnchor={x(needed) > width - 150 ? 'end' : 'start'}
            fontWeight={700}
          >
            must not fire below {Math.round(needed)} V
          </text>
        </svg>
      )}
    </div>
  );
}

/** Where a label begins which no line may cross, px: behind the line, where it would. */
function besideLine(from: number, text: string, line: number): number {
  const width = text.length * CHARACTER_PX;
  return from < line + LINE_GAP_PX && from + width > line - LINE_GAP_PX ? line + LINE_GAP_PX : from;
}

/** Of the figures’ face at 13 px. */
const CHARACTER_PX = 8;
const LINE_GAP_PX = 6;

/** One-line drawing of the entry: antenna, arrester, radio, rod; a missing conductor is a gap. */
function EntryDrawing({ name, grounded }: { name: string; grounded: boolean }): ReactNode {
  const words = useWords();
  const rod = words('ground rod');
  return (
    <svg
      viewBox="0 0 560 150"
      role="img"
      aria-label={`${name} at the entry, ${grounded ? `joined to its ${rod}` : `not yet joined to a ${rod}`}.`}
      className="my-4 w-full max-w-2xl"
    >
      <g stroke="var(--ink)" strokeWidth={3} fill="none">
        <path d="M20 44H220M340 44H540" />
        <rect x={220} y={26} width={120} height={36} fill="var(--paper)" />
        <path d="M280 62V84" />
        {grounded ? (
          <path d="M280 84V110" />
        ) : (
          <path d="M280 84V110" strokeDasharray="3 7" stroke="var(--stop)" />
        )}
        <path d="M256 110h48M264 118h32M272 126h16" />
      </g>
      <text x={280} y={49} fontSize={14} textAnchor="middle" fontWeight={700}>
        arrester
      </text>
      <text x={20} y={34} fontSize={14}>
        radio, protected
      </text>
      <text x={540} y={34} fontSize={14} textAnchor="end">
        antenna, surge side
      </text>
      <text x={314} y={122} fontSize={14}>
        {`entry ${rod}${grounded ? ', joined' : ': conductor missing'}`}
      </text>
    </svg>
  );
}
