import { cableChoice, evaluate, type Assembly } from '@kobran/core';
import type { Command } from 'commander';
import { checkedDesign, InputProblem, type Desk } from '../desk.js';

export function cablesCommand(kobran: Command, { print, refuse, catalog, readJson }: Desk): void {
  kobran
    .command('cables')
    .argument('<design>', 'a design as JSON; - reads standard input')
    .option('--piece <id>', 'the assembly to choose for; without it, the longest')
    .description('Print all cables side by side for one assembly of a run, with the reasons against each.')
    .addHelpText('after', '\nExample:\n  npx kobran cables docs/examples/vhf-outdoor.json')
    .action(async (path: string, { piece: wanted }: { piece?: string }) => {
      const shelf = await catalog();
      const design = checkedDesign(await readJson(path), shelf);
      const piece = design.pieces
        .filter(
          (one): one is Assembly => one.kind === 'assembly' && (wanted === undefined || one.id === wanted),
        )
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
      const { rows, basis } = cableChoice(design, piece, evaluate(design, shelf), shelf);
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
