import type { Catalog } from '../../catalog/index.js';
import { cardFor, formatTool, type ToolId } from '../../make/index.js';
import { makeSchools, type Practice } from '../../practice/index.js';
import { arrestersOf, factAbout, factsOf } from '../../run/index.js';
import { arresterNode, strandOf, type SharedTool, type SiteSheet, type Skill } from '../../site/index.js';
import {
  adapterNeeds,
  arresterNeeds,
  cutNeeds,
  endNeeds,
  hangNeeds,
  sealNeeds,
  usedParts,
} from '../needs.js';
import { usualMinutes } from './defaults.js';
import type { Draft, RunToPlan } from './draft.js';

/** What a card asks for, as far as a crew has few of it. */
const sharedOf: Partial<Record<ToolId, SharedTool>> = {
  crimper: 'crimper',
  'compression-tool': 'compression tool',
  'fine-iron': 'iron',
  'heavy-iron': 'iron',
  'hot-air': 'heat gun',
};

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

/** What is still to be done at one run, in the order its route decides. */
export function tasksOfRun(
  run: RunToPlan,
  site: SiteSheet,
  { catalog, practice }: { catalog: Catalog; practice: Practice },
): Draft[] {
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
  const hang = hangDrafts(at, early, site);
  const arrester = arresterDrafts(at, catalog);
  const before = ids([...makes, ...hang, ...arrester]);
  const mates = mateDrafts(at, [...before, ...groundedBefore(run, site)], catalog).filter(isOpen);
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
      ends: { kind: 'handed over' },
      opens: 'handover',
    },
  ];
}

const cutDrafts = ({ run: { sheet } }: RunAtWork): Draft[] =>
  sheet.cuts
    .filter(({ done }) => !done)
    .map(({ pieceId, name, ...cut }) => ({
      key: `cut ${pieceId}`,
      kind: 'cut',
      title: `Cut ${name}`,
      parts: cutNeeds(cut),
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
        gear: (card?.tools ?? [])
          .filter(({ tool, hexMm }) => hexMm !== undefined || sharedOf[tool] !== undefined)
          .map(formatTool),
        dry: isLate,
        opens: `make/${end.id}`,
        ends: { kind: 'end made', about: end.id },
        parts: endNeeds(end),
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
      ends: { kind: 'reading', about: pieceId },
    }));

function hangDrafts(
  { run: { id, design, facts }, pulls }: RunAtWork,
  early: readonly string[],
  site: SiteSheet,
): Draft[] {
  if (factAbout(facts, 'installed') || design.legs.length === 0) return [];
  const goesUp = design.legs.some(({ kind }) => kind === 'tower leg');
  const parts = hangNeeds(id, site).flatMap(({ needs }) => needs);
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
      parts,
      fact: { kind: 'installed', ...usedOf(parts) },
    },
  ];
}

function arresterDrafts({ run: { design, facts, sheet } }: RunAtWork, catalog: Catalog): Draft[] {
  const isWanted =
    design.pieces.some(({ kind }) => kind === 'arrester') &&
    sheet.stages.some(({ id, state }) => id === 'ground' && state !== 'done');
  if (!isWanted || factAbout(facts, 'grounded')) return [];
  const parts = arresterNeeds(design, facts, catalog);
  return [
    {
      key: 'arrester',
      kind: 'arrester',
      title: 'Mount the arrester and ground it',
      minutes: usualMinutes.arrester.each,
      place: 'ground',
      after: [],
      tools: ['torque spanner'],
      parts,
      fact: { kind: 'grounded', ...usedOf(parts) },
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
          ends: { kind: 'run reading' },
        },
      ];

const sealDrafts = ({ run: { sheet } }: RunAtWork, after: string[]): Draft[] =>
  sheet.wraps
    .filter(({ sealed }) => !sealed)
    .map(({ jointId, name, wrap, closure, aloft, zone }) => ({
      key: `seal ${jointId}`,
      kind: 'seal',
      title: `Seal ${name}`,
      minutes: (wrap ?? closure)?.minutes.value ?? usualMinutes.bond.each,
      parts: sealNeeds({ wrap, closure }),
      ends: { kind: 'sealed', about: jointId },
      place: aloft ? 'aloft' : 'ground',
      after,
      skills: aloft ? ['climb'] : [],
      dry: zone !== 'sheltered',
      lowestC: (wrap ?? closure)?.lowestC,
      opens: (wrap ?? closure) ? `seal/${encodeURIComponent(jointId)}` : 'seal',
    }));

/** Joints which are coupled where they stand: those aloft in one climb, the others at once. */
function mateDrafts({ run }: RunAtWork, after: string[], catalog: Catalog): Draft[] {
  const adapters = adapterNeeds(run.design, run.facts, catalog);
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
            // Adapters go on where the joints are; where there are some below, there.
            parts: up && aloft < run.sheet.joints.length ? [] : adapters,
          },
        ];
  return [...draft(aloft, true), ...draft(run.sheet.joints.length - aloft, false)];
}

/** What of the ground has to be joined before anything leads to an antenna: the way of its arresters to earth. Handbook of the trade, 9. */
const groundedBefore = ({ id, design }: RunToPlan, { ground }: SiteSheet): string[] =>
  arrestersOf(design).flatMap((piece) =>
    strandOf(ground, arresterNode(id, piece.id)).flatMap(({ bond: { bond } }) =>
      bond.made || bond.joint === 'mounted' ? [] : [`bond ${bond.id}`],
    ),
  );

/** What leaves the shelf, as the log has it; nothing is not stated. */
const usedOf = (parts: Parameters<typeof usedParts>[0]): { used?: ReturnType<typeof usedParts> } =>
  parts.length === 0 ? {} : { used: usedParts(parts) };

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
