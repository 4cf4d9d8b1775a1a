import { lowerFirst } from '../../quantity/index.js';
import type { SheetBody } from '../sheet/sheet.js';
import { progress, type StageRule } from './stage.js';

/** Everything that is to be read of the cables, and what was read of the whole run. */
const readingsOf = ({ proofs, runProofs }: SheetBody) => [
  ...proofs.flatMap(({ expectations, name, copies }) =>
    expectations.map(({ name: what, reading, judgement, copiesRead }) => ({
      name: what,
      reading,
      judgement,
      of: name,
      wanted: copies,
      taken: Math.min(copies, copiesRead),
    })),
  ),
  ...runProofs.map(({ name, reading, judgement }) => ({
    name,
    reading,
    judgement,
    of: 'The whole run',
    wanted: 1,
    taken: 1,
  })),
];

/** Of several of the same each is read. */
const sumOf = (all: ReturnType<typeof readingsOf>): { taken: number; wanted: number } => ({
  taken: all.reduce((sum, { taken }) => sum + taken, 0),
  wanted: all.reduce((sum, { wanted }) => sum + wanted, 0),
});

/** Expected against read. */
export const prove: StageRule = {
  id: 'prove',
  name: 'Prove',
  look({ body }) {
    const all = readingsOf(body);
    const read = all.filter(({ reading }) => reading);
    const bad = read.find(({ judgement }) => judgement?.verdict === 'fail');
    if (bad) return { state: 'snags', detail: `${bad.name} failed`, next: `${bad.of}: ${bad.name} failed` };
    const open = all.find(({ taken, wanted }) => taken < wanted);
    const { taken, wanted } = sumOf(all);
    return {
      state: progress(taken, wanted),
      detail: wanted === 0 ? 'nothing to read' : `${taken} of ${wanted} readings`,
      next: open ? `Read ${lowerFirst(open.name)} of ${open.of}` : '',
    };
  },
  headline(body) {
    const all = readingsOf(body);
    const read = all.filter(({ reading }) => reading);
    const failed = read.filter(({ judgement }) => judgement?.verdict === 'fail');
    if (all.length === 0) return 'Nothing to read yet';
    if (failed.length > 0)
      return `${failed.length} of ${read.length} readings ${failed.length === 1 ? 'fails' : 'fail'}`;
    const { taken, wanted } = sumOf(all);
    return taken === wanted
      ? 'Every reading is in, none fails'
      : `${wanted - taken} of ${wanted} readings to take`;
  },
};
