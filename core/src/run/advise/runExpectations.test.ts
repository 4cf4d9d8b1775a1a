import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { runExpectations, type Design } from '../index.js';

const of = (design: Design) => runExpectations(design, catalog, sheetOf(design));
const named = (design: Design, name: string) => of(design).find((one) => one.name.startsWith(name));

describe('what to expect of a whole run', () => {
  const design = anOutdoorRun();

  it('loss into a load is the matched loss with its joints, and a run twice as long loses its cables’ loss once more', () => {
    const loss = named(design, 'Loss')?.expected.value ?? 0;
    const { figures } = sheetOf(design);
    expect(loss).toBeGreaterThan(figures.matchedLoss.value);
    const longer = {
      ...design,
      pieces: design.pieces.map((piece) =>
        piece.kind === 'assembly' ? { ...piece, lengthM: piece.lengthM * 2 } : piece,
      ),
    };
    // Joints stay as they are; their reflections add up by another phase.
    const added = (named(longer, 'Loss')?.expected.value ?? 0) - loss;
    expect(added / figures.matchedLoss.value).toBeGreaterThan(0.95);
    expect(added / figures.matchedLoss.value).toBeLessThan(1.05);
  });

  // A folded dipole or a grounded loop is a short for direct current: handbook practice.
  it('an antenna that joins pin and shell is a short by design, another one open', () => {
    const joined = { ...design, antenna: { ...design.antenna, dcShort: true } };
    const open = {
      ...design,
      antenna: { ...design.antenna, dcShort: false },
      service: { ...design.service, dcFeed: false },
    };
    expect(named(joined, 'Pin')?.limit).toContain('a short by design');
    expect(named(open, 'Pin')?.expected.value).toBe(Infinity);
  });

  it('a receive-only run is sent no power', () => {
    const receive = { ...design, service: { ...design.service, powerW: 0 } };
    expect(named(receive, 'Power')).toBeUndefined();
    expect(named({ ...design, service: { ...design.service, powerW: 25 } }, 'Power')).toBeDefined();
  });
});
