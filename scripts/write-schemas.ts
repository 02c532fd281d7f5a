import { mkdirSync, writeFileSync } from 'node:fs';
import { fileSchemas } from '@/core/trial/shared/file-schemas';

// The published shapes of the files that leave a garden: `npm run schemas` writes them anew from the Zod schemas.
mkdirSync('public/schema', { recursive: true });
for (const [name, schema] of Object.entries(fileSchemas()))
  writeFileSync(`public/schema/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
