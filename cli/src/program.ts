import {
  catalog,
  compareSchools,
  entry,
  evaluate,
  formatLength,
  mate,
  parseFace,
  parseFrequency,
  readDesign,
  type Problem,
  type Sheet,
} from '@kobran/core';
import { Command, CommanderError } from 'commander';

/** How the program talks to the world; tests give their own. */
export interface Outside {
  write: (text: string) => void;
  complain: (text: string) => void;
  readText: (path: string) => Promise<string>;
  readStandardInput: () => Promise<string>;
}

/** 0: done, 1: the answer is no, 2: the input cannot be used. */
export type ExitCode = 0 | 1 | 2;

/** A problem of the input, told to the user without a stack. */
class InputProblem extends Error {
  constructor(readonly problems: Problem[]) {
    super(problems[0]?.message);
  }
}

const complaint = ({ message, where, remedy, code }: Problem): string =>
  `${message}\n  at ${where}: ${remedy} (${code})\n`;

/** The command line: thin over core, for scripts and spreadsheets. */
export function program(outside: Outside): { run(argv: string[]): Promise<{ exitCode: ExitCode }> } {
  let exitCode: ExitCode = 0;
  const print = (value: unknown): void => outside.write(`${JSON.stringify(value, typedArrays, 2)}\n`);

  const kobran = new Command('kobran')
    .description('Coaxial runs from two ports to a proved, sealed and bonded line.')
    .exitOverride()
    .configureOutput({ writeOut: (text) => outside.write(text), writeErr: (text) => outside.complain(text) })
    .addHelpText('after', '\nExit codes: 0 done, 1 the answer is no, 2 the input cannot be used.');

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
      const sheet: Sheet = evaluate(readCheckedDesign(await read(outside, path)), catalog, { sweepPoints });
      print(sheet);
      if (sheet.snags.some(({ level }) => level === 'stop')) exitCode = 1;
    });

  kobran
    .command('mate')
    .argument('<a>', 'a face: "RP-SMA plug", n-jack, PL-259')
    .argument('<b>', 'the other face')
    .description('Print what happens when two faces are coupled.')
    .addHelpText('after', '\nExample:\n  npx kobran mate "RP-SMA plug" "SMA jack"')
    .action((a: string, b: string) => {
      const verdict = mate(orThrow(parseFace(a)), orThrow(parseFace(b)));
      print(verdict);
      if (!verdict.passes) exitCode = 1;
    });

  kobran
    .command('length')
    .argument('<degrees>', 'electrical length, degrees')
    .argument('<frequency>', 'for example 27.2MHz')
    .option('--cable <id>', 'take the velocity factor of this cable')
    .option('--vf <factor>', 'velocity factor, 0.3 to 1')
    .description('Print the physical length of an electrical length by both schools, and their difference.')
    .addHelpText(
      'after',
      '\nExample:\n  npx kobran length 90 27.2MHz --vf 0.695\n  npx kobran length 180 7.1MHz --cable rg213',
    )
    .action((degreesText: string, frequencyText: string, options: { cable?: string; vf?: string }) => {
      const degrees = Number(degreesText.replace(',', '.'));
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
      const velocityFactor = velocityOf(options);
      const schools = compareSchools({ frequencyHz, degrees }, velocityFactor);
      const said = (metres: number): { metres: number; metric: string; imperial: string } => ({
        metres,
        metric: formatLength(metres, { system: 'metric', digits: 3 }),
        imperial: formatLength(metres, { system: 'imperial' }),
      });
      print({
        degrees,
        frequencyHz,
        velocityFactor,
        exact: said(schools.exactM),
        shop: said(schools.shopM),
        differenceMm: schools.differenceM * 1000,
        differenceDeg: schools.differenceDeg,
      });
    });

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

/** JSON has no typed arrays; they are written as plain lists, and infinity as null. */
const typedArrays = (_: string, value: unknown): unknown =>
  value instanceof Float64Array ? Array.from(value) : value;

function orThrow<T>(result: { ok: true; value: T } | { ok: false; problem: Problem }): T {
  if (!result.ok) throw new InputProblem([result.problem]);
  return result.value;
}

async function read({ readText, readStandardInput }: Outside, path: string): Promise<unknown> {
  let content: string;
  try {
    content = path === '-' ? await readStandardInput() : await readText(path);
  } catch (error) {
    throw new InputProblem([
      {
        code: 'file.unreadable',
        message: `The file ${path} cannot be read.`,
        where: (error as NodeJS.ErrnoException).code ?? path,
        remedy: 'Check the path, or use - for standard input.',
      },
    ]);
  }
  try {
    return JSON.parse(content) as unknown;
  } catch (error) {
    throw new InputProblem([
      {
        code: 'file.not-json',
        message: `${path === '-' ? 'Standard input' : path} is not valid JSON.`,
        where: /position \d+/.exec(String(error))?.[0] ?? 'its end',
        remedy: 'Check brackets, quotes and commas there.',
      },
    ]);
  }
}

function readCheckedDesign(value: unknown): Parameters<typeof evaluate>[0] {
  const checked = readDesign(value, catalog);
  if (!checked.ok) throw new InputProblem(checked.problems);
  return checked.design;
}

function velocityOf({ cable, vf }: { cable?: string; vf?: string }): number {
  if (cable !== undefined) {
    if (!catalog.cables.has(cable)) {
      throw new InputProblem([
        {
          code: 'cable.unknown',
          message: `There is no cable “${cable}”.`,
          where: '--cable',
          remedy: `Use one of ${[...catalog.cables.keys()].join(', ')}.`,
        },
      ]);
    }
    return entry(catalog.cables, cable).velocityFactor;
  }
  const factor = Number((vf ?? '').replace(',', '.'));
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
