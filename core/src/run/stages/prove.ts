import { lowerFirst } from '../../quantity/index.js';
import type { SheetBody } from '../sheet/sheet.js';
import { progress, type StageRule } from './stage.js';

/** Everything that is to be read of the cables, and what was read of the whole run. */
const readingsOf = ({ proofs, runProofs }: SheetBody) => [
  ...proofs.flatMap(({ expectations, name }) =>
    expectations.map(({ name: what, reading, judgement }) => ({ name: what, reading, judgement, of: name })),
  ),
  ...runProofs.map(({ name, reading, judgement }) => ({ name, reading, judgement, of: 'The whole run' })),
];

/** Expected against read. */
export const prove: StageRule = {
  id: 'prove',
  name: 'Prove',
  look({ body }) {
    const all = readingsOf(body);
    const read = all.filter(({ reading }) => reading);
    const bad = read.find(({ judgement }) => judgement?.verdict === 'fail');
    if (bad) return { state: 'snags', detail: `${bad.name} failed`, next: `${bad.of}: ${bad.name} failed` };
    const open = all.find(({ reading }) => !reading);
    return {
      state: progress(read.length, all.length),
      detail: all.length === 0 ? 'nothing to read' : `${read.length} of ${all.length} readings`,
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
    return read.length === all.length
      ? 'Every reading is in, none fails'
      : `${all.length - read.length} of ${all.length} readings to take`;
  },
};
