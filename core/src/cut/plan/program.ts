import { allowed, lotKey, soundMm, spanMm, type Counts, type PieceGroup } from './grouping.js';
import type { Source, Span } from './stock.js';

/** What is wanted, in this order. */
export type Goal = 'new' | 'scrap' | 'remnant';

/** A metre of a reel to be bought weighs as much as ten of one that is there. */
export const newWeight: Record<Source, number> = { offcut: 0, reel: 1, 'to buy': 10 };

/** What the first goal is: least new cable, fewest reels begun or bought, or least to pay for what is bought and begun. */
export const aims = ['new cable', 'reels', 'cost'] as const;
export type Aim = (typeof aims)[number];

/** Limits from the goals before: new cable and scrap, mm. */
export interface Reached {
  newMm?: number;
  scrapMm?: number;
}

/**
 * The cutting plan of one cable as a mixed-integer program in CPLEX LP format, lengths in mm.
 *
 * n counts the pieces of a group on a span, u says that a span is used, w which lot a set is cut from, y that a remnant is
 * still useful, s what is scrap, m and R the longest remnant.
 * @param usefulMm a shorter remnant is scrap
 */
export function programOf(
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  usefulMm: number,
  goal: Goal,
  reached: Reached,
  aim: Aim = 'new cable',
): { text: string; countsOf: (values: ArrayLike<number>) => Counts } {
  const pairs = groups.flatMap((group, t) =>
    spans.flatMap((span, b) => (allowed(group, span) ? [{ t, b, name: `n${t}_${b}` }] : [])),
  );
  const on = (b: number): typeof pairs => pairs.filter((pair) => pair.b === b);
  const taken = (b: number, sign: '+' | '-'): string =>
    on(b)
      .map(({ t, name }) => `${sign} ${groups[t].lengthMm} ${name}`)
      .join(' ');
  const used = spans.map((_, b) => b).filter((b) => on(b).length > 0);
  const rows: string[] = [];
  const binaries = used.map((b) => `u${b}`);
  for (const [t, group] of groups.entries())
    rows.push(
      `${pairs
        .filter((pair) => pair.t === t)
        .map(({ name }) => name)
        .join(' + ')} = ${group.pieces.length}`,
    );
  for (const b of used) rows.push(`${taken(b, '+')} - ${spanMm(spans[b])} u${b} <= 0`);
  const [setRows, setBinaries] = oneLotEach(groups, spans, pairs);
  rows.push(...setRows);
  binaries.push(...setBinaries);
  // Reels to be bought are alike: the first ones are used first.
  const bought = used.filter((b) => spans[b].source === 'to buy');
  for (const [k, b] of bought.entries()) if (k > 0) rows.push(`u${bought[k - 1]} - u${b} >= 0`);

  const newCable = firstGoal(aim, groups, spans, pairs, used);
  const scrap = used.map((b) => `+ s${b}`).join(' ');
  if (goal !== 'new') {
    if (newCable !== '') rows.push(`${newCable} <= ${(reached.newMm ?? 0) + 0.5}`);
    for (const b of used) {
      const mm = soundMm(spans[b]);
      const holds = spanMm(spans[b]);
      rows.push(`s${b} - ${mm} u${b} ${taken(b, '+')} + ${mm} y${b} >= 0`);
      // Where its remnant is useful, so much less is taken than was measured.
      rows.push(`${usefulMm + holds - mm} y${b} ${taken(b, '+')} <= ${holds}`);
      binaries.push(`y${b}`);
    }
  }
  if (goal === 'remnant') {
    rows.push(`${scrap} <= ${(reached.scrapMm ?? 0) + 0.5}`);
    const most = Math.max(...used.map((b) => spanMm(spans[b]))) + MAX_OVER_MM;
    rows.push(`${used.map((b) => `m${b}`).join(' + ')} = 1`);
    for (const b of used) {
      rows.push(`R ${taken(b, '+')} + ${most} m${b} <= ${soundMm(spans[b]) + most}`);
      // Only a stretch from which something is cut has a remnant.
      rows.push(
        `${on(b)
          .map(({ name }) => name)
          .join(' + ')} - m${b} >= 0`,
      );
      binaries.push(`m${b}`);
    }
  }
  // Every count is named first, so that the values of a solution come in this order.
  const named = pairs.map(({ name }) => `+ 0 ${name}`).join(' ');
  const objective = { new: newCable, scrap, remnant: '- R' }[goal];
  return {
    text: [
      'Minimize',
      ` obj: ${named} ${objective}`,
      'Subject To',
      ...rows.map((row, k) => ` r${k}: ${row}`),
      'Bounds',
      ...pairs.map(({ t, name }) => ` 0 <= ${name} <= ${groups[t].pieces.length}`),
      // Where the last saw cut falls beyond a stretch its remnant is less than nothing.
      ...(goal === 'remnant' ? [` R >= -${MAX_OVER_MM}`] : []),
      'General',
      ...pairs.map(({ name }) => ` ${name}`),
      'Binary',
      ...binaries.map((name) => ` ${name}`),
      'End\n',
    ].join('\n'),
    countsOf: (values) => {
      const counts: Counts = groups.map(() => spans.map(() => 0));
      for (const [k, { t, b }] of pairs.entries()) counts[t][b] = Math.round(values[k]);
      return counts;
    },
  };
}

/** What the first goal makes least, as terms of the program. */
function firstGoal(
  aim: Aim,
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  pairs: readonly { t: number; b: number; name: string }[],
  used: readonly number[],
): string {
  const begun = used.filter((b) => spans[b].source !== 'offcut');
  if (aim === 'reels') return begun.map((b) => `+ ${REEL_MM} u${b}`).join(' ');
  // What is bought is paid whole; of a reel that is there only what is cut.
  const whole = aim === 'cost' ? begun.filter((b) => spans[b].source === 'to buy') : [];
  const metres = pairs
    .filter(({ b }) => newWeight[spans[b].source] > 0 && !whole.includes(b))
    .map(
      ({ t, b, name }) =>
        `+ ${(aim === 'cost' ? 1 : newWeight[spans[b].source]) * groups[t].lengthMm} ${name}`,
    );
  return [...whole.map((b) => `+ ${spanMm(spans[b])} u${b}`), ...metres].join(' ');
}

/** A stretch is never taken for so much more than it was measured, mm. */
const MAX_OVER_MM = 20;

/** A reel counts as so much, mm: figures of all goals stay in one unit. */
export const REEL_MM = 1000;

/** All pieces of a set from one lot. */
function oneLotEach(
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  pairs: readonly { t: number; b: number; name: string }[],
): [rows: string[], binaries: string[]] {
  const rows: string[] = [];
  const binaries: string[] = [];
  const sets = [...new Set(groups.map(({ set }) => set).filter((set) => set !== ''))];
  const lots = [...new Set(spans.map(lotKey))];
  for (const [s, set] of sets.entries()) {
    const names = lots.map((_, l) => `w${s}_${l}`);
    rows.push(`${names.join(' + ')} = 1`);
    binaries.push(...names);
    for (const { t, b, name } of pairs)
      if (groups[t].set === set)
        rows.push(`${name} - ${groups[t].pieces.length} ${names[lots.indexOf(lotKey(spans[b], b))]} <= 0`);
  }
  return [rows, binaries];
}
