import type { PictureInFile } from '@kobran/contract';
import {
  bytesHash,
  checkLog,
  checkSweeps,
  isObject,
  photosOf,
  sweepHash,
  type Facts,
  type Problem,
  type SampledSweep,
} from '@kobran/core';
import type { Command } from 'commander';
import { InputProblem, rules, type Desk } from '../desk.js';

/** Photos of a log whose bytes are not in the file, or are others than were taken. */
function photoFaults(facts: Facts, pictures: readonly PictureInFile[]): string[] {
  return photosOf(facts).flatMap(({ pictureId, about, sha256, at }) => {
    const found = pictures.find(({ id }) => id === pictureId);
    const name = `photo of ${about || 'the run'}, ${at.slice(0, 10)}`;
    if (!found) return [`MISSING ${name}: the file has no picture ${pictureId}`];
    return bytesHash(Buffer.from(found.base64, 'base64')) === sha256
      ? []
      : [`CHANGED ${name}: another picture lies in its place than was taken`];
  });
}

/** Sweeps of a log which are not in the file as they were taken. */
const sweepFaults = (facts: Facts, traces: readonly SampledSweep[]): string[] =>
  checkSweeps(facts, traces.map(sweepHash)).missing.map(
    (name) => `MISSING OR CHANGED sweep “${name}”: no sweep in the file has the samples that were taken`,
  );

/** `verify FILE`: do the logs of an exported job say what was written into them? */
export function verifyCommand(kobran: Command, { readJson, printText, refuse }: Desk): void {
  kobran
    .command('verify')
    .argument('<file>', 'a job file as JSON; - reads standard input')
    .description(
      'Check that no log entry was changed, taken out, put in or moved, and print each run’s head for comparison with a printed as-built.',
    )
    .addHelpText('after', '\nExample:\n  npx kobran verify brackwater.json')
    .action(async (path: string) => {
      const { JobFile, readAs, readFact, upgradeJobFile } = await rules();
      const upgraded = upgradeJobFile(await readJson(path));
      const file = readAs(JobFile, isObject(upgraded) ? upgraded : {});
      if (!file.ok) throw new InputProblem(file.problems);
      for (const [k, { design, facts, log, traces }] of file.value.runs.entries()) {
        const name = String((design as { name?: unknown }).name);
        const unread: Problem[] = [];
        const entries = facts.flatMap((fact, n) => {
          const read = readFact(fact, `runs[${k}].facts[${n}]`);
          if (!read.ok) unread.push(...read.problems);
          return read.ok ? [read.fact] : [];
        });
        if (unread.length > 0) throw new InputProblem(unread);
        if (!log) {
          printText(
            `${name}: the file is older than the chained log; ${entries.length} entries, unchecked\n`,
          );
          continue;
        }
        for (const line of photoFaults(entries, file.value.pictures ?? [])) {
          printText(`${name}: ${line}\n`);
          refuse();
        }
        for (const line of sweepFaults(entries, traces ?? [])) {
          printText(`${name}: ${line}\n`);
          refuse();
        }
        const check = checkLog({ facts: entries, ...log });
        if (check.sound) printText(`${name}: sound, ${check.entries} entries, head ${check.head}\n`);
        else {
          printText(`${name}: BROKEN. ${check.problem.message}\n`);
          refuse();
        }
      }
    });
}
