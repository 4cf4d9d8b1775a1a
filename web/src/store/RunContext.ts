import type { RunDocument } from '@kobran/contract';
import type { Facts, Practice, Sheet, Site } from '@kobran/core';
import { createContext, use } from 'react';
import type { FactWriter } from './Device.js';
import type { RunEditor } from './useRunEditor.js';

/** The run which the screens below show: one design, one sheet, one place to write facts. */
export interface OpenRun {
  id: string;
  jobId: string;
  document: RunDocument;
  editor: RunEditor;
  facts: Facts;
  writer: FactWriter;
  practice: Practice;
  sheet: Sheet;
  /** The site of its job; nothing where nobody has drawn one. */
  place: Site | undefined;
}

export const RunContext = createContext<OpenRun | undefined>(undefined);

export function useOpenRun(): OpenRun {
  const run = use(RunContext);
  if (!run) throw new Error('useOpenRun outside a run');
  return run;
}
