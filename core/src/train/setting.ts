import type { Catalog } from '../catalog/index.js';
import type { Practice } from '../practice/index.js';
import type { UnitSystem } from '../quantity/index.js';
import type { Subjects } from './subjects.js';

/** What questions are made from: the shop's catalogue, methods, meter and units. */
export interface DrillSetting {
  subjects: Subjects;
  catalog: Catalog;
  practice: Practice;
  system: UnitSystem;
}
