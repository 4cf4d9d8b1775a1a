import { NodeFS } from '@electric-sql/pglite/nodefs';
import { PGlite } from '@electric-sql/pglite';
import { closeSync, existsSync, fsyncSync, openSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { extensions } from './extensions.js';

/**
 * A database folder whose writes reach the disk. The embedded engine syncs nothing of itself: it is started with syncing off, and its
 * file system has no call for it. Here it is started with syncing on, and the call leads to the host's, so that PostgreSQL's own order
 * holds: WAL at commit, data files before a checkpoint is declared, directories after a rename.
 */

/** The part of the engine's module which is needed: the node operations of its host file system. */
interface HostFiles {
  NODEFS: {
    stream_ops: { fsync?: (stream: { nfd?: number; node: object }) => number };
    realPath: (node: object) => string;
  };
}

/** How often the engine has asked for a sync: for the test which counts them where no disk can be mounted. */
export const syncs = { count: 0 };

function syncPath(path: string): void {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

class SyncedFiles extends NodeFS {
  override init(pg: PGlite, options: Parameters<NodeFS['init']>[1]): ReturnType<NodeFS['init']> {
    const withSync = (module: unknown): void => {
      const { NODEFS } = module as HostFiles;
      NODEFS.stream_ops.fsync = ({ nfd, node }) => {
        syncs.count++;
        // A directory is opened by the engine without a handle of the host.
        if (nfd === undefined) syncPath(NODEFS.realPath(node));
        else fsyncSync(nfd);
        return 0;
      };
    };
    return super.init(pg, { ...options, preRun: [withSync, ...(options.preRun ?? [])] });
  }
}

/** What every folder of a database has; one without is damaged, or is none. */
const ESSENTIAL = ['PG_VERSION', 'global/pg_control', 'base', 'pg_wal'];
/** Left by an engine that was not stopped: the folder's lock says whether one is running, this does not. */
const STALE = ['postmaster.pid', 'postmaster.opts'];

/**
 * A commit returns before its WAL is on the disk; who has to know that it is there waits for `GroupedSync`.
 */
const startParams = [
  ...PGlite.defaultStartParams.filter((one) => one !== '-F'),
  '-c',
  'fsync=on',
  '-c',
  'full_page_writes=on',
  '-c',
  // The engine's fdatasync does nothing.
  'wal_sync_method=fsync',
  '-c',
  'synchronous_commit=off',
];

/**
 * Opens the database of a data folder, or unpacks an empty one into it.
 *
 * @throws when something stands at its place that is no whole database: it is never written over
 */
export async function openSynced(dataDir: string, image: Blob | undefined): Promise<PGlite> {
  const unpacking = `${dataDir}.unpacking`;
  // Of a start that was cut off before anything could be written by anybody.
  if (existsSync(unpacking)) rmSync(dataDir, { recursive: true, force: true });
  if (!existsSync(dataDir)) return unpack(dataDir, unpacking, image);
  const missing = ESSENTIAL.filter((name) => !existsSync(join(dataDir, name)));
  if (missing.length > 0)
    throw new Error(
      `The database in ${dataDir} is damaged: ${missing.join(', ')} is missing. It is left as it is. Put the folder back from a copy or a backup, or set KOBRAN_DATA to another folder to begin an empty one.`,
    );
  for (const name of STALE) rmSync(join(dataDir, name), { force: true });
  return PGlite.create({ fs: new SyncedFiles(dataDir), startParams, extensions });
}

/** The mark beside it is taken away only when all of it is on the disk. */
async function unpack(dataDir: string, mark: string, image: Blob | undefined): Promise<PGlite> {
  writeFileSync(mark, '');
  syncPath(dirname(dataDir));
  const client = await PGlite.create({
    fs: new SyncedFiles(dataDir),
    startParams,
    extensions,
    ...(image ? { loadDataDir: image } : {}),
  });
  syncTree(dataDir);
  rmSync(mark);
  syncPath(dirname(dataDir));
  return client;
}

function syncTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) syncTree(path);
    else if (entry.isFile()) syncPath(path);
  }
  syncPath(folder);
}
