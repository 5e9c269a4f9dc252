import { formVolumeMl } from '../thing';
import { KINDS, kindSchema } from './kinds';

test('every kind is sound by the schema, with an id and a name of its own', () => {
  for (const kind of KINDS)
    expect([kind.name, kindSchema.safeParse(kind).error?.issues]).toEqual([kind.name, undefined]);
  expect(new Set(KINDS.map(({ id }) => id)).size).toBe(KINDS.length);
  expect(KINDS.length).toBeGreaterThan(250);
});

test('each family has one usual size, and sizes of one unit that grow', () => {
  const families = new Map<string, (typeof KINDS)[number][]>();
  for (const kind of KINDS) families.set(kind.family, [...(families.get(kind.family) ?? []), kind]);
  for (const [family, kinds] of families) {
    expect([family, kinds.filter(({ isUsual }) => isUsual).length]).toEqual([family, 1]);
    expect([family, new Set(kinds.flatMap(({ size }) => size?.unit ?? [])).size <= 1]).toEqual([
      family,
      true,
    ]);
  }
});

test('a stiff kind takes what its measures make, and nothing is denser than lead or lighter than down', () => {
  for (const { name, form, volumeMl, massG } of KINDS) {
    if (form.kind !== 'soft') expect([name, volumeMl]).toEqual([name, Math.round(formVolumeMl(form)!)]);
    else expect([name, form.looseMl >= volumeMl]).toEqual([name, true]);
    const gPerMl = massG / volumeMl;
    expect([name, gPerMl > 0.02 && gPerMl < 4]).toEqual([name, true]);
  }
});
