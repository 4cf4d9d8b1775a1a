import {
  JobFile,
  type JobFileRun,
  type PictureInFile,
  type ShopFileEntry,
  readAs,
  readDesign,
  readFact,
  readShopEntry,
  readSite,
  TraceInFile,
  upgradeJobFile,
} from '@kobran/contract';
import {
  catalog,
  isObject,
  withShop,
  type Catalog,
  type Design,
  type Fact,
  type KeptLog,
  type Practice,
  type Problem,
  type ShopEntry,
  type Site,
} from '@kobran/core';
import { pictureFault } from '../pictures/pictureFault.js';
import { faultOf } from '../store/keepable.js';
import { apart, packed } from '../store/samples.js';
import { traceProblem } from '../store/traceProblem.js';
import { assembled, NotJson } from './assembled.js';

/** A sweep of a file as the database keeps it. */
export interface PackedTrace {
  about: Record<string, unknown> & { at: string; pieceId: string };
  birth: boolean;
  samples: Uint8Array;
}

export interface ReadRun {
  design: Design;
  facts: Fact[];
  /** How the facts are chained; older files do not say. */
  log?: Pick<KeptLog, 'hashes' | 'head'>;
  /** Designs as they were handed over. */
  revisions: object[];
  traces: PackedTrace[];
}

/** A job file, checked and ready to be put in. */
export interface ReadJob {
  name: string;
  site: string;
  practice: Practice;
  place?: Site;
  pictures: PictureInFile[];
  brought: ShopEntry[];
  runs: ReadRun[];
}

export type ReadJobFile = { ok: true; job: ReadJob } | { ok: false; problems: Problem[] };

/** More complaints nobody reads. */
const MAX_PROBLEMS = 20;

/** What is wrong with a file, as far as somebody would read it. */
class Complaints {
  readonly problems: Problem[] = [];

  add(found: readonly Problem[], within = ''): void {
    for (const one of found)
      if (this.problems.length < MAX_PROBLEMS) this.problems.push({ ...one, where: `${within}${one.where}` });
  }
}

/** The sweeps of a file by their runs, checked and packed as each of them is whole. */
class Sweeps {
  private readonly byRun = new Map<number, (Promise<PackedTrace> | undefined)[]>();

  constructor(private readonly complaints: Complaints) {}

  /** @returns whether the value at this place is a sweep */
  take = ([runs, run, list, ...rest]: readonly string[], value: unknown): boolean => {
    if (runs !== 'runs' || list !== 'traces' || rest.length !== 1 || !isObject(value)) return false;
    const own = this.byRun.get(Number(run)) ?? [];
    this.byRun.set(Number(run), own);
    // One that is refused is counted all the same, so that the next one has its own place.
    own.push(this.read(value, `runs[${run}].traces[${own.length}]`));
    if (own.length === MAX_TRACES + 1)
      this.complaints.add([
        {
          code: 'value.arrayMaxSize',
          message: `A run may have ${MAX_TRACES} sweeps.`,
          where: `runs[${run}].traces`,
          remedy: 'Split the run, or leave out sweeps.',
        },
      ]);
    return true;
  };

  ofRun(run: number): Promise<PackedTrace[]> {
    return Promise.all((this.byRun.get(run) ?? []).filter((one) => one !== undefined));
  }

  private read(value: object, where: string): Promise<PackedTrace> | undefined {
    const fault = faultOf(value);
    if (fault) this.complaints.add([{ ...fault, where: `${where}.${fault.where}` }]);
    if (fault) return undefined;
    const read = readAs(TraceInFile, value, where);
    const wrong = read.ok ? traceProblem(read.value, `${where}.`) : undefined;
    if (!read.ok) this.complaints.add(read.problems);
    else if (wrong) this.complaints.add([wrong]);
    return read.ok && !wrong ? asPacked(read.value) : undefined;
  }
}

/** Reads a job file as it comes; nothing of it is believed unchecked, and every problem has its place. */
export async function readJobFile(
  chunks: AsyncIterable<Uint8Array>,
  shop: readonly ShopEntry[],
): Promise<ReadJobFile> {
  const complaints = new Complaints();
  const sweeps = new Sweeps(complaints);
  const { problems } = complaints;
  let whole: unknown;
  try {
    whole = await assembled(chunks, sweeps.take);
  } catch (error) {
    if (!(error instanceof NotJson)) throw error;
    return { ok: false, problems: [notJson(error)] };
  }
  // However many facts: it is read in a thread, and nobody waits.
  const fault = faultOf(whole, Infinity);
  if (fault) return { ok: false, problems: [{ ...fault, where: fault.where || 'body' }] };
  const upgraded = upgradeJobFile(whole);
  const file = readAs(JobFile, isObject(upgraded) ? upgraded : {});
  if (!file.ok) {
    complaints.add(file.problems);
    return { ok: false, problems };
  }
  const { name, site, practice, place, pictures = [], catalog: own = [], runs } = file.value;
  complaints.add(pictures.flatMap((picture, k) => pictureFault(picture, `pictures[${k}].`) ?? []));
  const drawn = place && checkedPlace(place, complaints);
  const brought = checkedEntries(own, complaints);
  const known = withShop(withShop(catalog, shop), brought);
  const checked = runs.map((run, k) => checkedRun(run, k, known, complaints));
  if (problems.length > 0) return { ok: false, problems };
  const kept = await Promise.all(
    checked.map(async (run, k): Promise<ReadRun[]> =>
      run ? [{ ...run, traces: await sweeps.ofRun(k) }] : [],
    ),
  );
  return {
    ok: true,
    job: {
      name,
      site,
      practice: plain(practice),
      ...(drawn ? { place: drawn } : {}),
      pictures: plain(pictures),
      brought,
      runs: kept.flat(),
    },
  };
}

function checkedPlace(place: object, complaints: Complaints): Site | undefined {
  const read = readSite(place);
  if (!read.ok) complaints.add(read.problems, 'place.');
  return read.ok ? read.site : undefined;
}

const checkedEntries = (own: readonly ShopFileEntry[], complaints: Complaints): ShopEntry[] =>
  own.flatMap(({ kind, data }, k) => {
    const read = readShopEntry(kind, data, `catalog[${k}].data`);
    if (!read.ok) complaints.add(read.problems);
    return read.ok ? [plain(read.entry)] : [];
  });

/** A run by the rules of designs and facts; nothing when it is complained of. */
function checkedRun(
  { design, facts, log, revisions = [] }: JobFileRun,
  k: number,
  known: Catalog,
  complaints: Complaints,
): Omit<ReadRun, 'traces'> | undefined {
  const read = readDesign(design, known);
  if (!read.ok) complaints.add(read.problems, `runs[${k}].design.`);
  const done = facts.flatMap((fact, n): Fact[] => {
    const one = readFact(fact, `runs[${k}].facts[${n}]`);
    if (!one.ok) complaints.add(one.problems);
    return one.ok ? [plain(one.fact)] : [];
  });
  for (const [n, signed] of revisions.entries()) {
    const one = readDesign(signed, known);
    if (!one.ok) complaints.add(one.problems, `runs[${k}].revisions[${n}].`);
  }
  return read.ok
    ? { design: plain(read.design), facts: done, revisions, ...(log ? { log: plain(log) } : {}) }
    : undefined;
}

const notJson = ({ message }: NotJson): Problem => ({
  code: 'body.not-json',
  message: `The file is not valid JSON: ${message}`,
  where: 'body',
  remedy: 'Take the file as it was exported; it may have been cut off on its way.',
});

const MAX_TRACES = 500;

/** Checked instances of classes as plain data. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

async function asPacked({ birth = false, ...trace }: TraceInFile): Promise<PackedTrace> {
  const { about, samples } = apart(trace);
  return { about: { ...about }, birth, samples: await packed(samples) };
}
