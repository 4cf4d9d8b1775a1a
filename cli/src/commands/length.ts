import { compareSchools, formatLength, parseFrequency, parsePlainNumber, type Catalog } from '@kobran/core';
import type { Command } from 'commander';
import { InputProblem, named, orThrow, type Desk } from '../desk.js';

export function lengthCommand(kobran: Command, { print, catalog }: Desk): void {
  kobran
    .command('length')
    .argument('<degrees>', 'electrical length, degrees')
    .argument('<frequency>', 'for example 27.2MHz')
    .option('--cable <id>', 'take the velocity factor of this cable')
    .option('--vf <factor>', 'velocity factor, 0.3 to 1')
    .description('Print the physical length of an electrical length by both methods, and their difference.')
    .addHelpText(
      'after',
      '\nExample:\n  npx kobran length 90 27.2MHz --vf 0.695\n  npx kobran length 180 7.1MHz --cable rg213',
    )
    .action(async (degreesText: string, frequencyText: string, options: { cable?: string; vf?: string }) => {
      const degrees = orThrow(parsePlainNumber(degreesText, 'degrees'));
      if (!(degrees > 0 && degrees <= 36_000)) {
        throw new InputProblem([
          {
            code: 'degrees.range',
            message: `“${degreesText}” is not an electrical length.`,
            where: 'degrees',
            remedy: 'Give a number above 0, at most 36000.',
          },
        ]);
      }
      const frequencyHz = orThrow(parseFrequency(frequencyText));
      const velocityFactor = velocityOf(options, await catalog());
      const schools = compareSchools({ frequencyHz, degrees }, velocityFactor);
      const bothUnits = (metres: number): { metres: number; metric: string; imperial: string } => ({
        metres,
        metric: formatLength(metres, { system: 'metric', digits: 3 }),
        imperial: formatLength(metres, { system: 'imperial' }),
      });
      print({
        degrees,
        frequencyHz,
        velocityFactor,
        exact: bothUnits(schools.exactM),
        shop: bothUnits(schools.shopM),
        differenceMm: schools.differenceM * 1000,
        differenceDeg: schools.differenceDeg,
      });
    });
}

function velocityOf({ cable, vf }: { cable?: string; vf?: string }, { cables }: Catalog): number {
  if (cable !== undefined) return named(cables, 'cable', cable, '--cable').velocityFactor;
  const factor = vf === undefined ? NaN : orThrow(parsePlainNumber(vf, 'vf'));
  if (!(factor >= 0.3 && factor <= 1)) {
    throw new InputProblem([
      {
        code: 'vf.range',
        message: vf === undefined ? 'No velocity factor was given.' : `“${vf}” is not a velocity factor.`,
        where: '--vf',
        remedy: 'Give --cable ID, or --vf between 0.3 and 1.',
      },
    ]);
  }
  return factor;
}
