import type { Command } from 'commander';
import { InputProblem, type Desk } from '../desk.js';

/** `backup FILE` and `restore FILE`: everything out of the data folder, and into it; `rebuild`: what is worked out of it. */
export function backupCommands(kobran: Command, { runDataProgram }: Desk): void {
  const run = async (...args: string[]): Promise<void> => {
    // What is wrong the program has said itself.
    if ((await runDataProgram(...args)) !== 0) throw new InputProblem([]);
  };
  kobran
    .command('backup')
    .argument('<file>', 'where to write it')
    .description(
      'Write everything into one file, with Kobran running or not, and check that it can be restored.',
    )
    .addHelpText(
      'after',
      '\nThe data folder is that of KOBRAN_DATA.\n\nExample:\n  npx kobran backup hut.kobran-backup',
    )
    .action((file: string) => run('backup', file));
  kobran
    .command('restore')
    .argument('<file>', 'a backup')
    .description(
      'Put a backup in the place of what stands; that is kept beside it. Kobran must not be running.',
    )
    .addHelpText('after', '\nExample:\n  npx kobran restore hut.kobran-backup')
    .action((file: string) => run('restore', file));
  kobran
    .command('rebuild')
    .description('Work out again what the board and its search say of every run, with Kobran running or not.')
    .action(() => run('rebuild'));
}
