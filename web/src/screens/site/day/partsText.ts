import { formatLength, type Need, type UnitSystem } from '@kobran/core';

/** Below half a metre in whole millimetres or fractions of an inch. */
const lengthText = (metres: number, system: UnitSystem): string =>
  metres < 0.5 ? formatLength(metres, { system, small: true, digits: 0 }) : formatLength(metres, { system });

/** What somebody takes along: like parts together, cable by its length, tape as a roll to tear it from. */
export function partsText(parts: readonly Need[], system: UnitSystem): string {
  const sums = new Map<string, Need>();
  for (const part of parts.filter(({ comesAlong }) => !comesAlong)) {
    const known = sums.get(part.id);
    sums.set(part.id, { ...part, amount: part.amount + (known?.amount ?? 0) });
  }
  return [...sums.values()]
    .map(({ name, unit, amount }) =>
      unit === 'm'
        ? `${lengthText(amount, system)} of ${name}`
        : unit === 'roll'
          ? name
          : `${amount} ${name}`,
    )
    .join('; ');
}
