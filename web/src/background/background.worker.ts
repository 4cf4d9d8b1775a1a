import { expose } from 'comlink';
import { dayWork } from './dayWork.js';
import { planWork } from './planWork.js';
import { kitWork } from './kitWork.js';
import { spreadWork } from './spreadWork.js';
import { traceWork } from './traceWork.js';

/** Everything that is worked out beside the page: one script, so that core is fetched for it once. */
const background = { ...dayWork, ...kitWork, ...planWork, ...spreadWork, ...traceWork };

export type Background = typeof background;

expose(background);
