import { MAX_PIECES, checkReferences, isObject, type Catalog, type Design, type Problem } from '@kobran/core';
import { Design as DesignRules } from './design.js';
import { readAs } from './readAs.js';

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
  const shape = readAs(DesignRules, value);
  if (!shape.ok) return shape;
  const design = withTodaysParts(shape.value);
  const references = checkReferences(design, catalog);
  return references.length > 0 ? { ok: false, problems: references } : { ok: true, design };
}

/** Parts of earlier catalogues by the part which stands in their place: a corrugated tube is clamped, and no UHF plug takes 15 mm cable. */
const replaced: Record<string, string> = {
  'n-plug-gland-half-inch': 'n-plug-corrugated-half-inch',
  '7-16-plug-gland-half-inch': '7-16-plug-corrugated-half-inch',
  '43-10-plug-gland-half-inch': '43-10-plug-corrugated-half-inch',
  'uhf-plug-gland-15mm': 'n-plug-gland-15mm',
};

function withTodaysParts(design: Design): Design {
  const end = ({ part }: { part: string }): { part: string } => ({ part: replaced[part] ?? part });
  return {
    ...design,
    pieces: design.pieces.map((piece) =>
      piece.kind === 'assembly' ? { ...piece, a: end(piece.a), b: end(piece.b) } : piece,
    ),
  };
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
  if (pieces.length > MAX_PIECES) {
    return [
      problem(
        'design.too-many-pieces',
        `A run may have at most ${MAX_PIECES} pieces; this one has ${pieces.length}.`,
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
