import { writeFileSync } from 'node:fs';
import { jsonSchemas } from '@/core/formats/schemas';
import { parametersPage } from './model-docs';

for (const [name, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(`docs/schema/${name}`, `${JSON.stringify(schema, null, 2)}\n`);
  console.log(`docs/schema/${name}`);
}
writeFileSync('docs/model/parameters.md', parametersPage());
console.log('docs/model/parameters.md');
