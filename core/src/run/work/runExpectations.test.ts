import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun, fact, sheetOf } from '../aRun.fixture.js';
import { runExpectations, type Design, type Facts } from '../index.js';

const of = (design: Design, facts: Facts = []) => runExpectations(design, catalog, sheetOf(design), facts);
const named = (design: Design, name: string, facts?: Facts) =>
  of(design, facts).find((one) => one.name.startsWith(name));
const alone = (what: 'load alone' | 'antenna alone', value: number) =>
  fact({ kind: 'run reading', what, value });

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

  // Echo of the load, twice through the loss: lg of ρ·10^(−A/10); standard texts (Pozar).
  it('the load’s own reading is taken first, and the run is judged against it', () => {
    const [bare, poor] = [[], [alone('load alone', 1.5)]].map((facts) => named(design, 'Return', facts));
    const loss = named(design, 'Loss')?.expected.value ?? 0;
    const rho = (db: number | undefined): number => 10 ** (-(db ?? 0) / 20);
    const added = rho(poor?.expected.value) - rho(bare?.expected.value);
    expect(added / (0.2 * 10 ** (-loss / 10))).toBeCloseTo(1, 1);
    expect(poor?.least).toBeLessThan(bare?.least ?? 0);
    // 1 − 0.2²: what such a load takes of what reaches it.
    const power = [[], [alone('load alone', 1.5)]].map(
      (facts) => named(design, 'Power', facts)?.expected.value ?? 0,
    );
    expect(power[1] / power[0]).toBeCloseTo(0.96, 6);
  });

  it('the antenna’s own reading takes the place of what was planned', () => {
    const planned = named(design, 'SWR')?.expected.value ?? 0;
    const worse = named(design, 'SWR', [alone('antenna alone', 4)]);
    expect(worse?.expected.value).toBeGreaterThan(planned);
    expect(worse?.expected.value).toBeLessThan(4);
    expect(worse?.limit).toContain('4.00 at the antenna');
  });

  it('a receive-only run is sent no power', () => {
    const receive = { ...design, service: { ...design.service, powerW: 0 } };
    expect(named(receive, 'Power')).toBeUndefined();
    expect(named({ ...design, service: { ...design.service, powerW: 25 } }, 'Power')).toBeDefined();
  });
});
