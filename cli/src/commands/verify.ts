import { checkLog, isObject, type Problem } from '@kobran/core';
import type { Command } from 'commander';
import { InputProblem, rules, type Desk } from '../desk.js';

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
      for (const [k, { design, facts, log }] of file.value.runs.entries()) {
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
        const check = checkLog({ facts: entries, ...log });
        if (check.sound) printText(`${name}: sound, ${check.entries} entries, head ${check.head}\n`);
        else {
          printText(`${name}: BROKEN. ${check.problem.message}\n`);
          refuse();
        }
      }
    });
}
