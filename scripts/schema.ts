// npm run schema: the published JSON Schema of the plan file, from the one definition in the core.
import { writeFileSync } from 'node:fs';
import { planJsonSchema } from '@/core/formats/planSchema';

const text = `${JSON.stringify(planJsonSchema(), null, 2)}\n`;
writeFileSync('docs/plan.schema.json', text);
