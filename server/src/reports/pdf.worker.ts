import type { Paper } from '@kobran/core';
import { pdfOf } from './pdf.js';

/** Draws a PDF in a thread of its own. */
export default ({ papers, title }: { papers: Paper[]; title: string }): Promise<Uint8Array> =>
  pdfOf(papers, title);
