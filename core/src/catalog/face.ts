import { fail, ok, type Result } from '../quantity/result.js';
import { seriesById, type SeriesId } from './series/index.js';

export type Body = 'plug' | 'jack';
export type Contact = 'pin' | 'socket';

/** What a connector offers to the world: the body has the nut or the thread, the contact is in its centre. */
export interface Face {
  series: SeriesId;
  body: Body;
  contact: Contact;
  /** 50 or 75; the UHF series has no defined impedance. */
  impedanceOhm: 50 | 75 | null;
}

/** `n-plug`, `rp-sma-jack`, `n75-jack`, `uhf-plug`: short, stable, used in documents and on the command line. */
export type FaceCode = string;

/** Standard polarity: the plug has the pin. Reverse polarity swaps the contact only. */
export const isReverse = (face: Face): boolean => (face.body === 'plug') !== (face.contact === 'pin');

const defaultImpedance = (series: SeriesId): 50 | 75 | null => seriesById[series].variants[0].impedanceOhm;

/** The code of a face. */
export function faceCode(face: Face): FaceCode {
  const ohms = face.impedanceOhm === defaultImpedance(face.series) ? '' : String(face.impedanceOhm);
  return `${isReverse(face) ? 'rp-' : ''}${face.series}${ohms}-${face.body}`;
}

const allFaces: Map<FaceCode, Face> = new Map();
for (const series of Object.values(seriesById)) {
  for (const { impedanceOhm } of series.variants) {
    for (const body of ['plug', 'jack'] as const) {
      for (const reverse of series.reverseExists && impedanceOhm === defaultImpedance(series.id)
        ? [false, true]
        : [false]) {
        const contact: Contact = (body === 'plug') !== reverse ? 'pin' : 'socket';
        const face: Face = { series: series.id, body, contact, impedanceOhm };
        allFaces.set(faceCode(face), face);
      }
    }
  }
}

/** Every face of the catalogue by its code. */
export const faces: ReadonlyMap<FaceCode, Face> = allFaces;

/** The face of a known code; an unknown code is a bug of the caller (documents are checked on the way in). */
export function faceOf(code: FaceCode): Face {
  const face = faces.get(code);
  if (!face) throw new Error(`unknown face ${code}`);
  return face;
}

/** The face as the trade says it: `RP-SMA plug`, `N 75 jack`, `PL-259 (UHF plug)` is said `UHF plug`. */
export function faceName(face: Face): string {
  const { name, variants } = seriesById[face.series];
  const ohms =
    variants.length > 1 && face.impedanceOhm !== variants[0].impedanceOhm ? ` ${face.impedanceOhm}` : '';
  return `${isReverse(face) ? 'RP-' : ''}${name}${ohms} ${face.body}`;
}

/** Body and contact both said, since “male” and “female” are ambiguous for reverse types. */
export const faceInFull = (face: Face): string => `${faceName(face)}, ${face.contact}`;

const aliases: Record<string, FaceCode> = { 'pl-259': 'uhf-plug', 'so-239': 'uhf-jack' };

/**
 * Reads a face from words: `RP-SMA jack`, `n plug`, `N 75 jack`, `PL-259`, `rp-sma-jack`.
 *
 * @example parseFace('PL-259') // the UHF plug
 */
export function parseFace(text: string): Result<Face> {
  const key = text
    .trim()
    .toLowerCase()
    .replace(/\s+/g, '-')
    .replace(/-(50|75)-/, '$1-')
    .replace(/50-/, '-')
    .replace(/--/g, '-');
  const face = faces.get(aliases[key] ?? key);
  if (face) return ok(face);
  return fail(
    'face.unknown',
    `“${text}” is not a face Kobran knows.`,
    'face',
    `Use one of ${[...faces.keys()].join(', ')}.`,
  );
}
