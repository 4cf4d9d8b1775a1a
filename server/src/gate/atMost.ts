import { problem } from '../errors/problem.js';

/** The pieces of an upload, refused when there are too many. */
export async function* atMost(chunks: AsyncIterable<Uint8Array>, bytes: number): AsyncIterable<Uint8Array> {
  let count = 0;
  for await (const chunk of chunks) {
    count += chunk.length;
    if (count > bytes)
      throw problem(413, {
        code: 'body.too-large',
        message: 'The file is larger than Kobran accepts.',
        where: 'body',
        remedy: `It may have ${bytes / 1024 / 1024} MB: leave out sweeps, or split the job.`,
      });
    yield chunk;
  }
}
