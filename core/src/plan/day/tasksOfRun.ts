import { entry, type Catalog } from '../../catalog/index.js';
import { cardFor, formatTool, type ToolId } from '../../make/index.js';
import { makeSchools, type Practice } from '../../practice/index.js';
import { isOutdoors } from '../../route/index.js';
import { arrestersOf, assembliesOf, endsLeft, factAbout, factsOf, type EndSheet } from '../../run/index.js';
import { arresterNode, strandOf, type SharedTool, type SiteSheet, type Skill } from '../../site/index.js';
import {
  adapterNeeds,
  arresterNeeds,
  cutNeeds,
  endNeeds,
  hangNeeds,
  sealNeeds,
  timesNeeds,
  usedParts,
} from '../needs.js';
import { aloftCautions, handsFor, LIFT_KG, usualMinutes } from './defaults.js';
import type { Draft, RunToPlan } from './draft.js';
import type { Task } from './task.js';
import { whereDone } from './whereDone.js';

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
  const at: RunAtWork = {
    run,
    of: (key) => `${id} ${key}`,
    pulls: site.ways
      .filter(({ pulls }) => pulls.some(({ cable }) => cable.runId === id))
      .map(({ way }) => `pull ${way.id}`),
    late: sheet.ends.filter(({ afterPull }) => afterPull && !afterPull.pulled).map((end) => end.id),
  };
  const ids = (drafts: readonly Draft[]): string[] => drafts.map(({ key }) => at.of(key));
  const isDone = (stage: string): boolean =>
    sheet.stages.some(({ id: one, state }) => one === stage && state === 'done');
  const isOpen = ({ key, kind, place }: Draft): boolean =>
    !factsOf(facts, 'task done').some(
      // Logs of earlier versions have one entry for all joints below.
      ({ task }) => task === key || (task === 'mate' && kind === 'mate' && place !== 'aloft'),
    );
  const cuts = cutDrafts(at);
  const makes = makeDrafts(at, practice);
  const tests = testDrafts(at, makes);
  const own = makes.filter(({ ends }) => ends);
  const ownTests = tests.filter(({ ends }) => ends);
  const early = ids([...cuts, ...own.filter(({ place }) => place === 'bench'), ...ownTests]);
  const hang = hangDrafts(at, early, site, catalog);
  const arrester = arresterDrafts(at, site, catalog);
  const grounded = groundedBefore(run, site);
  const before = [...ids([...own, ...hang, ...arrester]), ...grounded];
  const isProved = isDone('prove');
  // Whoever has read the whole run has coupled it; readings on the bench, of load or antenna alone, say nothing of that.
  const isCoupled = factsOf(facts, 'run reading').some(({ what }) => !what.endsWith(' alone'));
  const mates = isCoupled ? [] : mateDrafts(at, before, catalog).filter(isOpen);
  const prove = isProved ? [] : proveDrafts([...before, ...ids([...mates, ...ownTests])]);
  const seals = sealDrafts(at, ids([...mates, ...prove]));
  const label: Draft = {
    key: 'label',
    kind: 'label',
    title: 'Label both ends, boxes and entries',
    minutes: usualMinutes.label.each,
    place: 'inside',
    after: ids(hang),
  };
  const work = [...cuts, ...makes, ...tests, ...hang, ...arrester, ...mates, ...prove, ...seals];
  // What was signed away with stages open is still to be done.
  if (isDone('handover')) return work;
  const all = isOpen(label) ? [...work, label] : work;
  return [
    ...all,
    {
      key: 'hand over',
      kind: 'hand over',
      title: 'Hand over',
      minutes: usualMinutes['hand over'].each,
      place: 'inside',
      after: ids(all),
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
      title: `Cut ${cut.copies === 1 ? '' : `${cut.copies} × `}${name}`,
      parts: cutNeeds(cut),
      minutes: cut.copies * usualMinutes.cut.each,
      place: 'bench',
      after: [],
      fact: { kind: 'cut', pieceId },
    }));

/** What the card of an end asks for, whoever it is made for. */
function cardOf(
  end: EndSheet,
  practice: Practice,
): Pick<Task, 'kind' | 'tools' | 'gear' | 'learnedBy'> & { opens: string } {
  const card = cardFor(end.part, end.cable, 'metric', { schools: makeSchools(practice) });
  const all = card?.tools ?? [];
  return {
    kind: 'make',
    tools: [...new Set(all.flatMap(({ tool }) => sharedOf[tool] ?? []))],
    gear: all
      .filter(({ tool, hexMm }) => hexMm !== undefined || sharedOf[tool] !== undefined)
      .map(formatTool),
    opens: `make/${end.id}`,
    learnedBy: card?.recipe ?? 'make',
  };
}

const makeDrafts = ({ run, of, pulls, late: lateEnds }: RunAtWork, practice: Practice): Draft[] =>
  run.sheet.ends
    .filter((end) => endsLeft(end) > 0)
    .flatMap((end): Draft[] => {
      const common = cardOf(end, practice);
      const { tools } = common;
      const isLate = lateEnds.includes(end.id);
      const late = isLate ? whereDone(run, end.atM) : undefined;
      const place = late ?? 'bench';
      const isInOpen = late !== undefined && late !== 'inside';
      const cut = of(`cut ${end.pieceId}`);
      const own: Draft = {
        ...common,
        key: `make ${end.id}`,
        title: `Make ${end.name}`,
        minutes: end.part.minutes,
        place,
        after: [cut, ...(isLate ? [...pulls, of('hang')] : [])],
        skills: [...skillsOf(tools), ...(place === 'aloft' ? (['climb'] as const) : [])],
        dry: isInOpen,
        opensUntil: isInOpen ? [of(mateKey[late])] : [],
        ends: { kind: 'end made', about: end.id },
        parts: endNeeds(end),
      };
      // The same on other pieces goes elsewhere: nothing of this run waits for it, and it is made at the bench.
      const more = endsLeft(end) - (end.made ? 0 : 1);
      const others: Draft = {
        ...common,
        key: `make ${end.id} for others`,
        title: `Make ${more} more of ${end.name}`,
        minutes: more * end.part.minutes,
        place: 'bench',
        after: [cut],
        skills: skillsOf(tools),
        parts: timesNeeds(endNeeds(end), more),
        learnedBy: 'make of the same',
      };
      return [...(end.made ? [] : [own]), ...(more > 0 ? [others] : [])];
    });

const testDrafts = ({ run: { sheet }, of, late }: RunAtWork, makes: readonly Draft[]): Draft[] =>
  sheet.proofs
    .filter(({ pieceId }) => !late.some((end) => end.startsWith(`${pieceId}.`)))
    .flatMap(({ pieceId, name, copies, expectations }): Draft[] => {
      const made = makes.filter(({ key }) => key.startsWith(`make ${pieceId}.`));
      const common = {
        kind: 'bench test' as const,
        place: 'bench' as const,
        skills: ['measure' as const],
        tools: ['analyser' as const],
        opens: 'prove',
      };
      const own: Draft = {
        ...common,
        key: `test ${pieceId}`,
        title: `Read ${name} on the bench`,
        minutes: usualMinutes['bench test'].each,
        after: made.filter(({ ends }) => ends).map(({ key }) => of(key)),
        ends: { kind: 'reading', about: pieceId },
      };
      const more = Math.max(0, ...expectations.map(({ copiesRead }) => copies - Math.max(1, copiesRead)));
      const others: Draft = {
        ...common,
        key: `test ${pieceId} for others`,
        title: `Read ${more} more of ${name} on the bench`,
        minutes: more * usualMinutes['bench test'].each,
        after: made.map(({ key }) => of(key)),
      };
      const isOpen = expectations.some(({ reading }) => !reading);
      return [...(isOpen ? [own] : []), ...(more > 0 ? [others] : [])];
    });

function hangDrafts(
  { run: { id, design, facts, sheet }, pulls }: RunAtWork,
  early: readonly string[],
  site: SiteSheet,
  catalog: Catalog,
): Draft[] {
  if (factAbout(facts, 'installed') || design.legs.length === 0) return [];
  const goesUp = design.legs.some(({ kind }) => kind === 'tower leg');
  const parts = hangNeeds(id, site).flatMap(({ needs }) => needs);
  const lengthM = metresOf(design.legs);
  const massKg = assembliesOf(design).reduce(
    (sum, { cable, lengthM: ofPiece }) => sum + (entry(catalog.cables, cable).massKgPerKm / 1000) * ofPiece,
    0,
  );
  const heavy = 'It weighs more than one person lifts: hoist it with rope and block.';
  return [
    {
      key: 'hang',
      kind: 'hang',
      title: goesUp ? 'Hoist and clamp along its route' : 'Lay along its route',
      minutes: usualMinutes.hang.each + (usualMinutes.hang.perM ?? 0) * lengthM,
      place: goesUp ? 'aloft' : sheet.route.spans.some(({ zone }) => isOutdoors(zone)) ? 'ground' : 'inside',
      after: [...early, ...pulls],
      skills: goesUp ? ['climb'] : [],
      people: handsFor('lay', { lengthM, massKg, aloft: goesUp }),
      ...(goesUp && massKg > LIFT_KG ? { cautions: [...aloftCautions, heavy] } : {}),
      parts,
      fact: { kind: 'installed', ...usedOf(parts) },
    },
  ];
}

function arresterDrafts({ run }: RunAtWork, { ground: { bonds } }: SiteSheet, catalog: Catalog): Draft[] {
  const { id, design, facts, sheet } = run;
  const pieces = arrestersOf(design);
  const isWanted =
    pieces.length > 0 && sheet.stages.some((stage) => stage.id === 'ground' && stage.state !== 'done');
  if (!isWanted || factAbout(facts, 'grounded')) return [];
  const parts = arresterNeeds(design, facts, catalog);
  const nodes = pieces.map((piece) => arresterNode(id, piece.id));
  // Where the site has a conductor for it, that is a task of its own.
  const hasConductor = bonds.some(
    ({ bond: { joint, from, to } }) => joint !== 'mounted' && (nodes.includes(from) || nodes.includes(to)),
  );
  const placed = sheet.pieces.find((piece) => piece.id === pieces[0].id);
  return [
    {
      key: 'arrester',
      kind: 'arrester',
      title: hasConductor ? 'Mount the arrester' : 'Mount the arrester and ground it',
      minutes: usualMinutes.arrester.each,
      place: placed ? whereDone(run, placed.fromM) : 'ground',
      after: [],
      tools: ['torque spanner'],
      parts,
      fact: { kind: 'grounded', ...usedOf(parts) },
    },
  ];
}

const proveDrafts = (after: string[]): Draft[] => [
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

/** What coupling is called within its run, by where it is done. */
const mateKey = { aloft: 'mate aloft', ground: 'mate outside', inside: 'mate inside' } as const;
const mateWords = { aloft: ' aloft', ground: ' outside', inside: '' };

/** Joints which are coupled where they stand: those aloft in one climb, the others at once; those in the weather stay open until they are sealed. */
function mateDrafts({ run, of }: RunAtWork, after: string[], catalog: Catalog): Draft[] {
  const { joints, wraps } = run.sheet;
  const adapters = adapterNeeds(run.design, run.facts, catalog);
  const places = (['inside', 'ground', 'aloft'] as const).map((place) => ({
    place,
    here: joints.filter(({ atM }) => whereDone(run, atM) === place),
  }));
  const used = places.filter(({ here }) => here.length > 0);
  return used.map(({ place, here }) => ({
    key: mateKey[place],
    kind: 'mate',
    title: `Couple ${here.length} ${here.length === 1 ? 'joint' : 'joints'}${mateWords[place]}, torque read`,
    minutes: usualMinutes.mate.each * here.length,
    place,
    dry: place !== 'inside' && here.some(({ zone }) => isOutdoors(zone)),
    opensUntil: wraps
      .filter(
        ({ sealed, zone, jointIds }) =>
          !sealed && isOutdoors(zone) && here.some(({ id }) => jointIds.includes(id)),
      )
      .map(({ jointId }) => of(`seal ${jointId}`)),
    after,
    skills: place === 'aloft' ? ['climb'] : [],
    tools: ['torque spanner'],
    // Adapters go on where the joints are; where there are some below, there.
    parts: place === used[0].place ? adapters : [],
  }));
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
