export { asBuiltRun, type BuiltRun, type ReportOptions } from './asBuilt.js';
export { asBuiltSite } from './asBuiltSite.js';
export { birthEcho } from './birthEcho.js';
export { heightDrawing } from './heightDrawing.js';
export { inspectionsOf, looksInOrder, soonUntil, whenDue, type Inspection } from './inspections.js';
export type { PrintedPicture } from './photoBlocks.js';
export { TEXT_WIDTH_MM, type Block, type Report } from './report.js';
export { rulerScale } from './rulerDrawing.js';
export type { PrintedSweep } from './sweepDrawing.js';
