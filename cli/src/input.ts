import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';

/** Reads a file as text. */
export const readText = (path: string): Promise<string> => readFile(path, 'utf8');

/** Reads all of standard input as text. */
export const readStandardInput = (): Promise<string> => text(process.stdin);
