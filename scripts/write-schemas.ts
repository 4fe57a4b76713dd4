import { writeFileSync } from 'node:fs';
import { jsonSchemas } from '@/core/formats/schemas';
import { z } from 'zod';
import { studioArchive } from '@/server/archive/studio-archive';
import { parametersPage } from './model-docs';

const schemas = {
  ...jsonSchemas(),
  'studio.v1.schema.json': z.toJSONSchema(studioArchive, { io: 'input' }),
};
for (const [name, schema] of Object.entries(schemas)) {
  writeFileSync(`docs/schema/${name}`, `${JSON.stringify(schema, null, 2)}\n`);
  console.log(`docs/schema/${name}`);
}
writeFileSync('docs/model/parameters.md', parametersPage());
console.log('docs/model/parameters.md');
