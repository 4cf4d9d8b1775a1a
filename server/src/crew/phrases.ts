import { phraseAsCompared } from '@kobran/core';

/** Argon2id with 19 MiB and two passes: the least which the OWASP Password Storage Cheat Sheet takes. The package's default is Argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Read when somebody signs in: the start does not wait for it. */
const argon2 = (): Promise<typeof import('@node-rs/argon2')> => import('@node-rs/argon2');

export const hashPhrase = async (phrase: string): Promise<string> =>
  (await argon2()).hash(phraseAsCompared(phrase), COST);

/** Compared in its place when there is no such member: nobody learns by the time it takes who there is. */
let nobodys: Promise<string> | undefined;

export async function isPhraseOf(phrase: string, kept: string | undefined): Promise<boolean> {
  nobodys ??= hashPhrase('a phrase which nobody has');
  const { verify } = await argon2();
  const isRight = await verify(kept ?? (await nobodys), phraseAsCompared(phrase));
  return kept !== undefined && isRight;
}
