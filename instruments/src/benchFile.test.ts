import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { aBenchDocument } from './aBench.fixture.js';
import { benchFile } from './benchFile.js';
import { multimeter } from './meters/multimeter.js';
import { interpreter } from './scpi/instrument.js';

const folder = mkdtempSync(join(tmpdir(), 'kobran-bench-'));
afterAll(() => rmSync(folder, { recursive: true }));
const path = join(folder, 'bench.json');
const put = (text: string): void => writeFileSync(path, text);

describe('the bench as a file', () => {
  const answer = interpreter(multimeter(benchFile(path), 7));
  const ask = async (message: string): Promise<string> => (await answer(message))?.toString() ?? '';

  it('with nothing on it the instrument says so and stays at hand', async () => {
    expect(await ask('MEAS:RES?')).toBe('');
    expect(await ask('SYST:ERR?')).toMatch(/^-230,.*nothing is on the bench/);
  });

  it('what is put on it is measured at once, and what is changed by hand too', async () => {
    put(JSON.stringify(aBenchDocument({ far: 'open' })));
    expect(Number(await ask('MEAS:RES?'))).toBe(9.9e37);
    put(JSON.stringify(aBenchDocument({ far: 'short', wiggled: true })));
    expect(Number(await ask('MEAS:RES?'))).toBeLessThan(1);
  });

  it.each([
    ['{"broken', /JSON/],
    ['[]', /JSON object/],
    [JSON.stringify(aBenchDocument({ pieceId: 'nowhere' })), /no assembly/],
    [JSON.stringify(aBenchDocument({ far: 'moon' })), /far/],
    [JSON.stringify(aBenchDocument({ pieceId: '', cableM: 2 })), /whole run is not trimmed/],
  ])('a file which is no bench is refused with the reason', async (text, why) => {
    put(text);
    expect(await ask('MEAS:RES?')).toBe('');
    expect(await ask('SYST:ERR?')).toMatch(why);
  });
});
