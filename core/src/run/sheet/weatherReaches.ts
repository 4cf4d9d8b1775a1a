import { isExposed } from '../../route/index.js';
import type { Design } from '../design/design.js';
import type { SheetBody } from './sheet.js';

/** A lead as short as this lies on a bench, where no legs say otherwise. Common practice, no source. */
const BENCH_LEAD_M = 2;

/**
 * Does weather or soil reach a cable of a run, or any of them?
 *
 * @param pieceId the cable; empty, the whole run
 */
export function weatherReaches(
  { legs }: Pick<Design, 'legs'>,
  { pieces, route, totalM }: Pick<SheetBody, 'pieces' | 'route' | 'totalM'>,
  pieceId: string,
): boolean {
  const piece = pieces.find(({ id }) => id === pieceId);
  const [fromM, toM] = piece ? [piece.fromM, piece.toM] : [0, totalM];
  if (legs.length === 0) return toM - fromM > BENCH_LEAD_M;
  return route.spans.some((span) => isExposed(span.zone) && span.fromM < toM && span.toM > fromM);
}
