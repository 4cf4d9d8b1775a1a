import { counted } from '../snags/snag.js';
import type { StageRule } from './stage.js';

/** Ports, cable, connectors, adapters. */
export const plan: StageRule = {
  id: 'plan',
  name: 'Plan',
  look({ design, body: { snags, joints } }) {
    if (design.pieces.length === 0 && joints.every(({ mating }) => !mating.passes))
      return {
        state: 'not started',
        detail: 'two ports, nothing between',
        next: 'Put cable between the ports',
      };
    const own = snags.filter(({ stage }) => stage === 'plan');
    return { state: 'done', detail: counted(own), next: '' };
  },
  headline: ({ headline }) => headline,
};
