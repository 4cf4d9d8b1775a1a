import { expose } from 'comlink';
import { planWork } from '../cuttingPlan/planWork.js';
import { kitWork } from '../kit/kitWork.js';
import { spreadWork } from '../spread/spreadWork.js';
import { traceWork } from '../traces/traceWork.js';

/** Everything that is worked out beside the page: one script, so that core is fetched for it once. */
const background = { ...kitWork, ...planWork, ...spreadWork, ...traceWork };

export type Background = typeof background;

expose(background);
