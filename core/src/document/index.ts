export { liveEntries } from './live';
export { blankDrawing, blankJob, blankRow } from './blank';
export { migrate, SCHEMA } from './migrate';
export { parseBackupText } from './parseBackup';
export {
  parseEntry,
  parseJob,
  parseJobFile,
  parseJobText,
  parseShop,
  parseShopItem,
  parseStoredJob,
  parseStoredShop,
  type Salvage,
  salvageShop,
} from './parse';
export { fileSchemas } from './schemas';
export type {
  Backup,
  Bar,
  Cell,
  Choice,
  Detail,
  Dial,
  Drawing,
  Entry,
  Gauge,
  Holding,
  Job,
  JobFile,
  Lesson,
  Machine,
  Mate,
  Measured,
  Relation,
  Section,
  Shop,
  StoredJob,
  StoredShop,
  ShopFile,
  Tool,
} from './types';
