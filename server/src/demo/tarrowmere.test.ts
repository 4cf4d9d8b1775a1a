import { readDesign, readShopEntry } from '@kobran/contract';
import { applyChange, catalog, evaluate, withShop, type Design, type RunState } from '@kobran/core';
import { describe, expect, it } from 'vitest';
import { shopShelf } from './shopShelf.js';
import { tarrowmere } from './tarrowmere.js';

const known = withShop(catalog, shopShelf);
const runs = tarrowmere.flatMap(({ runs: list, practice }) => list.map((run) => ({ ...run, practice })));

/** How many stops each rule has against a run. */
function stopsOf(design: Design, state: RunState): Record<string, number> {
  const found: Record<string, number> = {};
  for (const { level, rule } of evaluate(design, known, state).snags)
    if (level === 'stop') found[rule] = (found[rule] ?? 0) + 1;
  return found;
}

describe('the demo', () => {
  it.each(runs.map((run) => [run.design.name, run] as const))(
    '%s is a design Kobran itself accepts',
    (_, { design }) =>
      expect(readDesign(JSON.parse(JSON.stringify(design)), known)).toMatchObject({ ok: true }),
  );

  it('shows snags of every kind, a trap, and runs that pass', () => {
    const sheets = runs.map(({ design, facts, practice }) => evaluate(design, known, { facts, practice }));
    const levels = new Set(sheets.flatMap(({ snags }) => snags.map(({ level }) => level)));
    expect(levels).toEqual(new Set(['stop', 'caution', 'note']));
    expect(sheets.filter(({ passes }) => !passes)).toHaveLength(2);
    expect(sheets.filter(({ receiveOnly }) => receiveOnly)).toHaveLength(1);
    const rules = new Set(sheets.flatMap(({ snags }) => snags.map(({ rule }) => rule)));
    for (const rule of [
      'mating',
      'loss-budget',
      'series-frequency',
      'arrester-tube',
      'handheld',
      'adapter-stack',
      'worn',
      'cheaper-cable',
      'unsealed',
    ])
      expect(rules, rule).toContain(rule);
  });

  it('what the crew owns can be owned', () => {
    for (const { kind, data } of shopShelf)
      expect(readShopEntry(kind, data), data.id).toMatchObject({ ok: true });
  });

  it('every remedy offered can be applied and leaves a sound design', () => {
    for (const { design, facts, practice } of runs) {
      for (const { remedies, id } of evaluate(design, known, { facts, practice }).snags) {
        for (const { changes, title, open } of remedies) {
          expect(changes.length > 0 || open !== undefined, `${id}: ${title}`).toBe(true);
          const after = changes.reduce(applyChange, design);
          expect(readDesign(JSON.parse(JSON.stringify(after)), known), `${id}: ${title}`).toMatchObject({
            ok: true,
          });
          // No rule has more stops after it than before.
          const [before, then] = [design, after].map((one) => stopsOf(one, { facts, practice }));
          for (const [rule, count] of Object.entries(then))
            expect(count, `${id}: ${title} breaks ${rule}`).toBeLessThanOrEqual(before[rule] ?? 0);
        }
      }
    }
  });
});
