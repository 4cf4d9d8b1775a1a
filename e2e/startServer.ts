import { spawn, type ChildProcess } from 'node:child_process';

/** Starts the built server on a folder and waits until it listens. */
export async function startServer(
  folder: string,
  port: number,
  demo = true,
  more: NodeJS.ProcessEnv = {},
): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['server/dist/kobran.js'], {
    env: {
      ...process.env,
      PORT: String(port),
      KOBRAN_DATA: folder,
      KOBRAN_DEMO: demo ? '1' : '',
      KOBRAN_LOG: 'warn',
      ...more,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  for await (const chunk of child.stdout) if (String(chunk).includes('Kobran is at')) return child;
  throw new Error('the server ended before it listened');
}
