import { type UnitSystem } from '../quantity/index.js';
import type { Card } from './card.js';
import { cutsFromEnd } from './marking.js';
import { formatCaliper, stripToolSettings } from './stripTool.js';
import { A4, type Ink, type Paper, type Shape } from './paper.js';
import { checkBar, MARGIN, textWriter, type Write } from './sheetParts.js';
import { stripText, type Layer } from './stripGauge.js';

const JACKET_SHOWN_MM = 30;
const inkOf: Record<Layer, Ink> = {
  centre: 'copper',
  dielectric: 'dielectric',
  braid: 'braid',
  tube: 'copper',
  jacket: 'ink',
};

/** Who and where a sheet is for. */
export interface SheetHead {
  end: string;
  run: string;
  job: string;
}

/**
 * The paper form of a card at true 1:1: check bar, strip gauge, loose parts in sliding order, ways to mark, and the steps to tick.
 *
 * @returns shapes in mm; what is drawn of part and cable has its true length
 */
export function gaugeSheet(card: Card, head: SheetHead, system: UnitSystem): Paper {
  const shapes: Shape[] = [];
  const text = textWriter(shapes);
  text(MARGIN, 12, 18, head.end, { bold: true });
  text(MARGIN, 21, 11, `${card.part.name}, on ${card.cable.name}. ${head.run}, ${head.job}.`);
  checkBar(shapes, text, 34);
  const afterGauge = gauge(shapes, text, card, system, 48);
  const afterTrain = train(shapes, text, card, afterGauge);
  const afterMarks = marks(text, card, system, afterTrain);
  steps(shapes, text, card, afterMarks);
  text(MARGIN, 285, 8, `Lengths: ${card.gauge.source}.`, {
    ink: 'muted',
  });
  return { ...A4, shapes };
}

function gauge(shapes: Shape[], text: Write, card: Card, system: UnitSystem, top: number): number {
  const { stretches, jacketMm, jacketCutMm, toleranceMm } = card.gauge;
  text(MARGIN, top - 6, 10, 'Strip gauge, life-size: hold the cut end against the line on the left', {
    bold: true,
  });
  const axis = top + 4 + jacketMm / 2;
  let at = MARGIN;
  for (const { layer, lengthMm, diameterMm } of stretches) {
    shapes.push({
      kind: 'box',
      x: at,
      y: axis - diameterMm / 2,
      width: lengthMm,
      height: diameterMm,
      fill: inkOf[layer],
      stroke: 'ink',
      what: layer,
    });
    at += lengthMm;
  }
  shapes.push({
    kind: 'box',
    x: MARGIN + jacketCutMm,
    y: axis - jacketMm / 2,
    width: JACKET_SHOWN_MM,
    height: jacketMm,
    fill: 'ink',
    what: 'jacket',
  });
  let y = axis + jacketMm / 2 + 4;
  const bottom = y + 6 * (stretches.length + 1);
  shapes.push({
    kind: 'line',
    x: MARGIN,
    y: top,
    toX: MARGIN,
    toY: bottom,
    stroke: 'stop',
    thick: 0.3,
    what: 'cut end',
  });
  for (const { layer, atMm } of cutsFromEnd(card.gauge)) {
    shapes.push({
      kind: 'line',
      x: MARGIN,
      y,
      toX: MARGIN + atMm,
      toY: y,
      stroke: 'ink',
      what: `cut ${layer}`,
    });
    shapes.push({
      kind: 'line',
      x: MARGIN + atMm,
      y: y - 1.5,
      toX: MARGIN + atMm,
      toY: y + 1.5,
      stroke: 'ink',
      what: 'tick',
    });
    text(
      MARGIN + jacketCutMm + 4,
      y - 2,
      10,
      `${layer} cut at ${stripText(atMm, system)}, ± ${toleranceMm} mm`,
    );
    y += 6;
  }
  if (stretches.length === 0) text(MARGIN, y - 2, 10, 'Nothing is stripped: cut it square.');
  return bottom + 4;
}

/** Loose parts at true size; a new row where the paper ends. */
function train(shapes: Shape[], text: Write, card: Card, top: number): number {
  text(
    MARGIN,
    top,
    10,
    'Parts, life-size, in sliding order from left to right; the cable’s end is to the right',
    {
      bold: true,
    },
  );
  const gap = 5;
  let x = MARGIN;
  let y = top + 7;
  let tallest = 0;
  card.train.forEach(({ name, lengthMm, outerMm }, k) => {
    if (x + lengthMm > A4.widthMm - MARGIN) {
      x = MARGIN;
      y += tallest + 9;
      tallest = 0;
    }
    shapes.push({ kind: 'box', x, y, width: lengthMm, height: outerMm, stroke: 'ink', what: `part ${name}` });
    text(x, y + outerMm + 1, 9, String(k + 1), { width: 8, bold: true });
    x += lengthMm + gap;
    tallest = Math.max(tallest, outerMm);
  });
  y += tallest + 8;
  text(
    MARGIN,
    y,
    9,
    card.train
      .map(({ name, direction }, k) => `${k + 1} ${name}${direction ? ` (${direction})` : ''}`)
      .join(', '),
  );
  return y + 12;
}

function marks(text: Write, card: Card, system: UnitSystem, top: number): number {
  const blades = stripToolSettings(card.gauge, card.cable)
    .map(
      ({ atMm, leavesMm }) => `${stripText(atMm, system)} leaving ${formatCaliper(leavesMm, system)} across`,
    )
    .join('; ');
  text(MARGIN, top, 10, 'Without a ruler', { bold: true });
  text(MARGIN, top + 5, 9, card.gauge.partAsGauge);
  if (blades === '') return top + 16;
  text(MARGIN, top + 15, 10, 'Strip tool, blades from the cut end', { bold: true });
  text(MARGIN, top + 20, 9, `${blades}. Try it on scrap first.`);
  return top + 28;
}

const COLUMN_MM = 88;
const ROW_MM = 9;

function steps(shapes: Shape[], text: Write, card: Card, top: number): void {
  text(MARGIN, top, 10, 'Steps', { bold: true });
  const perColumn = Math.ceil(card.steps.length / 2);
  card.steps.forEach(({ title }, k) => {
    const x = MARGIN + Math.floor(k / perColumn) * (COLUMN_MM + 4);
    const y = top + 6 + (k % perColumn) * ROW_MM;
    shapes.push({ kind: 'box', x, y, width: 4, height: 4, stroke: 'ink', what: 'tick box' });
    const noWayBack = k === card.pointOfNoReturn;
    text(x + 6, y - 0.5, 9, `${k + 1} ${title}${noWayBack ? ' – no way back' : ''}`, {
      width: COLUMN_MM - 6,
      bold: noWayBack,
    });
  });
}
