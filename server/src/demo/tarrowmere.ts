import { brackwater } from './brackwater.js';
import type { DemoJob } from './demoJob.js';
import { goBag } from './goBag.js';
import { osterCrag } from './osterCrag.js';
import { saltpan } from './saltpan.js';
import { workshop } from './workshop.js';

/** The Tarrowmere Flood Watch: an invented volunteer radio network in an invented valley. */
export const tarrowmere: DemoJob[] = [brackwater, osterCrag, saltpan, goBag, workshop];
