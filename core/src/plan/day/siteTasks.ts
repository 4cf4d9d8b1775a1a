import { cardFor, type ToolId } from '../../make/index.js';
import { makeSchools, type Practice } from '../../practice/index.js';
import { factAbout, factsOf, type Sheet } from '../../run/index.js';
import type { SharedTool, SiteSheet, Skill } from '../../site/index.js';
import type { PlannedRun } from '../partsList.js';
import { aloftCautions, digCautions, LONG_PULL_M, placeFactor, usualMinutes } from './defaults.js';
import { learnedMinutes, type TimedTask } from './learned.js';
import type { Task, TaskPlace } from './task.js';

/** A run of the site whose tasks are wanted. */
export type RunToPlan = Omit<PlannedRun, 'sheet'> & {
  sheet: Pick<Sheet, 'cuts' | 'ends' | 'wraps' | 'proofs' | 'joints' | 'stages' | 'route'>;
};

/** What a card asks for, as far as a crew has few of it. */
const sharedOf: Partial<Record<ToolId, SharedTool>> = {
  crimper: 'crimper',
  'compression-tool': 'compression tool',
  'fine-iron': 'iron',
  'heavy-iron': 'iron',
  'hot-air': 'heat gun',
};

type Draft = Pick<Task, 'kind' | 'title' | 'place' | 'after'> & {
  key: string;
  minutes: number;
} & Partial<Omit<Task, 'id' | 'spread' | 'minutes'>>;

/**
 * What is still to be done on a site, from its runs and its ground: never a list which somebody types. The order of a run follows from its
 * route: an end which does not pass a duct is made after the pull; bench test before it goes up; prove before seal; hand over last.
 * Handbook of the trade, 9.
 *
 * @param timed how long such tasks took, in all jobs
 */
export function siteTasks(
  runs: readonly RunToPlan[],
  site: SiteSheet,
  practice: Practice,
  timed: readonly TimedTask[] = [],
): Task[] {
  const asTask = (of: { id: string; name: string } | undefined, draft: Draft): Task => {
    const { key, minutes, place, kind, learnedBy = kind, ...rest } = draft;
    const usual = learnedMinutes(
      minutes * placeFactor[place],
      timed.filter((one) => one.learnedBy === learnedBy && one.place === place),
    );
    return {
      people: place === 'aloft' ? 2 : 1,
      skills: [],
      tools: [],
      dry: false,
      cautions: place === 'aloft' ? aloftCautions : [],
      fact: undefined,
      opens: undefined,
      whose: of?.name ?? 'the site',
      ...rest,
      id: of ? `${of.id} ${key}` : key,
      runId: of?.id,
      kind,
      place,
      learnedBy,
      minutes: Math.max(1, Math.round(usual.minutes)),
      spread: usual.spread,
    };
  };
  const pulls = pullTasks(site, runs).map((draft) => asTask(undefined, draft));
  const ofRuns = runs.flatMap((run) =>
    runDrafts(run, site, practice).map((draft) => asTask({ id: run.id, name: run.design.name }, draft)),
  );
  const ground = groundDrafts(site).map((draft) => asTask(undefined, draft));
  const all = [...ofRuns, ...pulls, ...ground];
  const ids = new Set(all.map(({ id }) => id));
  // What is done already stands in nobody’s way.
  return all.map((task) => ({ ...task, after: task.after.filter((id) => ids.has(id)) }));
}

/** One run with what its tasks have in common. */
interface RunAtWork {
  run: RunToPlan;
  /** The whole id of a task of this run. */
  of: (key: string) => string;
  /** Ways into which it is still to be pulled. */
  pulls: string[];
  /** Ends which are made after the pull. */
  late: string[];
}

function runDrafts(run: RunToPlan, site: SiteSheet, practice: Practice): Draft[] {
  const { id, facts, sheet } = run;
  const isHandedOver = sheet.stages.some((stage) => stage.id === 'handover' && stage.state === 'done');
  if (isHandedOver) return [];
  const at: RunAtWork = {
    run,
    of: (key) => `${id} ${key}`,
    pulls: site.ways
      .filter(({ pulls }) => pulls.some(({ cable }) => cable.runId === id))
      .map(({ way }) => `pull ${way.id}`),
    late: sheet.ends.filter(({ afterPull }) => afterPull && !afterPull.pulled).map((end) => end.id),
  };
  const ids = (drafts: readonly Draft[]): string[] => drafts.map(({ key }) => at.of(key));
  const isOpen = ({ key }: Draft): boolean => !factsOf(facts, 'task done').some(({ task }) => task === key);
  const cuts = cutDrafts(at);
  const makes = makeDrafts(at, practice);
  const tests = testDrafts(at, makes);
  const early = ids([...cuts, ...makes.filter(({ place }) => place === 'bench'), ...tests]);
  const hang = hangDrafts(at, early);
  const arrester = arresterDrafts(at);
  const before = ids([...makes, ...hang, ...arrester]);
  const mates = mateDrafts(run, before).filter(isOpen);
  const prove = proveDrafts(at, [...before, ...ids([...mates, ...tests])]);
  const seals = sealDrafts(at, ids([...mates, ...prove]));
  const label: Draft = {
    key: 'label',
    kind: 'label',
    title: 'Label both ends, boxes and entries',
    minutes: usualMinutes.label.each,
    place: 'inside',
    after: ids(hang),
  };
  const work = [...cuts, ...makes, ...tests, ...hang, ...arrester, ...mates, ...prove, ...seals].concat(
    isOpen(label) ? [label] : [],
  );
  return [
    ...work,
    {
      key: 'hand over',
      kind: 'hand over',
      title: 'Hand over',
      minutes: usualMinutes['hand over'].each,
      place: 'inside',
      after: ids(work),
      skills: ['sign'],
      opens: 'handover',
    },
  ];
}

const cutDrafts = ({ run: { sheet } }: RunAtWork): Draft[] =>
  sheet.cuts
    .filter(({ done }) => !done)
    .map(({ pieceId, name }) => ({
      key: `cut ${pieceId}`,
      kind: 'cut',
      title: `Cut ${name}`,
      minutes: usualMinutes.cut.each,
      place: 'bench',
      after: [],
      fact: { kind: 'cut', pieceId },
    }));

const makeDrafts = ({ run, of, pulls, late }: RunAtWork, practice: Practice): Draft[] =>
  run.sheet.ends
    .filter(({ made }) => !made)
    .map((end): Draft => {
      const card = cardFor(end.part, end.cable, 'metric', { schools: makeSchools(practice) });
      const tools = [...new Set((card?.tools ?? []).flatMap(({ tool }) => sharedOf[tool] ?? []))];
      const isLate = late.includes(end.id);
      const place = !isLate ? 'bench' : aloftAt(run, end.atM) ? 'aloft' : 'ground';
      return {
        key: `make ${end.id}`,
        kind: 'make',
        title: `Make ${end.name}`,
        minutes: end.part.minutes,
        place,
        after: [of(`cut ${end.pieceId}`), ...(isLate ? [...pulls, of('hang')] : [])],
        skills: [...skillsOf(tools), ...(place === 'aloft' ? (['climb'] as const) : [])],
        tools,
        dry: isLate,
        opens: `make/${end.id}`,
        learnedBy: card?.recipe ?? 'make',
      };
    });

const testDrafts = ({ run: { sheet }, of, late }: RunAtWork, makes: readonly Draft[]): Draft[] =>
  sheet.proofs
    .filter(
      ({ pieceId, expectations }) =>
        expectations.some(({ reading }) => !reading) && !late.some((end) => end.startsWith(`${pieceId}.`)),
    )
    .map(({ pieceId, name }) => ({
      key: `test ${pieceId}`,
      kind: 'bench test',
      title: `Read ${name} on the bench`,
      minutes: usualMinutes['bench test'].each,
      place: 'bench',
      after: makes.filter(({ key }) => key.startsWith(`make ${pieceId}.`)).map(({ key }) => of(key)),
      skills: ['measure'],
      tools: ['analyser'],
      opens: 'prove',
    }));

function hangDrafts({ run: { design, facts }, pulls }: RunAtWork, early: readonly string[]): Draft[] {
  if (factAbout(facts, 'installed') || design.legs.length === 0) return [];
  const goesUp = design.legs.some(({ kind }) => kind === 'tower leg');
  return [
    {
      key: 'hang',
      kind: 'hang',
      title: goesUp ? 'Hoist and clamp along its route' : 'Lay along its route',
      minutes: usualMinutes.hang.each + (usualMinutes.hang.perM ?? 0) * metresOf(design.legs),
      place: goesUp ? 'aloft' : 'inside',
      after: [...early, ...pulls],
      skills: goesUp ? ['climb'] : [],
      people: 2,
      fact: { kind: 'installed' },
    },
  ];
}

function arresterDrafts({ run: { design, facts, sheet } }: RunAtWork): Draft[] {
  const isWanted =
    design.pieces.some(({ kind }) => kind === 'arrester') &&
    sheet.stages.some(({ id, state }) => id === 'ground' && state !== 'done');
  if (!isWanted || factAbout(facts, 'grounded')) return [];
  return [
    {
      key: 'arrester',
      kind: 'arrester',
      title: 'Mount the arrester and ground it',
      minutes: usualMinutes.arrester.each,
      place: 'ground',
      after: [],
      tools: ['torque spanner'],
      fact: { kind: 'grounded' },
    },
  ];
}

const proveDrafts = ({ run: { sheet } }: RunAtWork, after: string[]): Draft[] =>
  sheet.stages.some(({ id, state }) => id === 'prove' && state === 'done')
    ? []
    : [
        {
          key: 'prove',
          kind: 'prove',
          title: 'Prove the whole run',
          minutes: usualMinutes.prove.each,
          place: 'inside',
          after,
          skills: ['measure'],
          tools: ['analyser'],
          opens: 'prove',
        },
      ];

const sealDrafts = ({ run: { sheet } }: RunAtWork, after: string[]): Draft[] =>
  sheet.wraps
    .filter(({ sealed }) => !sealed)
    .map(({ jointId, name, wrap, aloft, zone }) => ({
      key: `seal ${jointId}`,
      kind: 'seal',
      title: `Seal ${name}`,
      minutes: wrap?.minutes.value ?? usualMinutes.bond.each,
      place: aloft ? 'aloft' : 'ground',
      after,
      skills: aloft ? ['climb'] : [],
      dry: zone !== 'sheltered',
      opens: wrap ? `seal/${encodeURIComponent(jointId)}` : 'seal',
    }));

/** Joints which are coupled where they stand: those aloft in one climb, the others at once. */
function mateDrafts(run: RunToPlan, after: string[]): Draft[] {
  const aloft = run.sheet.joints.filter(({ atM }) => aloftAt(run, atM)).length;
  const draft = (count: number, up: boolean): Draft[] =>
    count === 0
      ? []
      : [
          {
            key: up ? 'mate aloft' : 'mate',
            kind: 'mate',
            title: `Couple ${count} ${count === 1 ? 'joint' : 'joints'}${up ? ' aloft' : ''}, torque read`,
            minutes: usualMinutes.mate.each * count,
            place: up ? 'aloft' : 'inside',
            after,
            skills: up ? ['climb'] : [],
            tools: ['torque spanner'],
          },
        ];
  return [...draft(aloft, true), ...draft(run.sheet.joints.length - aloft, false)];
}

/** Cables which go into a duct go in together. */
function pullTasks({ ways }: SiteSheet, runs: readonly RunToPlan[]): Draft[] {
  return ways
    .filter(({ pulls }) => pulls.length > 0)
    .map(({ way, length, pulls }): Draft => {
      const ids = [...new Set(pulls.map(({ cable }) => cable.runId))];
      const early = runs
        .filter(({ id }) => ids.includes(id))
        .flatMap(({ id, sheet }) => [
          ...sheet.cuts.map(({ pieceId }) => `${id} cut ${pieceId}`),
          ...sheet.ends.filter(({ afterPull }) => !afterPull).map((end) => `${id} make ${end.id}`),
          ...sheet.proofs.map(({ pieceId }) => `${id} test ${pieceId}`),
        ]);
      return {
        key: `pull ${way.id}`,
        kind: 'pull',
        title: `Pull ${pulls.length} ${pulls.length === 1 ? 'cable' : 'cables'} into ${way.name}`,
        minutes: usualMinutes.pull.each + (usualMinutes.pull.perM ?? 0) * length.value,
        place: 'ground',
        people: length.value > LONG_PULL_M ? 3 : 2,
        after: early,
        whose: way.name,
        opens: `pull/${way.id}`,
      };
    });
}

/** Rods to drive and conductors to join; each is logged by name and day where it is drawn. */
function groundDrafts({ ground: { nodes, bonds } }: SiteSheet): Draft[] {
  const rods = nodes
    .filter(({ isElectrode, joined }) => isElectrode && !joined)
    .map(({ id, name }): Draft => ({
      key: `rod ${id}`,
      kind: 'rod',
      title: `Put in ${name}`,
      minutes: usualMinutes.rod.each,
      place: 'ground',
      after: [],
      cautions: digCautions,
      opens: 'ground',
    }));
  const joints = bonds
    .filter(({ bond }) => !bond.made)
    .map(({ bond, from, to }): Draft => ({
      key: `bond ${bond.id}`,
      kind: 'bond',
      title: `Join ${from.name} to ${to.name}`,
      minutes: usualMinutes.bond.each,
      place: 'ground',
      after: [`rod ${bond.from}`, `rod ${bond.to}`],
      opens: 'ground',
    }));
  return [...rods, ...joints];
}

const skillsOf = (tools: readonly SharedTool[]): Skill[] => [
  ...(tools.includes('crimper') ? (['crimp'] as const) : []),
  ...(tools.includes('iron') ? (['solder'] as const) : []),
];

const metresOf = (legs: readonly { lengthM: number }[]): number =>
  legs.reduce((sum, { lengthM }) => sum + lengthM, 0);

function aloftAt({ design, sheet }: RunToPlan, atM: number): boolean {
  const span = sheet.route.spans.find(({ toM }) => atM <= toM) ?? sheet.route.spans.at(-1);
  return span !== undefined && design.legs[span.leg].kind === 'tower leg';
}

/** What a task’s place is called. */
export const placeName: Record<TaskPlace, string> = {
  bench: 'bench',
  inside: 'inside',
  ground: 'outside, on the ground',
  aloft: 'aloft',
};

/** What ticking a task is logged as, besides its own fact. */
export const doneKey = ({ id, runId }: Pick<Task, 'id' | 'runId'>): string =>
  runId === undefined ? id : id.slice(runId.length + 1);
