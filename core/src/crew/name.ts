/**
 * A name of the crew as it is compared: two who differ by capitals or by how a keyboard writes a letter would be mistaken for each other.
 *
 * @example nameAsCompared(' Jos\u00e9 ') === nameAsCompared('JOSE\u0301') // true
 */
export const nameAsCompared = (name: string): string => name.trim().normalize('NFKC').toLowerCase();
