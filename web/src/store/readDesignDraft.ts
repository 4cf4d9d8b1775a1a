import { readDesign } from '@kobran/contract';
import type { Catalog, Design } from '@kobran/core';
import type { ReadDocument } from './drafts.js';

/** A design from the store of this device, checked as one from anywhere else. */
export function readDesignDraft(value: unknown, catalog: Catalog): ReturnType<ReadDocument<Design>> {
  const read = readDesign(value, catalog);
  return read.ok ? { ok: true, document: read.design } : read;
}
