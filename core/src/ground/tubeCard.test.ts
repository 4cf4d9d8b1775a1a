import { describe, expect, it } from 'vitest';
import { tubeSteps } from './tubeCard.js';

const titles = (fed: boolean, aloft: boolean): string[] =>
  tubeSteps({ fed, aloft }).map(({ title }) => title);

// Handbook of the trade, 7: disconnect, unscrew by hand, look, new tube and gasket, finger tight.
describe('the steps of a tube', () => {
  it('stand in the order of the work', () => {
    const all = titles(true, true);
    const order = ['No storm', 'Feed off', 'Up to', 'Disconnect', 'Tube out', 'Look', 'Tube in', 'Connect'];
    expect(order.map((start) => all.findIndex((title) => title.startsWith(start)))).toEqual(
      order.map((_, k) => k),
    );
    expect(all).toHaveLength(order.length);
  });
  it('ask for the feed only where there is one, and for a climb only where it hangs', () => {
    expect(titles(false, false)).not.toContain('Feed off');
    expect(titles(false, false)).not.toContain('Up to the arrester');
  });
  it('warn where the work can kill: in storms, and on the mast', () => {
    const cautions = tubeSteps({ fed: false, aloft: true })
      .flatMap(({ caution = '' }) => caution)
      .join(' ');
    expect(cautions).toMatch(/thunder/);
    expect(cautions).toMatch(/power lines/);
  });
});
