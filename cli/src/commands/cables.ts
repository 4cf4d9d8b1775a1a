import { assembliesOf, cableChoice, evaluate } from '@kobran/core';
import type { Command } from 'commander';
import { InputProblem, type Desk } from '../desk.js';
import { readWork } from '../work.js';

export function cablesCommand(kobran: Command, desk: Desk): void {
  const { print, refuse } = desk;
  kobran
    .command('cables')
    .argument('<file>', 'a design or a job file as JSON; - reads standard input')
    .option('--run <name>', 'of a job file: which run, by its name or its number')
    .option('--piece <id>', 'the assembly to choose for; without it, the longest')
    .description('Print all cables side by side for one assembly of a run, with the reasons against each.')
    .addHelpText('after', '\nExample:\n  npx kobran cables docs/examples/vhf-outdoor.json')
    .action(async (path: string, { piece: wanted, run }: { piece?: string; run?: string }) => {
      const { design, catalog, facts, practice } = await readWork(desk, path, run);
      const piece = assembliesOf(design)
        .filter(({ id }) => wanted === undefined || id === wanted)
        .sort((x, y) => y.lengthM - x.lengthM)
        .at(0);
      if (!piece) {
        throw new InputProblem([
          {
            code: 'piece.unknown',
            message:
              wanted === undefined ? 'This run has no cable.' : `There is no cable “${wanted}” in this run.`,
            where: '--piece',
            remedy: 'Name an assembly of the design by its id.',
          },
        ]);
      }
      const { rows, basis } = cableChoice(
        design,
        piece,
        evaluate(design, catalog, { facts, practice }),
        catalog,
      );
      print({
        piece: piece.id,
        basis,
        cables: rows.map(({ cable, loss, left, margin, mass, costs, against, adequate, marks }) => ({
          id: cable.id,
          name: cable.name,
          loss,
          left,
          margin,
          mass,
          costs,
          adequate,
          marks,
          against,
        })),
      });
      if (!rows.some(({ adequate }) => adequate)) refuse();
    });
}
