import { writeSync } from 'node:fs';
import { workerData } from 'node:worker_threads';
import { BEAT_MS, type Watched } from './watchdog.js';

const { beats, stillMs } = workerData as Watched;
const count = new Int32Array(beats);
const LOOKS = 12;
const STDERR = 2;

let last = Atomics.load(count, 0);
let still = 0;
// Looks are counted, not seconds: a machine that was asleep wakes with both threads.
setInterval(
  () => {
    const now = Atomics.load(count, 0);
    still = now === last ? still + 1 : 0;
    last = now;
    if (still < LOOKS) return;
    writeSync(
      STDERR,
      `Kobran stood still for ${stillMs / 1000} s and ends: perhaps its disk is full. Make room and start it again; what was acknowledged is kept.\n`,
    );
    process.kill(process.pid, 'SIGKILL');
  },
  Math.max(stillMs / LOOKS, BEAT_MS / 20),
);
