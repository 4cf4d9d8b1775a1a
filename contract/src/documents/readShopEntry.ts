import { implausible, isObject, shopKinds, type Problem, type ShopEntry, type ShopKind } from '@kobran/core';
import { readAs } from './readAs.js';
import { shopClasses } from './shopEntries.js';

const isKind = (kind: unknown): kind is ShopKind => shopKinds.some((known) => known === kind);

/** Reads an unknown value as one entry of a shop: shape, limits, and whether such a thing can exist. */
export function readShopEntry(
  kind: unknown,
  data: unknown,
  where = '',
): { ok: true; entry: ShopEntry } | { ok: false; problems: Problem[] } {
  if (!isKind(kind))
    return {
      ok: false,
      problems: [
        {
          code: 'catalog.kind',
          message: `“${String(kind)}” is not a kind of entry.`,
          where: where || 'kind',
          remedy: `Use one of ${shopKinds.join(', ')}.`,
        },
      ],
    };
  if (!isObject(data))
    return {
      ok: false,
      problems: [
        {
          code: 'catalog.not-an-entry',
          message: 'An entry is a JSON object.',
          where,
          remedy: 'Write the entry out.',
        },
      ],
    };
  const read = readAs<object>(shopClasses[kind], upgraded(kind, data), where);
  if (!read.ok) return read;
  const entry = { kind, data: read.value } as ShopEntry;
  const problems = implausible(entry).map((one) => ({
    ...one,
    where: where ? `${where}.${one.where}` : one.where,
  }));
  return problems.length > 0 ? { ok: false, problems } : { ok: true, entry };
}

/** Entries of earlier versions: a cable said its highest voltage as rms only. */
function upgraded(kind: ShopKind, data: Record<string, unknown>): Record<string, unknown> {
  const { maxVoltageRms, peakRfV } = data;
  if (kind !== 'cable' || peakRfV !== undefined || typeof maxVoltageRms !== 'number') return data;
  return { ...data, peakRfV: Math.round(maxVoltageRms * Math.SQRT2) };
}
