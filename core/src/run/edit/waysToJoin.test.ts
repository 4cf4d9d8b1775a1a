import { describe, expect, it } from 'vitest';
import { catalog, faceOf } from '../../catalog/index.js';
import { fitCable, mate } from '../../fit/index.js';
import { aRun, cable, sheetOf } from '../aRun.fixture.js';
import { applyChange } from '../design/change.js';
import { article, partsToMeet } from './waysToJoin.js';

describe('parts which meet a face on a cable', () => {
  it.each([
    ['uhf-jack', 'rg8x'],
    ['n-jack', 'c400'],
    ['rp-sma-jack', 'c195'],
    ['bnc-jack', 'rg316'],
  ])('%s on %s: every one mates and fits', (face, id) => {
    const parts = partsToMeet(faceOf(face), id, catalog);
    expect(parts.length).toBeGreaterThan(0);
    for (const part of parts) {
      expect(mate(faceOf(part.face), faceOf(face)).verdict).toBe('mates');
      expect(fitCable(part, catalog.cables.get(id) ?? expect.fail()).verdict).toBe('fits');
    }
  });

  it('none where the trade has none: an SMA plug on 10 mm cable', () =>
    expect(partsToMeet(faceOf('sma-jack'), 'rg213', catalog)).toEqual([]));
});

describe('ways to join', () => {
  it('two ports with nothing between are joined by the adapters which exist', () => {
    const bare = aRun({ pieces: [], legs: [], radio: { name: 'Set', face: 'uhf-jack', handheld: false } });
    const [{ remedies }] = sheetOf(bare).snags;
    const joined = remedies[0].changes.reduce(applyChange, bare);
    expect(sheetOf(joined).passes).toBe(true);
  });

  it('a wrong adapter is exchanged without adding a joint', () => {
    const wrong = aRun({
      radio: { name: 'Set', face: 'uhf-jack', handheld: false },
      pieces: [{ kind: 'adapter', id: 'adapter', adapter: 'sma-plug-to-n-jack', reversed: false }, cable()],
    });
    const [{ remedies }] = sheetOf(wrong).snags;
    expect(remedies[0].title).toBe('Take a UHF plug to N jack adapter instead');
    const mended = remedies[0].changes.reduce(applyChange, wrong);
    expect(mended.pieces).toHaveLength(2);
    expect(sheetOf(mended).passes).toBe(true);
  });

  // English, as spoken: an N, an F, an SMA, an RP-SMA; a UHF, a BNC.
  it.each([
    ['N plug', 'an N plug'],
    ['RP-SMA plug', 'an RP-SMA plug'],
    ['SMA jack', 'an SMA jack'],
    ['UHF plug', 'a UHF plug'],
    ['BNC jack', 'a BNC jack'],
  ])('%s is spoken %s', (name, spoken) => expect(article(name)).toBe(spoken));
});
