import { fitCable, partsFor } from '@kobran/core';
import type { Command } from 'commander';
import { named, type Desk } from '../desk.js';

export function fitCommand(kobran: Command, { print, refuse, catalog }: Desk): void {
  kobran
    .command('fit')
    .argument('<cable>', 'id of a cable')
    .argument('[part]', 'id of a connector part; without it, all parts which fit')
    .description('Print whether a connector part fits a cable, gap by gap in mm, or the parts which do.')
    .addHelpText('after', '\nExample:\n  npx kobran fit rg213 uhf-plug-crimp-5mm\n  npx kobran fit c400')
    .action(async (cableId: string, partId: string | undefined) => {
      const shelf = await catalog();
      const cable = named(shelf.cables, 'cable', cableId, 'cable');
      if (partId === undefined) {
        print(partsFor(cable, shelf.parts.values()).map(({ id, name, minutes }) => ({ id, name, minutes })));
        return;
      }
      const fit = fitCable(named(shelf.parts, 'part', partId, 'part'), cable);
      print(fit);
      if (fit.verdict !== 'fits') refuse();
    });
}
