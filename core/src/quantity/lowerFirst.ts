/**
 * A name as it stands within a sentence: its first letter small, units and abbreviations as they are.
 *
 * @example lowerFirst('Insertion loss at 145 MHz') // 'insertion loss at 145 MHz'
 * @example lowerFirst('SWR at the radio') // 'SWR at the radio'
 */
export const lowerFirst = (name: string): string =>
  /^[A-Z][A-Z0-9]/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
