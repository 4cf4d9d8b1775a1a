/** PostgreSQL writes `2026-11-03 09:00:00+00`; documents carry ISO 8601. */
export const iso = (moment: string): string => new Date(moment).toISOString();

export const now = (): string => new Date().toISOString();
