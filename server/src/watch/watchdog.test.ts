import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { expect, it } from 'vitest';

const program = new URL('../../dist/watch/watchdog.js', import.meta.url).href;

/** Runs a script beside a watchdog of one second; how it ended and what it said. */
async function run(script: string): Promise<{ signal: string | null; text: string }> {
  const child = spawn(
    process.execPath,
    ['--input-type=module', '-e', `import { watch } from ${JSON.stringify(program)}; watch(1200); ${script}`],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  );
  let text = '';
  child.stderr.on('data', (chunk: Buffer) => (text += chunk.toString()));
  const [, signal] = (await once(child, 'close')) as [number | null, string | null];
  return { signal, text };
}

it('what stands still, deaf to signals, is ended with words', async () => {
  const { signal, text } = await run(
    "process.on('SIGTERM', () => undefined); setTimeout(() => { for (;;); }, 300);",
  );
  expect(signal).toBe('SIGKILL');
  expect(text).toContain('perhaps its disk is full');
});

it('what works hard and comes up for air is left alone', async () => {
  const { signal, text } = await run(
    'const end = Date.now() + 4000; const work = () => { const until = Date.now() + 400; while (Date.now() < until); if (Date.now() < end) setTimeout(work, 10); }; work();',
  );
  expect([signal, text]).toEqual([null, '']);
});
