import { Command, CommanderError } from 'commander';
import type { Problem } from '@kobran/core';
import { backupCommands } from './commands/backup.js';
import { cablesCommand } from './commands/cables.js';
import { catalogCommand } from './commands/catalog.js';
import { evaluateCommand } from './commands/evaluate.js';
import { fitCommand } from './commands/fit.js';
import { joinCommand } from './commands/join.js';
import { lengthCommand } from './commands/length.js';
import { mateCommand } from './commands/mate.js';
import { verifyCommand } from './commands/verify.js';
import { deskOf, InputProblem, type ExitCode, type Outside } from './desk.js';

const commands = [
  evaluateCommand,
  mateCommand,
  joinCommand,
  fitCommand,
  cablesCommand,
  lengthCommand,
  catalogCommand,
  backupCommands,
  verifyCommand,
];

const complaint = ({ message, where, remedy, code }: Problem): string =>
  `${message}\n  at ${where}: ${remedy} (${code})\n`;

/** The command line: thin over core, for scripts and spreadsheets. */
export function program(outside: Outside): { run(argv: string[]): Promise<{ exitCode: ExitCode }> } {
  let exitCode: ExitCode = 0;
  const kobran = new Command('kobran')
    .description('Coaxial runs from two ports to a proved, sealed and bonded line.')
    .option('--catalog <file>', 'lay a catalogue file (JSON or CSV) over the shipped catalogue')
    .exitOverride()
    .configureOutput({ writeOut: (text) => outside.write(text), writeErr: (text) => outside.complain(text) })
    .addHelpText('after', '\nExit codes: 0 done, 1 the answer is no, 2 the input cannot be used.');
  const desk = deskOf(
    outside,
    () => kobran.opts<{ catalog?: string }>().catalog,
    () => {
      exitCode = 1;
    },
  );
  for (const add of commands) add(kobran, desk);

  return {
    async run(argv) {
      try {
        await kobran.parseAsync(argv, { from: 'user' });
        return { exitCode };
      } catch (error) {
        if (error instanceof InputProblem) {
          for (const problem of error.problems) outside.complain(complaint(problem));
          return { exitCode: 2 };
        }
        if (error instanceof CommanderError) return { exitCode: error.exitCode === 0 ? 0 : 2 };
        throw error;
      }
    },
  };
}
