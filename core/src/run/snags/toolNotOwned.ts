import { entry, type Cable, type Part } from '../../catalog/index.js';
import { partsFor } from '../../fit/index.js';
import { cardFor, owns, toolNames, type ToolNeed } from '../../make/index.js';
import { isEndMade } from '../facts/facts.js';
import { makeSchools, type Practice } from '../../practice/index.js';
import { endId, endSides } from '../design/ids.js';
import type { MildFinding, MildRule } from './snag.js';
import { article } from '../edit/waysToJoin.js';

/** Tools of a part's card which the shop does not own. */
const missing = (part: Part, cable: Cable, practice: Practice): ToolNeed[] =>
  (cardFor(part, cable, 'metric', { schools: makeSchools(practice) })?.tools ?? []).filter(
    (need) => !owns(practice, need),
  );

/** An end whose tool or hex die the shop does not own. Source: the shop’s own list of tools and dies. */
export const toolNotOwned: MildRule = ({ catalog, layout, practice, facts }) => {
  if (!practice.diesMm && !practice.tools) return [];
  return layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    return endSides.flatMap((end): MildFinding[] => {
      const part = entry(catalog.parts, piece[end].part);
      const needs = missing(part, cable, practice);
      if (needs.length === 0 || isEndMade(facts, endId(piece.id, end))) return [];
      const others = partsFor(
        cable,
        [...catalog.parts.values()].filter(
          (other) => other.face === part.face && missing(other, cable, practice).length === 0,
        ),
      );
      return [
        {
          rule: 'tool',
          of: endId(piece.id, end),
          level: 'caution',
          stage: 'make',
          at: piece.id,
          distanceM: end === 'a' ? fromM : toM,
          what: `No ${needs.map((need) => lacking(need, practice)).join(', no ')} for ${part.name}`,
          why: needs.map((need) => because(need, practice)).join(' '),
          remedies: others.slice(0, 3).map((other) => ({
            title: `Take ${article(other.name)}`,
            detail: `${other.hexMm === null ? 'needs no die' : `${other.hexMm} mm die`} · ${other.minutes} min`,
            changes: [{ op: 'set piece', piece: { ...piece, [end]: { part: other.id } } }],
          })),
          source: 'the shop’s list of tools and dies; part dimensions',
        },
      ];
    });
  });
};

const toolItself = ({ tool }: ToolNeed, { tools }: Practice): boolean => !tools || tools.includes(tool);

const lacking = (need: ToolNeed, practice: Practice): string =>
  toolItself(need, practice) ? `${need.hexMm} mm die` : toolNames[need.tool];

function because(need: ToolNeed, practice: Practice): string {
  const { hexMm } = need;
  if (!toolItself(need, practice) || hexMm === undefined)
    return `The card of this part works with a ${toolNames[need.tool]}; the practice of this job lists none.`;
  const nearest = (practice.diesMm ?? []).toSorted((x, y) => Math.abs(x - hexMm) - Math.abs(y - hexMm)).at(0);
  return `Its ferrule closes with a hex of ${hexMm} mm${nearest === undefined ? '' : `; the nearest you own is ${nearest} mm`}.`;
}
