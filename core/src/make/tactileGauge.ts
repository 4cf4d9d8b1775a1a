import { faceInFull, faceOf, type Cable, type Part } from '../catalog/index.js';
import type { UnitSystem } from '../quantity/index.js';
import { cutsFromEnd } from './marking.js';
import { A4, type Paper, type Shape } from './paper.js';
import { checkBar, MARGIN, textWriter, type Write } from './sheetParts.js';
import { stripText, type StripGauge } from './stripGauge.js';

/** A gauge for fingers: a strip of card with a notch at each cut. What it is made from. */
export interface TactileSubject {
  part: Part;
  cable: Cable;
  gauge: StripGauge;
}

/** One notch: its upright edge stands at the cut, its slope lies towards the end. */
export interface Notch {
  layer: string;
  /** From the cut end, mm. */
  atMm: number;
  depthMm: number;
}

const STRIP_MM = 26;
/** Beyond the last notch, to hold it by, mm. */
const GRIP_MM = 45;
const CORNER_MM = 10;
const SLOPE_MM = 2;
/** The first strip on a page, and what each takes with its words, mm. */
const [TOP_MM, PITCH_MM] = [66, 52];
const PER_PAGE = Math.floor((A4.heightMm - TOP_MM - 10) / PITCH_MM);

/**
 * The deeper a blade has to go, the deeper the notch: 3 mm for the jacket, 3 mm more for each layer below it. A finger tells 3 mm
 * apart easily; common practice, no source.
 */
export function notchesOf(gauge: StripGauge): Notch[] {
  const cuts = cutsFromEnd(gauge);
  return cuts.map(({ layer, atMm }, k) => ({ layer, atMm, depthMm: 3 * (cuts.length - k) }));
}

/**
 * Gauges to cut out of card, at true 1:1: one for each part and cable, however many ends they have.
 *
 * @returns pages; none where nothing is stripped
 */
export function tactileSheets(subjects: readonly TactileSubject[], system: UnitSystem): Paper[] {
  const each = [...new Map(subjects.map((one) => [`${one.part.id}|${one.cable.id}`, one])).values()].filter(
    ({ gauge }) => gauge.stretches.length > 0,
  );
  return Array.from({ length: Math.ceil(each.length / PER_PAGE) }, (_, page) => {
    const shapes: Shape[] = [];
    const text = textWriter(shapes);
    text(MARGIN, 12, 18, 'Gauges to feel', { bold: true });
    text(
      MARGIN,
      21,
      10,
      'Glue on card and cut along the lines. Hold the straight short edge flush with the cable’s cut end, notches towards you: the upright side of each notch is a cut. The deeper the notch, the deeper the blade. The cut-off corner is away from the cable’s end.',
    );
    checkBar(shapes, text, 44);
    each
      .slice(page * PER_PAGE, (page + 1) * PER_PAGE)
      .forEach((subject, k) => drawGauge(shapes, text, subject, system, TOP_MM + k * PITCH_MM));
    return { ...A4, shapes };
  });
}

function drawGauge(
  shapes: Shape[],
  text: Write,
  { part, cable, gauge }: TactileSubject,
  system: UnitSystem,
  top: number,
): void {
  const notches = notchesOf(gauge);
  const right = gauge.jacketCutMm + GRIP_MM;
  text(MARGIN, top, 11, `${faceInFull(faceOf(part.face))}: ${part.name}, on ${cable.name}`, { bold: true });
  text(
    MARGIN,
    top + 5,
    9,
    `Notches from the straight edge: ${notches.map(({ layer, atMm }) => `${layer} ${stripText(atMm, system)}`).join(', ')}.`,
  );
  const upper = top + 12;
  const outline: [x: number, y: number][] = [
    [0, 0],
    [right, 0],
    [right, STRIP_MM - CORNER_MM],
    [right - CORNER_MM, STRIP_MM],
    ...notches.toReversed().flatMap(({ atMm, depthMm }): [number, number][] => [
      [atMm, STRIP_MM],
      [atMm, STRIP_MM - depthMm],
      [atMm - SLOPE_MM, STRIP_MM],
    ]),
    [0, STRIP_MM],
    [0, 0],
  ];
  for (const [k, [x, y]] of outline.slice(0, -1).entries()) {
    const [toX, toY] = outline[k + 1];
    shapes.push({
      kind: 'line',
      x: MARGIN + x,
      y: upper + y,
      toX: MARGIN + toX,
      toY: upper + toY,
      stroke: 'ink',
      thick: 0.3,
      what: 'cut out',
    });
  }
}
