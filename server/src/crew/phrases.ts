import { phraseAsCompared } from '@kobran/core';
import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB and two passes: the least which the OWASP Password Storage Cheat Sheet takes. The package's default is Argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPhrase = (phrase: string): Promise<string> => hash(phraseAsCompared(phrase), COST);

/** Compared in its place when there is no such member: nobody learns by the time it takes who there is. */
let nobodys: Promise<string> | undefined;

export async function isPhraseOf(phrase: string, kept: string | undefined): Promise<boolean> {
  nobodys ??= hashPhrase('a phrase which nobody has');
  const isRight = await verify(kept ?? (await nobodys), phraseAsCompared(phrase));
  return kept !== undefined && isRight;
}
