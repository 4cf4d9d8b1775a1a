import type * as contract from '@kobran/contract';
import {
  catalog as shipped,
  withShop,
  type Catalog,
  type Design,
  type Problem,
  type Result,
} from '@kobran/core';

/** How the program talks to the world; tests give their own. */
export interface Outside {
  write: (text: string) => void;
  complain: (text: string) => void;
  readText: (path: string) => Promise<string>;
  readStandardInput: () => Promise<string>;
  /** Runs the server's own program for the data folder; gives its exit code. */
  runDataProgram: (...args: string[]) => Promise<number>;
}

/** 0: done, 1: the answer is no, 2: the input cannot be used. */
export type ExitCode = 0 | 1 | 2;

/** A problem of the input, told to the user without a stack. */
export class InputProblem extends Error {
  constructor(readonly problems: Problem[]) {
    super(problems[0]?.message);
  }
}

/** What a command works with: reading, printing, and saying no. */
export interface Desk {
  print: (value: unknown) => void;
  printText: (text: string) => void;
  /** The answer is no. */
  refuse: () => void;
  /** The shipped catalogue, with the file of `--catalog` laid over it. */
  catalog: () => Promise<Catalog>;
  readJson: (path: string) => Promise<unknown>;
  readText: (path: string) => Promise<string>;
  runDataProgram: Outside['runDataProgram'];
}

/** JSON has no typed arrays; they are written as plain lists, and infinity as null. */
const typedArrays = (_: string, value: unknown): unknown =>
  value instanceof Float64Array ? Array.from(value) : value;

export function deskOf(outside: Outside, catalogPath: () => string | undefined, refuse: () => void): Desk {
  const readText = async (path: string): Promise<string> => {
    try {
      return path === '-' ? await outside.readStandardInput() : await outside.readText(path);
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
  };
  return {
    print: (value) => outside.write(`${JSON.stringify(value, typedArrays, 2)}\n`),
    printText: (text) => outside.write(text),
    refuse,
    readText,
    runDataProgram: outside.runDataProgram,
    readJson: async (path) => parsed(await readText(path), path),
    catalog: async () => {
      const path = catalogPath();
      if (path === undefined) return shipped;
      const { readCatalogFile } = await rules();
      const { entries, problems } = readCatalogFile(await readText(path));
      if (problems.length > 0) throw new InputProblem(problems);
      return withShop(shipped, entries);
    },
  };
}

function parsed(content: string, path: string): unknown {
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

export function orThrow<T>(result: Result<T>): T {
  if (!result.ok) throw new InputProblem([result.problem]);
  return result.value;
}

/** The rules of documents come with a validator: they are fetched by the commands which read documents, not by the others. */
export const rules = (): Promise<typeof contract> => import('@kobran/contract');

export async function checkedDesign(value: unknown, catalog: Catalog): Promise<Design> {
  const { readDesign } = await rules();
  const checked = readDesign(value, catalog);
  if (!checked.ok) throw new InputProblem(checked.problems);
  return checked.design;
}

/** An entry named on the command line. */
export function named<T>(shelf: ReadonlyMap<string, T>, what: string, id: string, where: string): T {
  const found = shelf.get(id);
  if (found) return found;
  const near = [...shelf.keys()].filter((known) => known.includes(id.slice(0, 4)));
  throw new InputProblem([
    {
      code: `${what}.unknown`,
      message: `There is no ${what} “${id}”.`,
      where,
      remedy: `Use one of ${(near.length > 0 ? near : [...shelf.keys()]).slice(0, 20).join(', ')}.`,
    },
  ]);
}
