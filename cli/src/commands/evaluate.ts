import { evaluate } from '@kobran/core';
import type { Command } from 'commander';
import { checkedDesign, InputProblem, type Desk } from '../desk.js';

export function evaluateCommand(kobran: Command, { print, refuse, catalog, readJson }: Desk): void {
  kobran
    .command('evaluate')
    .argument('<design>', 'a design as JSON; - reads standard input')
    .option('--points <count>', 'frequencies of the sweep', '201')
    .description('Print the sheet of a run as JSON: figures along the ruler, joints, stages, snags.')
    .addHelpText('after', '\nExample:\n  npx kobran evaluate docs/examples/vhf-outdoor.json')
    .action(async (path: string, { points }: { points: string }) => {
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
      const shelf = await catalog();
      const sheet = evaluate(checkedDesign(await readJson(path), shelf), shelf, { sweepPoints });
      print(sheet);
      if (sheet.snags.some(({ level }) => level === 'stop')) refuse();
    });
}
