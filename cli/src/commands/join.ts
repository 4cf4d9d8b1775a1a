import { adapterChains, easyNeeds, parseFace, parseFrequency, parsePower } from '@kobran/core';
import type { Command } from 'commander';
import { orThrow, type Desk } from '../desk.js';

export function joinCommand(kobran: Command, { print, refuse, catalog }: Desk): void {
  kobran
    .command('join')
    .argument('<a>', 'a face')
    .argument('<b>', 'the connector it is joined to')
    .option('--at <frequency>', 'highest frequency in use', '100MHz')
    .option('--power <power>', 'forward power; 0 W for receive only', '0 W')
    .description('Print the chains of adapters which join two connectors, best first, each with its reason.')
    .addHelpText('after', '\nExample:\n  npx kobran join "SMA jack" PL-259 --at 145MHz --power 5W')
    .action(async (a: string, b: string, { at, power }: { at: string; power: string }) => {
      const needs = {
        ...easyNeeds,
        topHz: orThrow(parseFrequency(at)),
        powerW: orThrow(parsePower(power, { allowZero: true })),
        most: 3,
      };
      const { adapters } = await catalog();
      const chains = adapterChains(orThrow(parseFace(a)), orThrow(parseFace(b)), adapters, needs);
      print(
        chains.map(({ adapters: turned, ...rest }) => ({
          adapters: turned.map(({ adapter, reversed }) => ({ id: adapter.id, name: adapter.name, reversed })),
          ...rest,
        })),
      );
      if (!chains.some(({ passes }) => passes)) refuse();
    });
}
