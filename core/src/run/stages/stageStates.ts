import { entryM, type RouteLength } from '../../route/index.js';
import type { Design } from '../design/design.js';
import { logged, type Facts } from '../facts/facts.js';
import type { Sheet } from '../sheet/sheet.js';
import type { Snag } from '../snags/snag.js';
import { stageNames, type Stage, type StageId, type StageState } from './stages.js';

type Parts = Pick<Sheet, 'ends' | 'cuts' | 'proofs' | 'wraps' | 'snags' | 'joints'>;

/** State of every stage from facts: snags, what is made, cut, read, routed, bonded, sealed and handed over. */
export function stageStates(design: Design, parts: Parts, route: RouteLength, facts: Facts): Stage[] {
  const { snags } = parts;
  const stops = (stage: StageId): Snag[] =>
    snags.filter((snag) => snag.stage === stage && snag.level === 'stop');
  const stage = (id: StageId, state: StageState, detail: string, next: string): Stage => {
    const [stop] = stops(id);
    return stop
      ? {
          id,
          name: stageNames[id],
          state: 'snags',
          detail: counted(snags.filter((snag) => snag.stage === id)),
          next: stop.remedies.at(0)?.title ?? stop.what,
          at: stop.at,
        }
      : { id, name: stageNames[id], state, detail, next: state === 'done' ? '' : next };
  };
  const planSnags = snags.filter((snag) => snag.stage === 'plan');
  const early = [
    design.pieces.length === 0 && parts.joints.every(({ mating }) => !mating.passes)
      ? stage('plan', 'not started', 'two ports, nothing between', 'Put cable between the ports')
      : stage('plan', 'done', planSnags.length === 0 ? 'no snags' : counted(planSnags), ''),
    makeStage(parts, stage),
    cutStage(parts, stage),
    proveStage(parts, stage),
    routeStage(design, route, facts, stage),
    bondStage(design, route, facts, stage),
    sealStage(parts, stage),
  ];
  const waiting = early.filter(({ state }) => state !== 'done').length;
  const handedOver = logged(facts, 'handed over', '');
  return [
    ...early,
    stage(
      'handover',
      handedOver ? 'done' : waiting === 0 ? 'in work' : 'not started',
      handedOver ? 'handed over' : waiting === 0 ? 'ready' : `${waiting} stages to go`,
      'Take the job file along and sign it over',
    ),
  ];
}

type MakeStage = (id: StageId, state: StageState, detail: string, next: string) => Stage;

const progress = (done: number, all: number): StageState =>
  done === all ? 'done' : done === 0 ? 'not started' : 'in work';

function makeStage({ ends }: Parts, stage: MakeStage): Stage {
  const made = ends.filter((end) => end.made).length;
  const open = ends.find((end) => !end.made);
  return stage(
    'make',
    progress(made, ends.length),
    ends.length === 0 ? 'no ends to make' : `${made} of ${ends.length} ends`,
    open ? `Make ${open.name}` : '',
  );
}

function cutStage({ cuts }: Parts, stage: MakeStage): Stage {
  const done = cuts.filter((cut) => cut.done).length;
  const open = cuts.find((cut) => !cut.done);
  return stage(
    'cut',
    progress(done, cuts.length),
    cuts.length === 0 ? 'nothing to cut' : `${done} of ${cuts.length} cut`,
    open ? `Cut ${open.name}` : '',
  );
}

function proveStage({ proofs }: Parts, stage: MakeStage): Stage {
  const all = proofs.flatMap(({ expectations, name }) => expectations.map((e) => ({ ...e, of: name })));
  const read = all.filter(({ reading }) => reading);
  const bad = read.find(({ judgement }) => judgement?.verdict === 'fail');
  if (bad) return stage('prove', 'snags', `${bad.name} failed`, `${bad.of}: ${bad.name} failed`);
  const open = all.find(({ reading }) => !reading);
  return stage(
    'prove',
    progress(read.length, all.length),
    all.length === 0 ? 'nothing to read' : `${read.length} of ${all.length} readings`,
    open ? `Read ${open.name.toLowerCase()} of ${open.of}` : '',
  );
}

function routeStage(design: Design, route: RouteLength, facts: Facts, stage: MakeStage): Stage {
  if (design.legs.length === 0)
    return stage('route', 'not started', 'no legs yet', 'Enter the legs of the route');
  const detail = `${(route.legs.value + route.slack.value).toFixed(1)} m, ${design.legs.length} ${design.legs.length === 1 ? 'leg' : 'legs'}`;
  return stage(
    'route',
    logged(facts, 'routed', '') ? 'done' : 'in work',
    detail,
    'Pull the run along its legs',
  );
}

function bondStage(design: Design, route: RouteLength, facts: Facts, stage: MakeStage): Stage {
  const fitted = design.pieces.some(({ kind }) => kind === 'arrester');
  const outdoors = entryM(route.spans) !== undefined;
  if (!fitted)
    return stage(
      'ground',
      outdoors ? 'not started' : 'done',
      outdoors ? 'no arrester' : 'no entry to protect',
      'Choose an arrester for the entry',
    );
  const bonded = logged(facts, 'bonded', '');
  return stage(
    'ground',
    bonded ? 'done' : 'in work',
    bonded ? 'arrester bonded' : 'arrester chosen',
    'Bond the arrester to the entry’s rod',
  );
}

function sealStage({ wraps }: Parts, stage: MakeStage): Stage {
  const done = wraps.filter(({ sealed }) => sealed).length;
  const open = wraps.find(({ sealed }) => !sealed);
  return stage(
    'seal',
    progress(done, wraps.length),
    wraps.length === 0 ? 'nothing to seal' : `${done} of ${wraps.length} joints`,
    open ? `Wrap J${open.number}` : '',
  );
}

/** `1 stop · 2 cautions`. */
export function counted(snags: readonly Pick<Snag, 'level'>[]): string {
  const words = (['stop', 'caution', 'note'] as const).flatMap((level) => {
    const count = snags.filter((snag) => snag.level === level).length;
    return count === 0 ? [] : [`${count} ${level}${count === 1 ? '' : 's'}`];
  });
  return words.join(' · ') || 'no snags';
}
