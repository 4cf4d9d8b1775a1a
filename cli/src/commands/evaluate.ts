import { evaluate } from '@kobran/core';
import type { Command } from 'commander';
import { InputProblem, type Desk } from '../desk.js';
import { readWork } from '../work.js';

export function evaluateCommand(kobran: Command, desk: Desk): void {
  const { print, refuse } = desk;
  kobran
    .command('evaluate')
    .argument('<file>', 'a design or a job file as JSON; - reads standard input')
    .option('--run <name>', 'of a job file: which run, by its name or its number')
    .option('--points <count>', 'frequencies of the sweep', '201')
    .description('Print the sheet of a run as JSON: figures along the ruler, joints, stages, problems.')
    .addHelpText('after', '\nExample:\n  npx kobran evaluate docs/examples/vhf-outdoor.json')
    .action(async (path: string, { points, run }: { points: string; run?: string }) => {
      const sweepPoints = Number(points);
      if (!Number.isInteger(sweepPoints) || sweepPoints < 2 || sweepPoints > 20_001) {
        throw new InputProblem([
          {
            code: 'points.range',
            message: `“${points}” is not a count of frequencies.`,
            where: '--points',
            remedy: 'Give a whole number from 2 to 20001.',
          },
        ]);
      }
      const { design, catalog, facts, practice } = await readWork(desk, path, run);
      const sheet = evaluate(design, catalog, { facts, practice, sweepPoints });
      print(sheet);
      if (sheet.snags.some(({ level }) => level === 'stop')) refuse();
    });
}
