import type { TapedExposure } from './plan.js';

/** Months until a seal is looked at again, by place. Handbook of the trade, 6; common practice, no source. The shop may have its own. */
export const usualInspectionMonths: Record<TapedExposure, number> = {
  salt: 6,
  ice: 12,
  outdoor: 24,
  sheltered: 36,
};

/**
 * The day on which something is looked at again.
 *
 * @param at ISO 8601
 * @returns ISO 8601; the last day of a month where the month is shorter
 * @example inspectionDue('2026-08-31T10:00:00.000Z', 6) // '2027-02-28T10:00:00.000Z'
 */
export function inspectionDue(at: string, months: number): string {
  const due = new Date(at);
  const day = due.getUTCDate();
  due.setUTCDate(1);
  due.setUTCMonth(due.getUTCMonth() + months);
  const last = new Date(Date.UTC(due.getUTCFullYear(), due.getUTCMonth() + 1, 0)).getUTCDate();
  due.setUTCDate(Math.min(day, last));
  return due.toISOString();
}
