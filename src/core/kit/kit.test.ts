import fc from 'fast-check';
import { guessProvides, guessSystem, guessTraits } from './guess';
import { readQuickAdd } from './quickAdd';
import { thingSilhouette } from './silhouette';
import { extentsMm, formVolumeMl, FORM_KINDS, guessForm, looseVolumeMl, thingMassG } from './thing';

test.each([
  ['Mug 78 g 0.4 l', { name: 'Mug', quantity: 1, massG: 78, volumeMl: 400 }],
  ['Oat bars x6 55 g', { name: 'Oat bars', quantity: 6, massG: 55, volumeMl: null }],
  ['Oat bars 55 g ×6', { name: 'Oat bars', quantity: 6, massG: 55, volumeMl: null }],
  ['Quilt, 4.2 l, 1 lb 8 oz', { name: 'Quilt', quantity: 1, massG: 680.388555, volumeMl: 4200 }],
  ['Map 1:50', { name: 'Map 1:50', quantity: 1, massG: null, volumeMl: null }],
  ['Pot 0.9 l with burner', { name: 'Pot 0.9 l with burner', quantity: 1, massG: null, volumeMl: null }],
  ['Mug - 78 g', { name: 'Mug', quantity: 1, massG: 78, volumeMl: null }],
  ['Route card 12-14 km', { name: 'Route card 12-14 km', quantity: 1, massG: null, volumeMl: null }],
  ['90 g', { name: '90 g', quantity: 1, massG: null, volumeMl: null }],
])('quick add: %s', (line, read) => {
  const massG: unknown = read.massG === null ? null : expect.closeTo(read.massG, 6);
  expect(readQuickAdd(line)).toEqual({ ok: true, value: { ...read, massG } });
});

test.each([
  ['Mug -5 g 0 l', '0 l'],
  ['Mug -5 g', '-5 g'],
  ['Mug −0.4 l 78 g', '−0.4 l'],
  ['Mug 0 g', '0 g'],
  ['Tube x2 0.0 kg', '0.0 kg'],
])('quick add refuses a figure that cannot be: %s', (line, figure) => {
  expect(readQuickAdd(line)).toEqual({
    ok: false,
    error: expect.stringContaining(`Nothing weighs or takes ${figure}.`) as string,
  });
});

test.each([
  ['Gas canister', ['fuel']],
  ['Fuel gauge', []],
  ['Tent inner and fly', ['wet']],
  ['Tent poles', []],
  ['Tent pegs', ['sharp']],
  ['Rain jacket', ['wet']],
  ['Inflatable mat', ['inflatable']],
  ['Inflation sack for the mat', []],
  ['Matches', []],
  ['Bottle of spirit', ['liquid fuel']],
  ['Camp shoes', ['dirty']],
  ['Drone', ['fragile']],
  ['Action camera', []],
  ['Water bladder with hose', ['hose']],
])('what it does beside others is guessed by its name: %s', (name, traits) => {
  expect(guessTraits(name)).toEqual(traits);
});

test('guesses by name are modest and marked', () => {
  expect(guessSystem('Spare tube')).toBe('tools');
  expect(guessSystem('First aid pouch')).toBe('first aid');
  expect(guessSystem('Unheard-of object')).toBe('luxuries');
  expect(guessProvides('Head torch')).toEqual(['light']);
  expect(guessProvides('Light lock')).toEqual([]);
});

test('a guessed form has about the volume it was guessed for, and extents in order', () => {
  fc.assert(
    fc.property(fc.integer({ min: 60, max: 12_000 }), fc.constantFrom(...FORM_KINDS), (volumeMl, kind) => {
      const form = guessForm(kind, volumeMl);
      const own = formVolumeMl(form);
      if (kind === 'soft') expect(own).toBeNull();
      else expect(Math.abs(own! / volumeMl - 1)).toBeLessThan(0.12);
      const extents = extentsMm(form);
      if (extents) expect([...extents].sort((a, b) => b - a)).toEqual(extents);
      const face = thingSilhouette(form, volumeMl);
      expect(Math.min(face.widthMm, face.heightMm)).toBeGreaterThan(0);
    }),
  );
});

test('water counts in the mass of every piece; loose is never less than pressed', () => {
  expect(thingMassG({ quantity: 2, massG: 90, waterMl: 750 })).toBe(1680);
  expect(looseVolumeMl({ quantity: 2, volumeMl: 500, form: { kind: 'soft', looseMl: 100 } })).toBe(1000);
});
