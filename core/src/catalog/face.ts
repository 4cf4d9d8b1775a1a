import { fail, ok, type Result } from '../quantity/result.js';
import { seriesById, type Series, type SeriesId, type SeriesVariant } from './series/index.js';

export type Body = 'plug' | 'jack';
export type Contact = 'pin' | 'socket';

/** What a connector offers to the world: the body has the nut or the thread, the contact is in its centre. */
export interface Face {
  series: SeriesId;
  body: Body;
  contact: Contact;
  /** 50 or 75; some series have no defined impedance. */
  impedanceOhm: 50 | 75 | null;
  /** An old make with a pin thinner than the standard’s. */
  thinPin?: true;
}

/** `n-plug`, `rp-sma-jack`, `n75-jack`, `bnc75thin-plug`: short, stable, used in documents and on the command line. */
export type FaceCode = string;

const otherContact = (contact: Contact): Contact => (contact === 'pin' ? 'socket' : 'pin');

/** The contact of a body in standard polarity: of most series the plug has the pin, of SMB and SMC the jack. */
function standardContact({ series, body }: Pick<Face, 'series' | 'body'>): Contact {
  const ofPlug = seriesById[series].plugContact ?? 'pin';
  return body === 'plug' ? ofPlug : otherContact(ofPlug);
}

/** Reverse polarity swaps the contact only. */
export const isReverse = (face: Face): boolean => face.contact !== standardContact(face);

/** Is this the code of a face of this series, of any body, polarity and impedance? */
export const isOfSeries = (code: FaceCode, series: SeriesId): boolean => faces.get(code)?.series === series;

/** RCA and television plugs: nothing holds them but friction. */
export const isPushOn = (code: FaceCode): boolean => seriesOf(faceOf(code)).coupling === 'push-on';

/** The face a face is made for: the other body with the other contact, of the same series and impedance. */
export const opposite = (face: Face): Face => ({
  ...face,
  body: face.body === 'plug' ? 'jack' : 'plug',
  contact: otherContact(face.contact),
});

/** The series of a face: its dimensions and limits. */
export const seriesOf = (face: Face): Series => seriesById[face.series];

const isVariant = (face: Pick<Face, 'impedanceOhm' | 'thinPin'>, variant: SeriesVariant): boolean =>
  variant.impedanceOhm === face.impedanceOhm && variant.thinPin === face.thinPin;

/** What differs between the impedances of a series: pin and top frequency of this face. */
export function variantOf(face: Face): SeriesVariant {
  const { variants } = seriesOf(face);
  return variants.find((variant) => isVariant(face, variant)) ?? variants[0];
}

/** The code of a face. */
export function faceCode(face: Face): FaceCode {
  const usual = isVariant(face, seriesOf(face).variants[0]);
  const ohms = usual ? '' : `${face.impedanceOhm ?? ''}${face.thinPin ? 'thin' : ''}`;
  return `${isReverse(face) ? 'rp-' : ''}${face.series}${ohms}-${face.body}`;
}

const allFaces: Map<FaceCode, Face> = new Map();
for (const series of Object.values(seriesById)) {
  for (const [k, { impedanceOhm, thinPin }] of series.variants.entries()) {
    for (const body of ['plug', 'jack'] as const) {
      for (const reverse of series.reverseExists && k === 0 ? [false, true] : [false]) {
        const usual = standardContact({ series: series.id, body });
        const contact = reverse ? otherContact(usual) : usual;
        const face: Face = {
          series: series.id,
          body,
          contact,
          impedanceOhm,
          ...(thinPin ? { thinPin } : {}),
        };
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

/** The face as the trade says it: `RP-SMA plug`, `N 75 jack`, `UHF plug`. */
export function faceName(face: Face): string {
  const { name, variants, bodyNames } = seriesOf(face);
  const ohms = isVariant(face, variants[0]) ? '' : ` ${face.impedanceOhm}${face.thinPin ? ' thin-pin' : ''}`;
  return `${isReverse(face) ? 'RP-' : ''}${name}${ohms} ${bodyNames?.[face.body] ?? face.body}`;
}

/** Body and contact both said, since “male” and “female” are ambiguous for reverse types. */
export const faceInFull = (face: Face): string =>
  face.series === 'pair' ? faceName(face) : `${faceName(face)}, ${face.contact}`;

const aliases: Record<string, FaceCode> = {
  'pl-259': 'uhf-plug',
  'so-239': 'uhf-jack',
  phono: 'rca-plug',
  'phono-plug': 'rca-plug',
  'phono-jack': 'rca-jack',
};

/** Words folded to one spelling: lower case, one hyphen between words, no 50. */
const folded = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/7[/\s]16(?=\W)/, '7-16')
    .replace(/4\.3-10/, '43-10')
    .replace(/[\s,]+/g, '-')
    .replace(/-(50|75)-/, '$1-')
    .replace(/(?<=[a-z])50-/, '-')
    .replace(/75-?thin(-pin)?/, '75thin')
    .replace(/--/g, '-')
    .replace(/-(pin|socket)$/, '');

const bySpelling: ReadonlyMap<string, Face> = new Map(
  [...faces.values()].map((face) => [folded(faceName(face)), face]),
);

/**
 * Reads a face from words: `RP-SMA jack`, `n plug`, `N 75 jack`, `PL-259`, `rp-sma-jack`, `7/16 plug`.
 *
 * @example parseFace('PL-259') // the UHF plug
 */
export function parseFace(text: string): Result<Face> {
  const key = folded(text);
  const face = faces.get(aliases[key] ?? key) ?? bySpelling.get(key);
  if (face) return ok(face);
  return fail(
    'face.unknown',
    `“${text}” is not a connector Kobran knows.`,
    'face',
    `Use one of ${[...faces.keys()].join(', ')}.`,
  );
}
