import {
  formatDecibels,
  formatPower,
  formatResistance,
  judgeRunReading,
  parseDecibels,
  parsePower,
  parseResistance,
  parseReturnLoss,
  parseSwr,
  readingOf,
  runExpectations,
  type Result,
  type RunExpectation,
  type RunReadingId,
} from '@kobran/core';
import { useMemo, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { FigureText } from '../../ui/FigureText.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { Withdraw } from './Withdraw.js';

const tone = { pass: 'text-lake', fail: 'text-stop' };

/** How each reading is typed and written. */
const kinds: Record<
  RunReadingId,
  { format: (value: number) => string; parse: (text: string) => Result<number> }
> = {
  'return loss': { format: formatDecibels, parse: parseReturnLoss },
  loss: { format: formatDecibels, parse: parseDecibels },
  'pin to shell': { format: formatResistance, parse: parseResistance },
  swr: { format: (swr) => swr.toFixed(2), parse: parseSwr },
  power: { format: formatPower, parse: (text) => parsePower(text, { allowZero: true }) },
  'load alone': { format: (swr) => swr.toFixed(2), parse: parseSwr },
  'antenna alone': { format: (swr) => swr.toFixed(2), parse: parseSwr },
};

/** What the run as a whole should show, and what it showed: typed, where no file is at hand. */
export function WholeRun(): ReactNode {
  const { editor, sheet, facts } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  const all = useMemo(() => runExpectations(design, catalog, sheet, facts), [design, catalog, sheet, facts]);
  return (
    <section className="mt-5" aria-labelledby="whole">
      <h2 id="whole" className="text-lg font-bold">
        The whole run
      </h2>
      <div className="mt-2 grid max-w-xl gap-3 sm:grid-cols-2">
        <Reading what="load alone" label="First the load alone, SWR" />
        <Reading what="antenna alone" label="and the antenna alone, SWR" />
      </div>
      <ul className="mt-3 divide-y divide-rule border-y border-rule">
        {all.map((one) => (
          <Row key={one.id} expectation={one} />
        ))}
      </ul>
    </section>
  );
}

function Row({ expectation }: { expectation: RunExpectation }): ReactNode {
  const { id, name, how, expected, limit } = expectation;
  const read = useReading(id);
  const judged = read && judgeRunReading(expectation, read.value ?? Infinity);
  return (
    <li className="grid items-start gap-x-6 gap-y-1 py-2 sm:grid-cols-2 lg:grid-cols-[minmax(0,1.2fr)_9rem_minmax(0,1fr)_11rem]">
      <div>
        <h3 className="font-semibold">{name}</h3>
        <p className="text-sm text-muted">{how}</p>
      </div>
      <p className="pt-0.5">
        {expected.unit === 'ohm' ? (
          <span className="figures">{expected.value === Infinity ? 'open' : 'near 0 Ω'}</span>
        ) : (
          <FigureText figure={expected} />
        )}
      </p>
      <p className="pt-0.5">
        {limit}
        {judged && (
          <span role="status" className={`block font-semibold ${tone[judged.verdict]}`}>
            <span className="capitalize">{judged.verdict}.</span> {judged.why}
          </span>
        )}
      </p>
      <Reading what={id} label={`${name}, read`} hideLabel />
    </li>
  );
}

/** The newest reading of its kind. */
function useReading(what: RunReadingId): ReturnType<typeof readingOf> {
  const { facts } = useOpenRun();
  return readingOf(facts, what);
}

function Reading({
  what,
  label,
  hideLabel = false,
}: {
  what: RunReadingId;
  label: string;
  hideLabel?: boolean;
}): ReactNode {
  const { writer } = useOpenRun();
  const read = useReading(what);
  return (
    <div>
      <QuantityField
        key={read?.id ?? 'none'}
        label={label}
        hideLabel={hideLabel}
        value={read && (read.value ?? Infinity)}
        placeholder="read"
        {...kinds[what]}
        onChange={(value) =>
          writer.add({ kind: 'run reading', what, value: Number.isFinite(value) ? value : null })
        }
      />
      {read && <Withdraw key={read.id} fact={read} name={what} />}
    </div>
  );
}
