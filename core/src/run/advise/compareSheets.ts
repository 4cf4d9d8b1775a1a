import { figure, type Figure } from '../../quantity/index.js';
import type { Sheet } from '../evaluate.js';

/** One line of a what-if: the same figure of two designs. */
export interface SheetDifference {
  name: string;
  before: Figure;
  after: Figure;
  /** Which of the two is better; nothing where neither is. */
  better: 'before' | 'after' | undefined;
}

type Read = [name: string, of: (sheet: Sheet) => Figure, wish: 'less' | 'more'];

const count = (value: number): Figure => figure(value, 'count', 'counted');
const snags =
  (level: 'stop' | 'caution' | 'note') =>
  (sheet: Sheet): Figure =>
    count(sheet.snags.filter((snag) => snag.level === level).length);

const reads: Read[] = [
  ['Loss', ({ figures }) => figures.loss, 'less'],
  ['Return loss at the radio', ({ figures }) => figures.returnLoss, 'more'],
  ['Peak voltage', ({ figures }) => figures.peakVoltage, 'less'],
  ['Length', ({ figures }) => figures.length, 'less'],
  ['Joints', ({ joints }) => count(joints.length), 'less'],
  ['Ends to make', ({ ends }) => count(ends.length), 'less'],
  ['Stops', snags('stop'), 'less'],
  ['Cautions', snags('caution'), 'less'],
  ['Notes', snags('note'), 'less'],
];

/** Two designs side by side, figure by figure: a what-if. */
export function compareSheets(before: Sheet, after: Sheet): SheetDifference[] {
  const arrives: Read = before.receiveOnly
    ? ['Signal-to-noise lost', ({ reception, figures }) => reception?.costs ?? figures.loss, 'less']
    : ['Reaches the antenna', ({ figures }) => figures.reaching, 'more'];
  return [arrives, ...reads].map(([name, of, wish]) => {
    const [a, b] = [of(before), of(after)];
    const gain = wish === 'more' ? b.value - a.value : a.value - b.value;
    const tells = Math.abs(gain) > 1e-6 * Math.max(Math.abs(a.value), Math.abs(b.value), 1e-6);
    return { name, before: a, after: b, better: tells ? (gain > 0 ? 'after' : 'before') : undefined };
  });
}
