import type { PictureInFile } from '@kobran/contract';
import { bytesHash, type Fact, type SitePhoto } from '@kobran/core';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serverFolder } from '../folder.js';
import { on } from './demoJob.js';

/** The photos of the demo: drawn by `scripts/demoPhotos.mjs`, none shows a real place, part or person. */
interface DemoPhoto {
  file: string;
  pictureId: string;
  /** The run it belongs to; nothing for one of the ground. */
  runId?: string;
  about: string;
  caption: string;
  by: string;
  at: string;
}

const VHF = '7a0e1d00-0000-4000-8000-00000000a001';

const demoPhotos: DemoPhoto[] = [
  {
    file: 'uhf-plug-on-bench',
    pictureId: '0d7c4a10-0000-4000-8000-00000000f001',
    runId: VHF,
    about: 'jumper.a',
    caption: 'crimped, boot still off',
    by: 'Wenna',
    at: on(2, 14),
  },
  {
    file: 'n-plug-braid-out',
    pictureId: '0d7c4a10-0000-4000-8000-00000000f002',
    runId: VHF,
    about: 'main.b',
    caption: 'braid inside the neck, cut off',
    by: 'Joss',
    at: on(2, 16),
  },
  {
    file: 'entry-bar',
    pictureId: '0d7c4a10-0000-4000-8000-00000000f003',
    about: 'entry-plate',
    caption: 'before the covers went on',
    by: 'Petrok',
    at: on(4, 15),
  },
];

/** The bytes of the demo’s photos, with the entries which name them. */
export interface DrawnPhotos {
  pictures: PictureInFile[];
  factsOf: (runId: string) => Fact[];
  ofSite: SitePhoto[];
}

export const noPhotos: DrawnPhotos = { pictures: [], factsOf: () => [], ofSite: [] };

/** Reads the photos of the one demo job which has some. */
export async function drawnPhotos(): Promise<DrawnPhotos> {
  const read = await Promise.all(
    demoPhotos.map(async (photo) => {
      const bytes = await readFile(join(serverFolder, 'demo', `${photo.file}.jpg`));
      return { ...photo, base64: bytes.toString('base64'), sha256: bytesHash(bytes) };
    }),
  );
  return {
    pictures: read.map(({ pictureId, base64 }) => ({ id: pictureId, type: 'image/jpeg', base64 })),
    factsOf: (runId) =>
      read
        .filter((photo) => photo.runId === runId)
        .map(({ pictureId, about, caption, by, at, sha256 }) => ({
          id: `${pictureId.slice(0, -4)}e${pictureId.slice(-3)}`,
          kind: 'photo',
          about,
          pictureId,
          sha256,
          caption,
          by,
          at,
        })),
    ofSite: read
      .filter(({ runId }) => runId === undefined)
      .map(({ pictureId, about, caption, by, at, sha256 }) => ({
        id: pictureId,
        about,
        caption,
        by,
        at,
        sha256,
      })),
  };
}
