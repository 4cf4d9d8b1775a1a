export {
  AddLogEntry,
  AddReading,
  CreateJob,
  CreateRun,
  JOB_FILE_SCHEMA,
  JobFile,
  JobFileRun,
  ReplaceJob,
  ReplaceRun,
} from './requests.js';
export type { ApiProblem, Health, JobDocument, JobSummary, RunDocument } from './responses.js';
