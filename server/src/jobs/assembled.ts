import parser from 'stream-json/parser.js';
import { Readable } from 'node:stream';

/** A text that is no JSON, with the reason. */
export class NotJson extends Error {}

type Container = Record<string, unknown> | unknown[];
interface Open {
  value: Container;
  key: string;
}

/** Tokens which are a value as they are; the others say where one begins and ends. */
const PLAIN = new Set<parser.TokenName>(['stringValue', 'nullValue', 'trueValue', 'falseValue']);

/**
 * Builds the value of a JSON text which comes in pieces; what stands at some places is handed out as soon as it is whole and left out
 * of the value, so that a long list never lies in memory.
 *
 * @param handOut looks at a whole value: true when it takes it
 * @param path of a value, as `['runs', '0', 'traces', '3']`
 * @throws {NotJson} when the text is none, or ends too early
 */
export async function assembled(
  chunks: AsyncIterable<Uint8Array>,
  handOut: (path: readonly string[], value: unknown) => boolean,
): Promise<unknown> {
  const open: Open[] = [];
  let whole: unknown;
  let isWhole = false;

  const place = (value: unknown): void => {
    const parent = open.at(-1);
    if (!parent) {
      whole = value;
      isWhole = true;
      return;
    }
    if (
      typeof value === 'object' &&
      value !== null &&
      handOut(
        open.map(({ key }) => key),
        value,
      )
    ) {
      if (Array.isArray(parent.value)) parent.key = String(Number(parent.key) + 1);
      return;
    }
    if (Array.isArray(parent.value)) {
      parent.value.push(value);
      parent.key = String(Number(parent.key) + 1);
    } else
      // `__proto__` is a name like any other here, as it is for JSON.parse.
      Object.defineProperty(parent.value, parent.key, {
        value,
        enumerable: true,
        writable: true,
        configurable: true,
      });
  };

  const take = (token: parser.Token): void => {
    const parent = open.at(-1);
    if (token.name === 'startObject') open.push({ value: {}, key: '' });
    else if (token.name === 'startArray') open.push({ value: [], key: '0' });
    else if (token.name === 'endObject' || token.name === 'endArray') place(open.pop()?.value);
    else if (token.name === 'keyValue' && parent) parent.key = token.value;
    else if (token.name === 'numberValue') place(Number(token.value));
    else if (PLAIN.has(token.name) && 'value' in token) place(token.value);
  };

  const tokens = Readable.from(chunks).compose(parser.asStream({ streamValues: false })) as Readable;
  await new Promise<void>((resolve, reject) => {
    tokens.on('data', take);
    tokens.on('end', resolve);
    tokens.on('error', (error) => reject(new NotJson(error.message, { cause: error })));
  });
  if (!isWhole) throw new NotJson('The text ends too early.');
  return whole;
}
