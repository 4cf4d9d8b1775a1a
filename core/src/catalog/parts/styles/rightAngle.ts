import { modelCable } from '../groups.js';
import { ferruled, shrinkAndFerrule } from './crimp.js';
import { body, type StyleKind } from './style.js';

/** As side entry, turned by a right angle; a cap closes the window over the solder joint. */
export const rightAngle: StyleKind = {
  id: 'right angle',
  name: 'right angle',
  grip: 'ferrule',
  radial: (group, axial) => ferruled(modelCable(group), axial),
  train: (part) => [
    ...shrinkAndFerrule(part),
    body(part, 'body', 'window up, neck towards the jacket'),
    { id: 'cap', name: 'cap', lengthMm: 2, outerMm: 8, direction: 'closes the window last' },
  ],
};
