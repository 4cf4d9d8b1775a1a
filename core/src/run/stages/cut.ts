import { formatFigure, formatFrequency } from '../../quantity/index.js';
import { progress, type StageRule } from './stage.js';

/** Lengths off the reel; electrical lengths are trimmed. */
export const cut: StageRule = {
  id: 'cut',
  name: 'Cut',
  look({ body: { cuts } }) {
    const all = cuts.reduce((sum, { copies }) => sum + copies, 0);
    const done = cuts.reduce((sum, piece) => sum + (piece.done ? piece.copies : 0), 0);
    const open = cuts.find((piece) => !piece.done);
    return {
      state: progress(done, all),
      detail: cuts.length === 0 ? 'nothing to cut' : `${done} of ${all} cut`,
      next: open ? `Cut ${open.name}` : '',
    };
  },
  headline({ cuts }, _, units) {
    const next = cuts.find(({ done }) => !done);
    if (!next) return cuts.length === 0 ? 'Nothing to cut' : 'All pieces are cut';
    if (next.electrical) {
      const { degrees, frequencyHz } = next.electrical.target;
      return `Trim ${next.name} to ${degrees}° at ${formatFrequency(frequencyHz)}`;
    }
    const times = next.copies === 1 ? '' : `${next.copies} × `;
    return `Cut ${times}${formatFigure(next.cut, units)} of ${next.cable.name} for ${next.name}`;
  },
};
