import { createHash, randomBytes } from 'node:crypto';

/** Letters and digits which nobody mistakes for one another on paper or by radio: no I, L, O, U. */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const GROUPS = 4;
const IN_GROUP = 5;

/** A code of 100 bits by chance, in groups that can be read aloud. */
export function newCode(): string {
  const letters = [...randomBytes(GROUPS * IN_GROUP)].map((byte) => LETTERS[byte % LETTERS.length]);
  return Array.from({ length: GROUPS }, (_, k) =>
    letters.slice(k * IN_GROUP, (k + 1) * IN_GROUP).join(''),
  ).join('-');
}

/** A code as it was typed: in small letters, with blanks, an O for a nought or an l for a one. */
const asMade = (typed: string): string =>
  typed
    .toUpperCase()
    .replaceAll(/[^A-Z0-9]/g, '')
    .replaceAll('O', '0')
    .replaceAll(/[IL]/g, '1');

export const codeHash = (typed: string): string => sha256(asMade(typed));

/** The key of a device: 256 bits by chance. */
export const newKey = (): string => randomBytes(32).toString('base64url');
export const keyHash = (key: string): string => sha256(key);

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');
