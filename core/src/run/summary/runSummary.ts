import { faceName, faceOf, type Catalog } from '../../catalog/index.js';
import type { RouteLength } from '../../route/index.js';
import type { Design } from '../design/design.js';
import { assembliesOf } from '../design/lookups.js';
import type { Sheet } from '../evaluate.js';
import type { Facts } from '../facts/kinds.js';
import type { SheetBody } from '../sheet/sheet.js';
import { counted, type SnagLevel } from '../snags/snag.js';
import type { Stage } from '../stages/index.js';

/** A run as one line to scale; lengths in m. A {@link Sheet} is one. */
export interface LineShape {
  totalM: number;
  route: { spans: Pick<RouteLength['spans'][number], 'fromM' | 'toM' | 'zone'>[] };
  pieces: Pick<SheetBody['pieces'][number], 'id' | 'kind' | 'fromM' | 'toM'>[];
  joints: (Pick<SheetBody['joints'][number], 'id' | 'atM'> & {
    snag?: SnagLevel | undefined;
    mating: { passes: boolean };
  })[];
}

/** What a list says of a run. */
export interface RunSummary {
  name: string;
  headline: string;
  passes: boolean;
  /** The worst there is against it. */
  worst?: { level: SnagLevel; what: string };
  /** `1 stop · 2 cautions`. */
  counted: string;
  stages: Pick<Stage, 'id' | 'name' | 'state' | 'detail'>[];
  next: Sheet['next'];
  line: LineShape;
  /** What is looked at again. */
  looks: Look[];
}

/** A seal which is looked at again. */
export interface Look {
  jointId: string;
  what: string;
  /** ISO 8601. */
  due: string;
}

/** Lengths of a drawing are kept to the millimetre. */
const mm = (m: number): number => Math.round(m * 1000) / 1000;

/** What of a run is looked at again, in the order of the run. */
export const looksOf = ({ wraps }: Pick<Sheet, 'wraps'>): Look[] =>
  wraps.flatMap(({ jointId, name, zone, inspectionDue }) =>
    inspectionDue ? [{ jointId, what: `Seal of ${name}, ${zone}`, due: inspectionDue }] : [],
  );

/** Takes out of everything Kobran says of a run what a list of runs shows. */
export function runSummary(name: string, sheet: Sheet): RunSummary {
  const { headline, passes, next } = sheet;
  const worst = sheet.snags.at(0);
  return {
    name,
    headline,
    passes,
    ...(worst ? { worst: { level: worst.level, what: worst.what } } : {}),
    counted: counted(sheet.snags),
    stages: sheet.stages.map(({ id, name: stage, state, detail }) => ({ id, name: stage, state, detail })),
    next,
    line: {
      totalM: mm(sheet.totalM),
      route: {
        spans: sheet.route.spans.map(({ fromM, toM, zone }) => ({ fromM: mm(fromM), toM: mm(toM), zone })),
      },
      pieces: sheet.pieces.map(({ id, kind, fromM, toM }) => ({ id, kind, fromM: mm(fromM), toM: mm(toM) })),
      joints: sheet.joints.map(({ id, atM, snag, mating: { passes: joined } }) => ({
        id,
        atM: mm(atM),
        ...(snag ? { snag } : {}),
        mating: { passes: joined },
      })),
    },
    looks: looksOf(sheet),
  };
}

/**
 * The words of a text as they are looked for: small letters, each once, without the signs round them; `RG-213/U, 12 m` has `rg-213/u`, `12`
 * and `m`.
 *
 * @example wordsIn('RG-213/U, the “Mast” mast') // ['rg-213/u', 'the', 'mast']
 */
export const wordsIn = (text: string): string[] => [
  ...new Set(
    text
      .toLowerCase()
      .split(/[^\p{L}\p{N}.+/-]+/u)
      .map((word) => word.replace(/^[.+/-]+|[.+/-]+$/g, ''))
      .filter((word) => word !== ''),
  ),
];

/** What somebody would type who looks for a run: its name, labels, ports, cables by every name, and what is wrong with it. */
export function searchWords(
  design: Design,
  { pieces, snags }: Pick<Sheet, 'pieces' | 'snags'>,
  catalog: Catalog,
): string[] {
  const cables = assembliesOf(design).flatMap(({ label, lot, cable }) => [
    label,
    lot,
    catalog.cables.get(cable)?.name,
    catalog.cables.get(cable)?.aliases,
  ]);
  const words = [
    design.name,
    design.radio.name,
    design.antenna.name,
    ...[design.radio.face, design.antenna.face].map((code) => faceName(faceOf(code))),
    ...design.service.bands.map(({ name }) => name),
    ...cables,
    ...pieces.flatMap(({ name, faces }) => [name, ...faces.map(faceName)]),
    ...snags.map(({ what }) => what),
  ];
  return wordsIn(words.join(' '));
}

/** Who has signed something of a run, each once, by the alphabet. */
export const peopleOf = (facts: Facts): string[] =>
  [...new Set(facts.map(({ by }) => by).filter((by) => by !== ''))].toSorted((x, y) => x.localeCompare(y));
