import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { demoPlan } from '@/core/demo/plan';
import { writeKitCsv } from './kitCsv';
import { planFileText, planFileValue } from './planFile';
import { planJsonSchema } from './planSchema';

const published = (file: string) => readFileSync(file, 'utf8');

test('what is published is what the code says: run "npm run schema" and "npm run examples" after a change', () => {
  expect(JSON.parse(published('docs/plan.schema.json'))).toEqual(planJsonSchema());
  expect(published('examples/plateau-and-river-loop.json')).toBe(planFileText(demoPlan()));
  expect(published('examples/plateau-and-river-loop-kit.csv')).toBe(writeKitCsv(demoPlan().things));
});

test('the JSON Schema alone tells a plan from what is none', () => {
  const ajv = new Ajv({ strict: false });
  addFormats(ajv);
  const check = ajv.compile(planJsonSchema());
  expect(check(planFileValue(demoPlan()))).toBe(true);
  const file = planFileValue(demoPlan());
  expect(check({ ...file, version: 99 })).toBe(false);
  expect(check({ ...file, things: [{ ...file.things[0], massG: -1 }] })).toBe(false);
  expect(check({ ...file, decisions: [{ ...file.decisions[0], quantity: 0 }] })).toBe(false);
});
