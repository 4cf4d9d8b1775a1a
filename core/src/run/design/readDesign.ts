import { faces, type Catalog } from '../../catalog/index.js';
import { isObject, readAs, type Problem } from '../../quantity/index.js';
import { Design, MOST_PIECES, type AnyPiece } from './design.js';

/** Reads an unknown value as a design: shape, limits, and every name found in the catalogue. */
export function readDesign(
  value: unknown,
  catalog: Catalog,
): { ok: true; design: Design } | { ok: false; problems: Problem[] } {
  if (!isObject(value)) {
    return {
      ok: false,
      problems: [
        problem(
          'design.not-an-object',
          'A design is a JSON object.',
          'design',
          'Start from an exported design.',
        ),
      ],
    };
  }
  const pieces = checkPieces(value.pieces);
  if (pieces.length > 0) return { ok: false, problems: pieces };
  const shape = readAs(Design, value);
  if (!shape.ok) return shape;
  const design = shape.value;
  const references = checkReferences(design, catalog);
  return references.length > 0 ? { ok: false, problems: references } : { ok: true, design };
}

const problem = (code: string, message: string, where: string, remedy: string): Problem => ({
  code,
  message,
  where,
  remedy,
});

/** What must hold before the list is transformed: 500 pieces are one problem, and each piece is an object. */
function checkPieces(pieces: unknown): Problem[] {
  if (!Array.isArray(pieces)) return [];
  if (pieces.length > MOST_PIECES) {
    return [
      problem(
        'design.too-many-pieces',
        `A run may have at most ${MOST_PIECES} pieces; this one has ${pieces.length}.`,
        'pieces',
        'Split it into several runs.',
      ),
    ];
  }
  return pieces.flatMap((piece: unknown, k) =>
    isObject(piece)
      ? []
      : [
          problem(
            'design.not-a-piece',
            'A piece is a JSON object.',
            `pieces[${k}]`,
            'Remove this entry or write the piece out.',
          ),
        ],
  );
}

/** What a design names that the catalogue does not have, or has not yet; and names used twice. */
export function checkReferences(design: Design, catalog: Catalog): Problem[] {
  const problems: Problem[] = [];
  const need = (shelf: ReadonlyMap<string, unknown>, what: string, id: string, where: string): void => {
    if (!shelf.has(id))
      problems.push(
        problem(`design.unknown-${what}`, `There is no ${what} “${id}”.`, where, suggestion(shelf, id)),
      );
  };
  need(faces, 'face', design.radio.face, 'radio.face');
  need(faces, 'face', design.antenna.face, 'antenna.face');
  for (const [k, band] of design.service.bands.entries()) {
    if (band.highHz < band.lowHz) {
      problems.push(
        problem(
          'design.band-order',
          `The band “${band.name}” ends below its start.`,
          `service.bands[${k}].highHz`,
          'Swap the two frequencies.',
        ),
      );
    }
  }
  const { measured } = design.antenna;
  if (measured) {
    const count = measured.frequencyHz.length;
    const rises = measured.frequencyHz.every((hz, k, all) => k === 0 || hz > all[k - 1]);
    if (!rises || measured.re.length !== count || measured.im.length !== count)
      problems.push(
        problem(
          'design.antenna-measured',
          'What was measured at the antenna is not one sample for each rising frequency.',
          'antenna.measured',
          'Bring the file in again.',
        ),
      );
  }
  const seen = new Set(['radio', 'antenna']);
  for (const [k, piece] of design.pieces.entries()) {
    const where = `pieces[${k}]`;
    if (seen.has(piece.id))
      problems.push(
        problem(
          'design.same-id',
          `Two pieces are called “${piece.id}”.`,
          `${where}.id`,
          'Give each piece its own id.',
        ),
      );
    seen.add(piece.id);
    checkPiece(piece, where, catalog, need);
  }
  return problems;
}

function checkPiece(
  piece: AnyPiece,
  where: string,
  catalog: Catalog,
  need: (shelf: ReadonlyMap<string, unknown>, what: string, id: string, where: string) => void,
): void {
  switch (piece.kind) {
    case 'assembly':
      need(catalog.cables, 'cable', piece.cable, `${where}.cable`);
      need(catalog.parts, 'part', piece.a.part, `${where}.a.part`);
      need(catalog.parts, 'part', piece.b.part, `${where}.b.part`);
      return;
    case 'adapter':
      return need(catalog.adapters, 'adapter', piece.adapter, `${where}.adapter`);
    case 'arrester':
      return need(catalog.arresters, 'arrester', piece.arrester, `${where}.arrester`);
  }
}

/** The known ids which share most of the unknown one's letters come first. */
function suggestion(shelf: ReadonlyMap<string, unknown>, id: string): string {
  const pairs = bigrams(id);
  const near = [...shelf.keys()]
    .map((known) => ({ known, shared: [...bigrams(known)].filter((pair) => pairs.has(pair)).length }))
    .sort((x, y) => y.shared - x.shared)
    .slice(0, 3);
  return `Use a known id, for example ${near.map(({ known }) => known).join(', ')}.`;
}

const bigrams = (text: string): Set<string> =>
  new Set([...text.toLowerCase()].map((c, k, all) => c + (all[k + 1] ?? '')));
