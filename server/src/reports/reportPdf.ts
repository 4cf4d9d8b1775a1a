import { TEXT_WIDTH_MM, type Block, type Report } from '@kobran/core';
import PDFDocument from 'pdfkit';
import { colours, drawShape, POINTS_PER_MM, printable, registerFonts } from './pdf.js';

const points = (mm: number): number => mm * POINTS_PER_MM;

const LEFT = points(15);
const TOP = points(15);
/** Free at the lower edge, where the foot stands. */
const BOTTOM = points(18);
const WIDTH = points(TEXT_WIDTH_MM);
/** ISO 216, A4. */
const HEIGHT = points(297);

/** Three photos side by side, as large as they are in a hand. */
const PHOTOS_IN_ROW = 3;
const PHOTO_WIDTH_MM = (TEXT_WIDTH_MM - 6) / PHOTOS_IN_ROW;
const PHOTO_HEIGHT_MM = 44;

type Structure = PDFKit.PDFStructureElement;
type StructureType = 'Document' | 'H1' | 'H2' | 'P' | 'Figure' | 'Table' | 'TR' | 'TH' | 'TD';

/** A document which flows over A4 pages: searchable text, an outline, and tags which say what is a heading, a table, a drawing. */
export async function reportPdf({ title, foot, blocks }: Report): Promise<Buffer> {
  const document = new PDFDocument({
    size: 'A4',
    margin: 0,
    bufferPages: true,
    pdfVersion: '1.7',
    tagged: true,
    lang: 'en',
    displayTitle: true,
    info: { Title: title, Creator: 'Kobran' },
  });
  registerFonts(document);
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => document.on('end', resolve).on('error', reject));
  new Flow(document).all(blocks);
  const { count } = document.bufferedPageRange();
  for (let k = 0; k < count; k++) {
    document.switchToPage(k);
    document
      .font('plain')
      .fontSize(7.5)
      .fillColor(colours.muted)
      .text(printable(`${foot}   ${k + 1} of ${count}`), LEFT, HEIGHT - points(12), {
        width: WIDTH,
        lineBreak: false,
      });
  }
  document.end();
  await ended;
  return Buffer.concat(chunks);
}

class Flow {
  private y = TOP;
  private readonly root: Structure;
  /** Headings of the first level, under which those of the second stand in the outline. */
  private chapter: PDFKit.PDFOutline;

  constructor(private readonly document: PDFKit.PDFDocument) {
    this.root = document.struct('Document' satisfies StructureType);
    document.addStructure(this.root);
    this.chapter = document.outline;
  }

  all(blocks: readonly Block[]): void {
    for (const [k, block] of blocks.entries()) this.put(block, blocks.at(k + 1));
    this.root.end();
  }

  private put(block: Block, next: Block | undefined): void {
    switch (block.kind) {
      case 'title':
        this.text('H1', block.text, { size: 22, bold: true, below: 4 });
        for (const line of block.under.filter((one) => one !== ''))
          this.text('P', line, { size: 12, ink: 'muted', below: 2 });
        this.y += points(4);
        return;
      case 'heading':
        return this.heading(block, next);
      case 'text':
        return this.text('P', block.text, {
          size: 9.5,
          below: 3,
          ink: block.tone === 'muted' ? 'muted' : block.tone === 'stop' ? 'stop' : 'ink',
        });
      case 'table':
        return this.table(block);
      case 'drawing':
        return this.drawing(block);
      case 'photos':
        return this.photos(block);
    }
  }

  private heading(
    { level, text, newPage }: Extract<Block, { kind: 'heading' }>,
    next: Block | undefined,
  ): void {
    if (newPage && this.y > TOP) this.page();
    // Never alone at the foot of a page.
    this.room(
      points(
        (level === 1 ? 40 : 22) +
          (next?.kind === 'drawing' ? next.heightMm : next?.kind === 'photos' ? PHOTO_HEIGHT_MM : 0),
      ),
    );
    if (level === 1) this.chapter = this.document.outline.addItem(text);
    else {
      this.chapter.addItem(text);
      this.y += points(3);
    }
    this.text(level === 1 ? 'H1' : 'H2', text, {
      size: level === 1 ? 16 : 11.5,
      bold: true,
      below: level === 1 ? 3 : 2,
    });
  }

  private text(
    type: StructureType,
    text: string,
    {
      size,
      below,
      bold = false,
      ink = 'ink',
    }: { size: number; below: number; bold?: boolean; ink?: keyof typeof colours },
  ): void {
    const { document } = this;
    const shown = printable(text);
    document.font(bold ? 'bold' : 'plain').fontSize(size);
    const height = document.heightOfString(shown, { width: WIDTH });
    this.room(height);
    const { y } = this;
    this.root.add(
      document.struct(type, {}, () => {
        document
          .font(bold ? 'bold' : 'plain')
          .fontSize(size)
          .fillColor(colours[ink])
          .text(shown, LEFT, y, { width: WIDTH });
      }),
    );
    this.y += height + below;
  }

  private table({ head, rows, widths }: Extract<Block, { kind: 'table' }>): void {
    const { document } = this;
    const table = document.struct('Table' satisfies StructureType);
    this.root.add(table);
    const row = (cells: readonly string[], isHead: boolean): void => {
      const font = isHead ? 'bold' : 'plain';
      document.font(font).fontSize(8.5);
      const shown = cells.map(printable);
      const heights = shown.map((cell, k) => document.heightOfString(cell, { width: points(widths[k] - 2) }));
      const height = Math.max(...heights, 9) + points(1.4);
      if (this.room(height) && !isHead) row(head, true);
      const { y } = this;
      const structure = document.struct('TR' satisfies StructureType);
      table.add(structure);
      shown.forEach((cell, k) => {
        const x = LEFT + points(widths.slice(0, k).reduce((sum, one) => sum + one, 0));
        structure.add(
          document.struct(isHead ? 'TH' : 'TD', {}, () => {
            document
              .font(font)
              .fontSize(8.5)
              .fillColor(colours.ink)
              .text(cell, x, y + points(0.7), { width: points(widths[k] - 2) });
          }),
        );
      });
      structure.end();
      document
        .moveTo(LEFT, y + height)
        .lineTo(LEFT + WIDTH, y + height)
        .lineWidth(isHead ? 0.8 : 0.3)
        .stroke(colours.muted);
      this.y += height;
    };
    row(head, true);
    for (const cells of rows) row(cells, false);
    table.end();
    this.y += points(3);
  }

  private drawing({ heightMm, shapes, says }: Extract<Block, { kind: 'drawing' }>): void {
    const { document } = this;
    this.room(points(heightMm));
    const { y } = this;
    const figure = document.struct('Figure' satisfies StructureType, { alt: printable(says) }, () => {
      for (const shape of shapes) drawShape(document, shape, LEFT, y);
    });
    this.root.add(figure);
    this.y += points(heightMm + 2);
  }

  private photos({ photos }: Extract<Block, { kind: 'photos' }>): void {
    const { document } = this;
    for (let k = 0; k < photos.length; k += PHOTOS_IN_ROW) {
      const row = photos.slice(k, k + PHOTOS_IN_ROW);
      document.font('plain').fontSize(8);
      const words = row.map(({ caption }) =>
        document.heightOfString(printable(caption), { width: points(PHOTO_WIDTH_MM) }),
      );
      const height = points(PHOTO_HEIGHT_MM + 1) + Math.max(...words);
      this.room(height);
      const { y } = this;
      row.forEach(({ caption, bytes }, n) => {
        const x = LEFT + points(n * (PHOTO_WIDTH_MM + 3));
        const figure = document.struct('Figure' satisfies StructureType, { alt: printable(caption) }, () => {
          document.image(Buffer.from(bytes), x, y, {
            fit: [points(PHOTO_WIDTH_MM), points(PHOTO_HEIGHT_MM)],
            valign: 'bottom',
          });
        });
        this.root.add(figure);
        this.root.add(
          document.struct('P' satisfies StructureType, {}, () => {
            document
              .font('plain')
              .fontSize(8)
              .fillColor(colours.ink)
              .text(printable(caption), x, y + points(PHOTO_HEIGHT_MM + 1), {
                width: points(PHOTO_WIDTH_MM),
              });
          }),
        );
      });
      this.y += height + points(3);
    }
  }

  /** @returns whether a new page was begun for it */
  private room(height: number): boolean {
    if (this.y + height <= HEIGHT - BOTTOM || this.y <= TOP) return false;
    this.page();
    return true;
  }

  private page(): void {
    this.document.addPage();
    this.y = TOP;
  }
}
