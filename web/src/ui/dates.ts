/** Days and moments as the crew reads them: day before month, month as a word. */
const dayFormat = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
const momentFormat = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** `2 Nov 2026` of an ISO 8601 moment. */
export const sayDay = (iso: string): string => dayFormat.format(new Date(iso));

/** `2 Nov 2026, 14:05` of an ISO 8601 moment. */
export const sayMoment = (iso: string): string => momentFormat.format(new Date(iso));

/** `14:05` of an ISO 8601 moment. */
export const sayTime = (iso: string): string =>
  new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The day of now, `2026-11-20`. */
export const today = (): string => new Date().toISOString().slice(0, 10);

/** This moment, ISO 8601. */
export const now = (): string => new Date().toISOString();
