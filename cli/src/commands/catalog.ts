import { catalogEntries } from '@kobran/core';
import { Option, type Command } from 'commander';
import { rules, type Desk } from '../desk.js';

export function catalogCommand(kobran: Command, { printText, catalog }: Desk): void {
  kobran
    .command('catalog')
    .addOption(new Option('--format <format>', 'of what is printed').choices(['json', 'csv']).default('json'))
    .description('Print the catalogue: cables, parts, adapters, ports and the shelf, each with its source.')
    .addHelpText(
      'after',
      '\nExample:\n  npx kobran catalog --format csv\n  npx kobran --catalog docs/examples/own-catalog.csv fit grey-drum',
    )
    .action(async ({ format }: { format: 'json' | 'csv' }) => {
      const { catalogToCsv, catalogToJson } = await rules();
      const entries = catalogEntries(await catalog());
      printText(format === 'csv' ? `${catalogToCsv(entries)}\n` : catalogToJson(entries));
    });
}
