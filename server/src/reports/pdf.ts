import type { Ink, Paper, Shape } from '@kobran/core';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

/** PDF user space has 72 points to the inch (ISO 32000-1, 8.3.2.3). */
export const POINTS_PER_MM = 72 / 25.4;

/** Inks on white paper. */
export const colours: Record<Ink, string> = {
  ink: '#20262b',
  muted: '#596068',
  copper: '#a04e18',
  dielectric: '#ece3cf',
  braid: '#cdbb98',
  stop: '#9b231b',
};

const files = createRequire(import.meta.url);
const font = (weight: 400 | 700): string =>
  files.resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
  );

/** Papers as one PDF at true size: a millimetre of the paper is a millimetre in print. */
export async function pdfOf(papers: readonly Paper[], title: string): Promise<Buffer> {
  const document = new PDFDocument({ autoFirstPage: false, info: { Title: title, Creator: 'Kobran' } });
  registerFonts(document);
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => document.on('end', resolve).on('error', reject));
  for (const paper of papers) drawPaper(document, paper);
  document.end();
  await ended;
  return Buffer.concat(chunks);
}

export function registerFonts(document: PDFKit.PDFDocument): void {
  document.registerFont('plain', font(400));
  document.registerFont('bold', font(700));
}

/** Letters which the shipped font has not, by others which say the same. */
const written: Record<string, string> = {
  Ω: 'ohm',
  μ: 'µ',
  '√': 'root ',
  '≥': 'at least ',
  '≤': 'at most ',
  '→': 'to',
  '₀': '0',
};

export const printable = (text: string): string =>
  text.replace(/[Ωμ√≥≤→₀]/g, (letter) => written[letter] ?? letter);

function drawPaper(document: PDFKit.PDFDocument, { widthMm, heightMm, shapes }: Paper): void {
  const points = (mm: number): number => mm * POINTS_PER_MM;
  document.addPage({ size: [points(widthMm), points(heightMm)], margin: 0 });
  for (const shape of shapes) drawShape(document, shape);
}

type Text = Extract<Shape, { kind: 'text' }>;

/** A text in one line: smaller where it has to be, and with an ellipsis where even that is too wide. */
function drawLine(
  document: PDFKit.PDFDocument,
  { text, width, sizePt, leastPt = sizePt, bold, ink }: Text,
  x: number,
  y: number,
): void {
  const room = width * POINTS_PER_MM;
  let line = printable(text);
  let size = sizePt;
  document.font(bold ? 'bold' : 'plain').fontSize(size);
  const isTooWide = (): boolean => document.widthOfString(line) > room;
  for (; isTooWide() && size > leastPt; size = Math.max(leastPt, size - 0.25)) document.fontSize(size);
  document.fontSize(size);
  while (isTooWide() && line.length > 1) line = `${line.replace(/…$/, '').slice(0, -1).trimEnd()}…`;
  document.fillColor(colours[ink ?? 'ink']).text(line, x, y, { lineBreak: false });
}

/** Draws a shape; its millimetres are counted from a place on the page, in points. */
export function drawShape(document: PDFKit.PDFDocument, shape: Shape, left = 0, top = 0): void {
  const size = (mm: number): number => mm * POINTS_PER_MM;
  const x = (mm: number): number => left + size(mm);
  const y = (mm: number): number => top + size(mm);
  if (shape.kind === 'text') {
    if (shape.leastPt !== undefined) return drawLine(document, shape, x(shape.x), y(shape.y));
    document
      .font(shape.bold ? 'bold' : 'plain')
      .fontSize(shape.sizePt)
      .fillColor(colours[shape.ink ?? 'ink'])
      .text(printable(shape.text), x(shape.x), y(shape.y), { width: size(shape.width) });
    return;
  }
  if (shape.kind === 'line') {
    document
      .moveTo(x(shape.x), y(shape.y))
      .lineTo(x(shape.toX), y(shape.toY))
      .lineWidth(size(shape.thick ?? 0.2))
      .stroke(colours[shape.stroke]);
    return;
  }
  document.rect(x(shape.x), y(shape.y), size(shape.width), size(shape.height)).lineWidth(size(0.2));
  if (shape.fill && shape.stroke) document.fillAndStroke(colours[shape.fill], colours[shape.stroke]);
  else if (shape.fill) document.fill(colours[shape.fill]);
  else document.stroke(colours[shape.stroke ?? 'ink']);
}
