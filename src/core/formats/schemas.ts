import { z } from 'zod';
import { briefInput } from './brief';
import { planFile } from './plan-file';
import { suggestionsFile } from './suggestions-file';
import { wishInput } from './wish';

/** The JSON Schema of every open format, by file name under docs/schema. */
export const jsonSchemas = (): Readonly<Record<string, object>> => ({
  'brief.v1.schema.json': z.toJSONSchema(briefInput, { io: 'input' }),
  'plan.v1.schema.json': z.toJSONSchema(planFile),
  'wish.v1.schema.json': z.toJSONSchema(wishInput, { io: 'input' }),
  'suggestions.v1.schema.json': z.toJSONSchema(suggestionsFile, { io: 'input' }),
});
