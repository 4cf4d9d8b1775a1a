import type { Picture } from './documents/picture.js';
import type { BenchHands } from './documents/bench.js';
import type { JobFile } from './documents/jobFile.js';
import type {
  ChangeMember,
  ChangePhrase,
  Invite,
  Join,
  MakeLink,
  MakeOwner,
  SignIn,
  UseCode,
} from './crewRequests.js';
import type {
  AddTrace,
  BookCutting,
  CalibrateAnalyser,
  ConnectInstrument,
  CreateJob,
  CreateRun,
  Here,
  ImportShop,
  KeepProgress,
  PutOnBench,
  PutShopEntry,
  ReadPower,
  ReplaceJob,
  ReplaceRun,
  ReplaceSite,
  PutOnSite,
  ReplaceShopPractice,
  SweepSetup,
} from './requests.js';

/** What a request is: its method, its path, what it takes and what it answers. */

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** One request: where it goes, what it takes and what it answers. */
export interface Route<Path extends string, Body, Query, Output> {
  method: Method;
  /** With `:id` where an id stands. */
  path: Path;
  summary: string;
  /** Of a success: 200, 201 where something is made, 204 where there is nothing to say. */
  status: 200 | 201 | 204;
  /** Name of the class with the rules of its body. By its name, so that the browser need not fetch the rules to ask. */
  body: string | undefined;
  /** Never there: they carry the types. */
  sent?: Body;
  query?: Query;
  output?: Output;
}

export type AnyRoute = Route<string, unknown, unknown, unknown>;

type ParamsOf<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Record<Name, string> & ParamsOf<Rest>
  : Path extends `${string}:${infer Name}`
    ? Record<Name, string>
    : unknown;

/** What a request needs: the ids of its path, its query and its body. */
export type InputOf<R> =
  R extends Route<infer Path, infer Body, infer Query, unknown>
    ? ParamsOf<Path> &
        (unknown extends Body ? unknown : { body: Body | string }) &
        (unknown extends Query ? unknown : { query?: Query })
    : never;

export type OutputOf<R> = R extends Route<string, unknown, unknown, infer Output> ? Output : never;

/** What bodies may be, by the names of their classes. */
interface Bodies {
  ChangeMember: ChangeMember;
  ChangePhrase: ChangePhrase;
  Invite: Invite;
  Join: Join;
  MakeLink: MakeLink;
  MakeOwner: MakeOwner;
  SignIn: SignIn;
  UseCode: UseCode;
  AddTrace: AddTrace;
  BenchHands: BenchHands;
  BookCutting: BookCutting;
  CalibrateAnalyser: CalibrateAnalyser;
  ConnectInstrument: ConnectInstrument;
  CreateJob: CreateJob;
  CreateRun: CreateRun;
  Here: Here;
  ImportShop: ImportShop;
  JobFile: JobFile;
  KeepProgress: KeepProgress;
  Picture: Picture;
  PutOnBench: PutOnBench;
  PutShopEntry: PutShopEntry;
  ReadPower: ReadPower;
  ReplaceJob: ReplaceJob;
  ReplaceRun: ReplaceRun;
  ReplaceSite: ReplaceSite;
  PutOnSite: PutOnSite;
  ReplaceShopPractice: ReplaceShopPractice;
  SweepSetup: SweepSetup;
}

/** Makes routes of a method and a status. */
export const route =
  (method: Method, status: 200 | 201 | 204) =>
  <Output, Query = unknown>() =>
  <Path extends string, Name extends keyof Bodies = never>(
    path: Path,
    summary: string,
    body?: Name,
  ): Route<Path, [Name] extends [never] ? unknown : Bodies[Name], Query, Output> => ({
    method,
    path,
    summary,
    status,
    body,
  });

/** The kinds of request there are. */
export const get = route('GET', 200);
export const put = route('PUT', 200);
export const make = route('POST', 201);
export const ask = route('POST', 200);
export const keep = route('POST', 204)<void>();
export const keepAt = route('PUT', 204)<void>();
export const remove = route('DELETE', 204)<void>();

/** The path of a request with its ids and its query written in. */
export function pathOf(
  { path }: Pick<AnyRoute, 'path'>,
  input: Record<string, unknown> & { query?: unknown } = {},
): string {
  const filled = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(input[name])));
  const query = Object.entries(input.query ?? {}).filter(
    ([, value]) => value !== undefined && value !== false,
  );
  return query.length === 0
    ? filled
    : `${filled}?${new URLSearchParams(query.map(([name, value]): [string, string] => [name, String(value)])).toString()}`;
}
