import { defaultPractice, isObject, type Practice, type Problem } from '@kobran/core';
import { Practice as PracticeRules } from './practice.js';
import { readAs } from './readAs.js';

/** Reads an unknown value as a practice; what it leaves out is as usual. */
export function readPractice(
  value: unknown,
): { ok: true; practice: Practice } | { ok: false; problems: Problem[] } {
  const read = readAs(PracticeRules, isObject(value) ? { ...defaultPractice, ...value } : {});
  return read.ok ? { ok: true, practice: JSON.parse(JSON.stringify(read.value)) as Practice } : read;
}
