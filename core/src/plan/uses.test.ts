import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { defaultPractice } from '../practice/index.js';
import { fact } from '../run/aRun.fixture.js';
import type { FactBody } from '../run/index.js';
import { groundedSite } from '../site/aGround.fixture.js';
import { partName, usesOf, usesOfJob } from './index.js';

const end = { part: 'n-plug-crimp-10mm', cable: 'rg213', recipe: 'crimp-n', work: 'new end' as const };
const used = (body: FactBody): string[] => usesOf(body, catalog).map(({ part }) => part);

// By the meaning of the words.
describe('what left the shelf', () => {
  it('an end takes its connector and its tube, made or failed; the ferrule lay in its bag', () => {
    const parts = used({ kind: 'end made', endId: 'main.a', end });
    expect(parts[0]).toBe('n-plug-crimp-10mm');
    expect(parts.some((part) => part.startsWith('shrink-') && !part.includes('lined'))).toBe(true);
    expect(parts.some((part) => part.startsWith('ferrule'))).toBe(false);
    expect(used({ kind: 'end failed', endId: 'main.a', end })).toEqual(parts);
    const lined = used({ kind: 'end made', endId: 'main.a', end: { ...end, lined: true } });
    expect(lined.some((part) => part.startsWith('shrink-lined-'))).toBe(true);
  });

  it('shrink tube which is put on later takes no connector, and a part nobody has any more is one', () => {
    expect(used({ kind: 'end made', endId: 'main.a', end: { ...end, work: 'shrink' } })).toEqual([]);
    expect(used({ kind: 'end made', endId: 'main.a', end: { ...end, part: 'old' } })).toEqual(['old']);
    expect(used({ kind: 'end made', endId: 'main.a' })).toEqual([]);
  });

  it('of a job: its runs and its ground, oldest first', () => {
    const site = groundedSite();
    const [bond, ...bonds] = site.ground.bonds;
    const made = {
      by: 'Wenna',
      on: '2026-11-03',
      at: '2026-11-03T10:00:00.000Z',
      used: [{ part: 'lug-16mm2', amount: 2 }],
    };
    const sealed = fact(
      { kind: 'sealed', jointId: 'main>antenna', used: [{ part: 'rubber38', amount: 0.1 }] },
      '2026-11-02T10:00:00.000Z',
    );
    const joined = { ...site, ground: { ...site.ground, bonds: [{ ...bond, made }, ...bonds] } };
    const uses = usesOfJob([{ name: 'HF run', facts: [sealed] }], joined, catalog);
    expect(uses.map(({ part, of }) => [part, of])).toEqual([
      ['rubber38', 'HF run'],
      ['lug-16mm2', `ground, ${bond.id}`],
    ]);
  });

  it('parts have their names, the shop’s own too; what has none keeps its id', () => {
    expect(partName('n-plug-crimp-10mm', catalog, defaultPractice)).toMatch(/^N plug, crimp/);
    expect(partName('rubber38', catalog, defaultPractice)).toBe('self-fusing rubber, 38 mm');
    expect(partName('lug-16mm2', catalog, defaultPractice)).toBe('lug-16mm2');
  });
});
