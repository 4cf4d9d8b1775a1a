import { A4, type Ink, type Shape } from './paper.js';

/** What every printed gauge has: margin, words, and the bar which says whether the printer kept the scale. */

export const MARGIN = 15;
/** mm. */
export const CHECK_BAR_MM = 100;

/** Writes a text at a place, mm; returns how many shapes there are. */
export type Write = (
  x: number,
  y: number,
  sizePt: number,
  content: string,
  more?: { bold?: boolean; ink?: Ink; width?: number },
) => number;

/** The bar at a height of the page, with what to do when it comes out wrong. */
export function checkBar(shapes: Shape[], text: Write, y: number): void {
  const edge = (x: number): Shape => ({
    kind: 'line',
    x,
    y: y - 2,
    toX: x,
    toY: y + 2,
    stroke: 'ink',
    what: 'check edge',
  });
  shapes.push(
    {
      kind: 'line',
      x: MARGIN,
      y,
      toX: MARGIN + CHECK_BAR_MM,
      toY: y,
      stroke: 'ink',
      thick: 0.5,
      what: 'check bar',
    },
    edge(MARGIN),
    edge(MARGIN + CHECK_BAR_MM),
  );
  text(
    MARGIN + CHECK_BAR_MM + 4,
    y - 4.5,
    9,
    `This bar is ${CHECK_BAR_MM} mm long. If yours is not, print again at 100 %, not “fit to page”.`,
    {
      width: 70,
    },
  );
}

/** A writer on to these shapes; what the PDF’s face has no sign for is spelt out. */
export const textWriter =
  (shapes: Shape[]): Write =>
  (x, y, sizePt, content, more = {}) =>
    shapes.push({
      kind: 'text',
      x,
      y,
      width: A4.widthMm - MARGIN - x,
      sizePt,
      text: content.replace(/\s?M?Ω/g, (unit) => (unit.includes('M') ? ' megohm' : ' ohm')),
      ...more,
    });
