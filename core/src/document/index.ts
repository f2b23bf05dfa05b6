export { blankDrawing, blankJob } from './blank';
export { migrate, SCHEMA } from './migrate';
export { parseEntry, parseJob, parseJobFile, parseJobText, parseShop, parseStoredJob, parseStoredShop } from './parse';
export type {
  Bar,
  Cell,
  Choice,
  Drawing,
  Entry,
  Gauge,
  Holding,
  Job,
  JobFile,
  Machine,
  Section,
  Shop,
  StoredJob,
  StoredShop,
  ShopFile,
  Tool,
} from './types';
