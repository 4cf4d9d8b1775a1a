import { wcagContrast } from 'culori';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** The tokens of a theme as the style sheet has them. */
function tokensOf(selector: string): Map<string, string> {
  const css = readFileSync(new URL('./styles.css', import.meta.url), 'utf8');
  const block = css.slice(css.indexOf(`${selector} {`)).split('}')[0];
  return new Map([...block.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map(([, name, value]) => [name, value]));
}

const grounds = ['sheet', 'panel', 'paper'];
const zones = ['dry', 'sheltered', 'outdoor', 'buried', 'salt', 'ice'].map((zone) => `zone-${zone}`);

describe.each([
  ['light', ':root'],
  ['dark', "[data-theme='dark']"],
])('%s', (_, selector) => {
  const tokens = tokensOf(selector);
  const contrast = (a: string, b: string): number => {
    const [one, other] = [tokens.get(a), tokens.get(b)];
    if (!one || !other) throw new Error(`no token ${a} or ${b}`);
    return wcagContrast(one, other);
  };

  // WCAG 2.2, 1.4.3: 4.5 to 1 for text.
  it.each(
    ['ink', 'muted', 'lake', 'stop', 'caution', 'note', 'copper'].flatMap((text) =>
      grounds.map((on) => [text, on]),
    ),
  )('%s is read on %s', (text, on) => expect(contrast(text, on)).toBeGreaterThanOrEqual(4.5));
  it.each(zones)('ink and muted words are read on %s', (zone) => {
    expect(contrast('ink', zone)).toBeGreaterThanOrEqual(4.5);
    expect(contrast('muted', zone)).toBeGreaterThanOrEqual(4.5);
  });
  it('what a main button says is read on ink', () =>
    expect(contrast('on-ink', 'ink')).toBeGreaterThanOrEqual(7));

  // WCAG 2.2, 1.4.11: 3 to 1 for the edge of a field and what a drawing shows.
  it.each(
    grounds.flatMap((on) => [
      ['edge', on],
      ['copper', on],
    ]),
  )('%s is seen on %s', (line, on) => expect(contrast(line, on)).toBeGreaterThanOrEqual(3));
});
