import { modelCable } from '../groups.js';
import { ferruled, shrinkAndFerrule } from './crimp.js';
import { body, type StyleKind } from './style.js';

/** The conductor lies in a slot of the body and is soldered there; a ferrule holds the braid. */
export const sideEntry: StyleKind = {
  id: 'side-entry',
  name: 'side-entry slot',
  grip: 'ferrule',
  radial: (group, axial) => ferruled(modelCable(group), axial),
  train: (part) => [...shrinkAndFerrule(part), body(part, 'body', 'slot up, neck towards the jacket')],
};
