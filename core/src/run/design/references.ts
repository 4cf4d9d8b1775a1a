import { faces, type Catalog } from '../../catalog/index.js';
import type { Problem } from '../../quantity/index.js';
import type { AnyPiece, Design } from './design.js';

const problem = (code: string, message: string, where: string, remedy: string): Problem => ({
  code,
  message,
  where,
  remedy,
});

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
