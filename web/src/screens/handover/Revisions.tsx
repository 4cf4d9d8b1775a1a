import { designChanges, evaluate, revisionsOf, type Design, type Sheet } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { MiniLine } from '../../drawing/ruler/MiniLine.js';
import { messageOf } from '../../store/client.js';
import { revisionsOfRun } from '../../store/queries.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { sayDay } from '../../ui/dates.js';
import { usePreferences } from '../../ui/Preferences.js';

/** What was handed over, and what is different between any two of these and what stands now. */
export function Revisions(): ReactNode {
  const { id, facts, editor } = useOpenRun();
  const revisions = revisionsOf(facts);
  const { data, error } = useQuery({ ...revisionsOfRun(id), enabled: revisions.length > 0 });
  if (revisions.length === 0) return null;
  const kept = revisions.flatMap(({ number, design, signed }) => {
    const found = data?.find(({ hash }) => hash === design);
    const who = signed.map(({ by, at }) => `${by === '' ? 'unsigned' : by}, ${sayDay(at)}`).join('; ');
    return [{ name: `Revision ${number}`, who, reason: signed[0].reason, design: found?.design }];
  });
  const states = [
    ...kept.flatMap(({ name, design }) => (design ? [{ name, design }] : [])),
    { name: 'As it stands now', design: editor.design },
  ];
  return (
    <section className="mt-6" aria-labelledby="revisions">
      <h2 id="revisions" className="font-bold">
        Revisions
      </h2>
      <ul>
        {kept.map(({ name, who, reason, design }) => (
          <li key={name} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
            <span className="font-semibold">{name}</span>
            <span>{who}</span>
            {reason && <span className="text-muted">because: {reason}</span>}
            {data && !design && <span className="text-muted">signed before Kobran kept what was signed</span>}
          </li>
        ))}
      </ul>
      {error && <p className="text-caution">{messageOf(error)}</p>}
      {states.length > 1 && <Comparison states={states} />}
    </section>
  );
}

interface State {
  name: string;
  design: Design;
}

function Comparison({ states }: { states: readonly State[] }): ReactNode {
  const { facts, practice } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const [from, setFrom] = useState(states.length - 2);
  const [to, setTo] = useState(states.length - 1);
  const before = states[Math.min(from, states.length - 1)];
  const after = states[Math.min(to, states.length - 1)];
  const sheets = useMemo(
    () => [before, after].map(({ design }) => evaluate(design, catalog, { facts, practice, sweepPoints: 2 })),
    [before, after, catalog, facts, practice],
  );
  const changes = designChanges(before.design, after.design, catalog, units);
  const marked = changes.flatMap(({ piece }) => (piece === undefined ? [] : [piece]));
  const toM = Math.max(...sheets.map(({ totalM }) => totalM));
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-end gap-3">
        <Choose label="Compare" states={states} value={from} onChange={setFrom} />
        <Choose label="with" states={states} value={to} onChange={setTo} />
      </div>
      <dl className="mt-2 grid grid-cols-[max-content_minmax(0,1fr)] items-center gap-x-3">
        <Ruler name={before.name} sheet={sheets[0]} toM={toM} marked={marked} />
        <Ruler name={after.name} sheet={sheets[1]} toM={toM} marked={marked} />
      </dl>
      <p role="status" className="mt-1 font-semibold">
        {changes.length === 0
          ? 'The same.'
          : `${changes.length} ${changes.length === 1 ? 'difference' : 'differences'}:`}
      </p>
      <ul className="list-disc pl-5">
        {changes.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </div>
  );
}

function Ruler({
  name,
  ...line
}: {
  name: string;
  sheet: Sheet;
  toM: number;
  marked: readonly string[];
}): ReactNode {
  return (
    <>
      <dt className="text-sm text-muted">{name}</dt>
      <dd>
        <MiniLine {...line} />
      </dd>
    </>
  );
}

function Choose({
  label,
  states,
  value,
  onChange,
}: {
  label: string;
  states: readonly State[];
  value: number;
  onChange: (value: number) => void;
}): ReactNode {
  return (
    <label className="flex items-center gap-2 text-sm text-muted">
      {label}
      <select
        className="field w-auto"
        value={value}
        onChange={({ target }) => onChange(Number(target.value))}
      >
        {states.map(({ name }, k) => (
          <option key={name} value={k}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
