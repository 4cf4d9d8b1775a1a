import { echoOf, scattering, type Element } from '@kobran/core';
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { bench, describe } from 'vitest';
import { designOf, elementsOf, grid } from './aLongRun.js';
import { sweepByMathjs } from './byMathjs.js';

/** Targets: within 1.5 times of plain C, at least 50 times faster than mathjs, the echo under 50 ms. */
const PIECES = 20;
const POINTS = 10_001;
/** Sweeps in one call, so that starting the C program does not count. */
const REPEATS = 20;

const elements = elementsOf(designOf(PIECES));
const frequencies = grid(POINTS);

/** Builds the same loop in C; without a compiler it is left out, and that is said. */
function builtC(): string | undefined {
  const program = join(mkdtempSync(join(tmpdir(), 'kobran-bench-')), 'sweep');
  try {
    execFileSync('gcc', ['-O2', '-o', program, fileURLToPath(new URL('sweep.c', import.meta.url)), '-lm']);
    return program;
  } catch (error) {
    console.warn(`plain C is skipped, gcc does not build it here: ${String(error).split('\n')[0]}`);
    return undefined;
  }
}

const described = (element: Element): string => {
  if (element.kind === 'line')
    return `0 ${element.z0Ohm} ${element.velocityFactor} ${element.lengthM} ${element.k1} ${element.k2}`;
  if (element.kind === 'contact') return `1 0 0 0 ${element.dbPerSqrtGhz} 0`;
  if (element.kind === 'shunt capacitance') return `2 0 0 0 ${element.farad} 0`;
  throw new Error(`the C loop has no ${element.kind}`);
};

const kinds = [...new Set(elements)];
const step = frequencies[1] - frequencies[0];
const input = [
  `${kinds.length} ${elements.length} ${POINTS} ${REPEATS} ${frequencies[0]} ${step}`,
  ...kinds.map(described),
  ...elements.map((element) => kinds.indexOf(element)),
].join('\n');

const sumOf = (of: { re: Float64Array; im: Float64Array }): number =>
  of.re.reduce((sum, re, k) => sum + Math.hypot(re, of.im[k]), 0);

describe(`${REPEATS} sweeps of ${PIECES} pieces at ${POINTS} frequencies`, () => {
  const program = builtC();
  if (program !== undefined) {
    const byC = Number(execFileSync(program, { input }).toString());
    const byUs = sumOf(scattering(elements, frequencies).s21);
    if (!(Math.abs(byC / byUs - 1) < 1e-9)) throw new Error(`C has ${byC}, Kobran ${byUs}`);
    bench('plain C', () => void execFileSync(program, { input }), { time: 4000 });
  }
  bench(
    'Kobran, all four of S',
    () => {
      for (let k = 0; k < REPEATS; k++) scattering(elements, frequencies);
    },
    { time: 4000 },
  );
});

describe(`one sweep of ${PIECES} pieces at ${POINTS} frequencies`, () => {
  bench('mathjs complex matrices', () => void sweepByMathjs(elements, frequencies), {
    time: 0,
    iterations: 2,
    warmupIterations: 0,
    warmupTime: 0,
  });
  bench('Kobran, all four of S', () => void scattering(elements, frequencies), { time: 2000 });
  const { s11 } = scattering(elements, frequencies);
  bench('echo of it by distance', () => void echoOf(s11, frequencies), { time: 2000 });
});
