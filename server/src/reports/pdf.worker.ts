import type { Paper, Report } from '@kobran/core';
import { pdfOf } from './pdf.js';
import { reportPdf } from './reportPdf.js';

/** Draws a PDF in a thread of its own: papers at true size, or a document which flows. */
export default (wish: { papers: Paper[]; title: string } | { report: Report }): Promise<Uint8Array> =>
  'report' in wish ? reportPdf(wish.report) : pdfOf(wish.papers, wish.title);
