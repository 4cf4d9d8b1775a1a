import type { Step } from '@kobran/core';

/** How a step is done: for eyes, or for hands alone. */
export const howTo = (step: Step, touch: boolean): string => (touch ? step.byTouch : step.how);

/** What right is like. */
export const rightIs = (step: Step, touch: boolean): string[] => (touch ? step.feelsRight : step.looksRight);

/** A step as it is spoken. */
export const spoken = (step: Step, touch: boolean): string =>
  [
    step.title,
    howTo(step, touch),
    step.caution,
    `${touch ? 'Feels' : 'Looks'} right: ${rightIs(step, touch).join('; ')}`,
    step.irreversible ? 'No way back from here' : '',
  ]
    .filter(Boolean)
    .join('. ');
