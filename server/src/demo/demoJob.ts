import type { StoredTrace } from '@kobran/contract';
import { noFacts, type Design, type Facts, type Practice, type Site } from '@kobran/core';

/** The shape of the demo’s data. */

export interface DemoRun {
  id: string;
  design: Design;
  facts: Facts;
  traces?: StoredTrace[];
  /** As it was when it was handed over; what stands now was changed since. */
  handedOver?: { design: Design; by: string; at: string; reason: string };
}

export interface DemoJob {
  id: string;
  name: string;
  site: string;
  practice: Practice;
  place?: Site;
  /** It has the photos of the demo. */
  photographed?: boolean;
  runs: DemoRun[];
}

export const nothingYet: Facts = noFacts;

/** A day of November 2026, when the crew worked. */
export const on = (day: number, hour: number): string =>
  `2026-11-${String(day).padStart(2, '0')}T${String(hour).padStart(2, '0')}:00:00.000Z`;
