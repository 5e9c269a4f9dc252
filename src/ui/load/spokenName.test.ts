import { formatterFor } from '@/core/units/format';
import { sampleThing } from '../../../tests/support/samples';
import { spokenName } from './spokenName';

test.each([
  ['kitchen scale', 'Stove, 184 g'],
  ['estimate', 'Stove, about 184 g'],
] as const)('of two stoves, mass %s: %s', (massSource, spoken) => {
  const stove = sampleThing('s', { name: 'Stove', quantity: 2, massG: 92, massSource });
  expect(spokenName(stove, formatterFor('metric'))).toBe(spoken);
});
