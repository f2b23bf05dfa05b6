// Writes the JSON Schema of job and shop files to where the app serves them, /schema/.
import { register } from 'tsx/esm/api';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

register();
const { fileSchemas } = await import('../core/src/document/index.ts');
const dir = join(root, 'web', 'public', 'schema');
mkdirSync(dir, { recursive: true });
for (const [name, schema] of Object.entries(fileSchemas())) writeFileSync(join(dir, `${name}.json`), `${JSON.stringify(schema, null, 1)}\n`);
