import type { Shape } from '../make/index.js';

/** One part of a document which flows over its pages. */
export type Block =
  | { kind: 'title'; text: string; under: string[] }
  /** Begins a new page when it is of a run; stands in the outline. */
  | { kind: 'heading'; level: 1 | 2; text: string; newPage?: boolean }
  | { kind: 'text'; text: string; tone?: 'plain' | 'muted' | 'stop' }
  | { kind: 'table'; head: string[]; rows: string[][]; widths: number[] }
  /** Side by side, each with its words below. */
  | { kind: 'photos'; photos: { caption: string; bytes: Uint8Array }[] }
  /** Drawn to its own size in mm, never over the end of a page. */
  | { kind: 'drawing'; heightMm: number; shapes: Shape[]; says: string };

/** A document to be printed: blocks in order, with what stands at the foot of each page. */
export interface Report {
  title: string;
  foot: string;
  blocks: Block[];
}

/** Between the margins of an A4 sheet, mm. */
export const TEXT_WIDTH_MM = 180;
