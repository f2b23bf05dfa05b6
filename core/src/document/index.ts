export { blankDrawing, blankJob, blankRow, isBlankRow } from './blank';
export { choiceId, type Chosen, chosenIn, orChosen } from './chosen';
export { liveEntries } from './live';
export { migrate, SCHEMA } from './migrate';
export { orderWords, stillHere } from './order';
export { namedByPart, ownName } from './ownName';
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
export { parseBackupText } from './parseBackup';
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
  Relation,
  Section,
  Shop,
  ShopFile,
  StoredJob,
  StoredShop,
  Tool,
} from './types';
