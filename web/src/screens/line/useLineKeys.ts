import { useNavigate } from 'react-router';
import type { RulerView } from '../../drawing/ruler/useRulerView.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useRemedy } from '../../frame/SnagList.js';
import { useKeys } from '../../ui/useKeys.js';
import type { Selection } from './useSelection.js';

/** Everything of the Line can be done from the keyboard. */
export function useLineKeys(
  selection: Selection,
  view: RulerView,
  open: (dialog: 'fit' | 'insert') => void,
  toggleWhatIf: () => void,
): void {
  const { sheet, id: runId } = useOpenRun();
  const navigate = useNavigate();
  const apply = useRemedy();
  const { piece, atM } = selection;
  const taking = { preventDefault: true };
  useKeys('right', () => selection.step(1), taking);
  useKeys('left', () => selection.step(-1), taking);
  useKeys('esc', () => selection.show(undefined));
  useKeys('alt+right', () => selection.moveBy(1), taking);
  useKeys('alt+left', () => selection.moveBy(-1), taking);
  useKeys('r', selection.turn);
  useKeys('delete', selection.takeOut);
  useKeys('f', () => open('fit'), taking);
  useKeys('a', () => open('insert'), taking);
  useKeys('w', toggleWhatIf);
  useKeys('c', () => {
    const query = piece?.kind === 'assembly' ? `?piece=${piece.id}` : '';
    void navigate(`/runs/${runId}/cables${query}`);
  });
  useKeys('1, 2, 3, 4, 5', (_, { keys }) => {
    const first = sheet.snags.find(({ at }) => at === selection.id);
    const remedy = first?.remedies.at(Number(keys?.at(0)) - 1);
    if (remedy) apply(remedy);
  });
  useKeys('shift+right', () => view.panBy(0.25), taking);
  useKeys('shift+left', () => view.panBy(-0.25), taking);
  // The key + itself cannot be told from a combination unless another sign joins combinations.
  useKeys('+, =', () => view.zoomBy(2, atM), { useKey: true, splitKey: '&' });
  useKeys('-', () => view.zoomBy(0.5, atM), { useKey: true });
  useKeys('0', view.whole);
}
