import type { Ink, Paper } from '@kobran/core';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

/** PDF user space has 72 points to the inch (ISO 32000-1, 8.3.2.3). */
const POINTS_PER_MM = 72 / 25.4;

/** Inks on white paper. */
const colours: Record<Ink, string> = {
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
  document.registerFont('plain', font(400));
  document.registerFont('bold', font(700));
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => document.on('end', resolve).on('error', reject));
  for (const paper of papers) drawPaper(document, paper);
  document.end();
  await ended;
  return Buffer.concat(chunks);
}

function drawPaper(document: PDFKit.PDFDocument, { widthMm, heightMm, shapes }: Paper): void {
  const points = (mm: number): number => mm * POINTS_PER_MM;
  document.addPage({ size: [points(widthMm), points(heightMm)], margin: 0 });
  for (const shape of shapes) {
    if (shape.kind === 'text') {
      document
        .font(shape.bold ? 'bold' : 'plain')
        .fontSize(shape.sizePt)
        .fillColor(colours[shape.ink ?? 'ink'])
        .text(shape.text, points(shape.x), points(shape.y), { width: points(shape.width) });
      continue;
    }
    if (shape.kind === 'line') {
      document
        .moveTo(points(shape.x), points(shape.y))
        .lineTo(points(shape.toX), points(shape.toY))
        .lineWidth(points(shape.thick ?? 0.2))
        .stroke(colours[shape.stroke]);
      continue;
    }
    document
      .rect(points(shape.x), points(shape.y), points(shape.width), points(shape.height))
      .lineWidth(points(0.2));
    if (shape.fill && shape.stroke) document.fillAndStroke(colours[shape.fill], colours[shape.stroke]);
    else if (shape.fill) document.fill(colours[shape.fill]);
    else document.stroke(colours[shape.stroke ?? 'ink']);
  }
}
