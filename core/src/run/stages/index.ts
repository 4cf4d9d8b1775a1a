import type { UnitSystem } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import type { StageId } from '../design/stageId.js';
import type { SheetBody } from '../sheet/sheet.js';
import { counted } from '../snags/snag.js';
import { cut } from './cut.js';
import { ground } from './ground.js';
import { handover } from './handover.js';
import { make } from './make.js';
import { plan } from './plan.js';
import { prove } from './prove.js';
import { route } from './route.js';
import { seal } from './seal.js';
import type { Stage, StageContext, StageRule } from './stage.js';

/** The stages in the order of work: a new one is a file and a line here. */
export const stages: readonly StageRule[] = [plan, cut, make, prove, route, ground, seal, handover];

/** State of every stage from facts; a stop against a stage comes before what the stage says of itself. */
export function stagesOf(context: Omit<StageContext, 'waiting'>): Stage[] {
  const found: Stage[] = [];
  for (const rule of stages) {
    const waiting = found.filter(({ state }) => state !== 'done').length;
    found.push(stateOf(rule, { ...context, waiting }));
  }
  return found;
}

function stateOf({ id, name, look }: StageRule, context: StageContext): Stage {
  const against = context.body.snags.filter(({ stage }) => stage === id);
  const stop = against.find(({ level }) => level === 'stop');
  if (stop)
    return {
      id,
      name,
      state: 'snags',
      detail: counted(against),
      next: stop.remedies.at(0)?.title ?? stop.what,
      at: stop.at,
    };
  const { state, detail, next } = look(context);
  return { id, name, state, detail, next: state === 'done' ? '' : next };
}

/** The answer a stage’s screen gives in one sentence. */
export function stageHeadline(id: StageId, body: SheetBody, design: Design, units: UnitSystem): string {
  const rule = stages.find((stage) => stage.id === id);
  if (!rule) throw new Error(`no stage is called ${id}`);
  return rule.headline(body, design, units);
}

export { signOffProblem } from './handover.js';
export type { Stage, StageState } from './stage.js';
