import { mate, matingEffect, parseFace, parseFrequency } from '@kobran/core';
import type { Command } from 'commander';
import { orThrow, type Desk } from '../desk.js';

export function mateCommand(kobran: Command, { print, refuse }: Desk): void {
  kobran
    .command('mate')
    .argument('<a>', 'a face: "RP-SMA plug", n-jack, PL-259')
    .argument('<b>', 'the other face')
    .option('--at <frequency>', 'where the electrical effect is asked', '100MHz')
    .description('Print what happens when two connectors are coupled, why, and what it does to a wave.')
    .addHelpText('after', '\nExample:\n  npx kobran mate "RP-SMA plug" "SMA jack" --at 869MHz')
    .action((a: string, b: string, { at }: { at: string }) => {
      const [left, right] = [orThrow(parseFace(a)), orThrow(parseFace(b))];
      const verdict = mate(left, right);
      print({ ...verdict, effect: matingEffect(left, right, orThrow(parseFrequency(at))) });
      if (!verdict.passes) refuse();
    });
}
