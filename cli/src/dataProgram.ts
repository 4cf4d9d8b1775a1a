import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';

const program = fileURLToPath(new URL('../../server/dist/backup/main.js', import.meta.url));

/** The server alone opens a data folder; the command line asks it to, in a process of its own. */
export async function runDataProgram(...args: string[]): Promise<number> {
  const child = spawn(process.execPath, [program, ...args], { stdio: 'inherit' });
  const [code] = (await once(child, 'exit')) as [number | null];
  return code ?? 2;
}
