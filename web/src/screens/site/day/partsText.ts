import { formatLength, type Need, type UnitSystem } from '@kobran/core';

/** What somebody takes along: like parts together, cable by its length, tape as a roll to tear it from. */
export function partsText(parts: readonly Need[], system: UnitSystem): string {
  const sums = new Map<string, Need>();
  for (const part of parts) {
    const known = sums.get(part.id);
    sums.set(part.id, { ...part, amount: part.amount + (known?.amount ?? 0) });
  }
  return [...sums.values()]
    .map(({ name, unit, amount }) =>
      unit === 'm'
        ? `${formatLength(amount, { system })} of ${name}`
        : unit === 'roll'
          ? name
          : `${amount} ${name}`,
    )
    .join('; ');
}
