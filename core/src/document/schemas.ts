import * as z from 'zod';
import { JobFile, ShopFile } from './document';

/** JSON Schema (draft 2020-12) of the files that Obra writes and reads. */
export const fileSchemas = () => ({ job: z.toJSONSchema(JobFile), shop: z.toJSONSchema(ShopFile) });
