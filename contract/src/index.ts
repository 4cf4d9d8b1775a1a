export {
  AddLogEntry,
  AddReading,
  CreateJob,
  CreateRun,
  ImportShop,
  JOB_FILE_SCHEMA,
  JobFile,
  JobFileRun,
  PutShopEntry,
  ReplaceJob,
  ReplaceRun,
  ShopFileEntry,
} from './requests.js';
export type {
  ApiProblem,
  Health,
  JobDocument,
  JobSummary,
  RunDocument,
  ShopDocument,
  StoredShopEntry,
} from './responses.js';
