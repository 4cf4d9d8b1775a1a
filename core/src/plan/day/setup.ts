import type { DaySetup, SharedTool } from '../../site/index.js';

/** The day is planned in steps of so many minutes. */
export const TICK_MIN = 5;

export const toolCount = ({ tools }: Pick<DaySetup, 'tools'>, tool: SharedTool): number => tools[tool] ?? 1;
