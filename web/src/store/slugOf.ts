const LONGEST = 60;

/** A name as the id of an own entry: a–z, 0–9 and hyphens. */
export const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, LONGEST)
    .replace(/-$/, '') || 'own';
