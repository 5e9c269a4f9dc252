import { readFileSync } from 'node:fs';
import { compiledLoop, LOOP } from './loop';

test('the compiled loop is that of its source', () => {
  expect(readFileSync(LOOP, 'utf8')).toBe(compiledLoop());
});
