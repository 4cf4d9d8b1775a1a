import { entry, type Catalog } from '../../catalog/index.js';
import { electricalDegrees } from '../../cut/index.js';
import { A4, type Paper, type Shape } from '../../make/index.js';
import { formatFrequency, formatLength } from '../../quantity/index.js';
import type { Assembly } from '../design/design.js';

/** What stands on the label of one piece. */
export interface Label {
  name: string;
  lines: string[];
}

/**
 * Labels for several of one assembly: name with number, cable and length, and what its length is at the frequency in use.
 *
 * @param topHz highest frequency in use, Hz
 */
export function labelsOf(
  { label, cable, lengthM }: Assembly,
  count: number,
  catalog: Catalog,
  topHz: number,
): Label[] {
  const type = entry(catalog.cables, cable);
  const lines = [
    `${type.name}, ${formatLength(lengthM, { system: 'metric', digits: 3 })}`,
    `${electricalDegrees(lengthM, topHz, type.velocityFactor).toFixed(0)}° at ${formatFrequency(topHz)}`,
  ];
  return Array.from({ length: count }, (_, k) => ({
    name: count === 1 ? label : `${label} ${k + 1}`,
    lines,
  }));
}

/** One flag: folded round the cable in the middle, mm. */
const FLAG = { width: 60, height: 20 };
const COLUMNS = 3;
const ROWS = 13;
const MARGIN = 12;

/** Flags to be cut out and folded round the cable, one for each end of each piece. */
export function labelSheet(labels: readonly Label[]): Paper[] {
  const flags = labels.flatMap((label) => ['radio end', 'antenna end'].map((end) => ({ ...label, end })));
  const perPage = COLUMNS * ROWS;
  return Array.from({ length: Math.ceil(flags.length / perPage) }, (_, page) => ({
    ...A4,
    shapes: flags.slice(page * perPage, (page + 1) * perPage).flatMap(({ name, lines, end }, k): Shape[] => {
      const x = MARGIN + (k % COLUMNS) * (FLAG.width + 2);
      const y = MARGIN + Math.floor(k / COLUMNS) * (FLAG.height + 1);
      return [
        { kind: 'box', x, y, ...FLAG, stroke: 'muted', what: 'flag' },
        { kind: 'text', x: x + 2, y: y + 1.5, width: FLAG.width - 4, sizePt: 11, text: name, bold: true },
        { kind: 'text', x: x + 2, y: y + 7, width: FLAG.width - 4, sizePt: 9, text: lines[0] },
        { kind: 'text', x: x + 2, y: y + 13, width: FLAG.width - 4, sizePt: 9, text: `${lines[1]}, ${end}` },
      ];
    }),
  }));
}
