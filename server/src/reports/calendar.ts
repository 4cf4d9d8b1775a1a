import type { Inspection } from '@kobran/core';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

/** Inspections as a calendar (RFC 5545): a whole day each, with an alarm a week before; the same look keeps its name, so it is not doubled. */
export function calendarOf(site: string, inspections: readonly Inspection[]): string {
  const events = inspections.map(({ id, run, what, due }): EventAttributes => ({
    uid: `${id.replace(/[^\w-]+/g, '-')}@kobran`,
    productId: 'kobran/ics',
    calName: `Inspections, ${site}`,
    start: dateOf(due),
    duration: { days: 1 },
    title: `${what} (${run})`,
    description: `${site}, ${run}: look at it again, and open it only when it is dry.`,
    alarms: [{ action: 'display', description: what, trigger: { days: 7, before: true } }],
  }));
  if (events.length === 0) return EMPTY;
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('The calendar could not be written.');
  return value;
}

/** Where nothing is due yet. */
const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:kobran/ics', 'END:VCALENDAR', ''].join('\r\n');

const dateOf = (at: string): DateArray => {
  const day = new Date(at);
  return [day.getUTCFullYear(), day.getUTCMonth() + 1, day.getUTCDate()];
};
