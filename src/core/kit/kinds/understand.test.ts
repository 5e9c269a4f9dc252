import { readFileSync } from 'node:fs';
import { errorOf, KINDS } from './kinds';
import { thingFrom, thingOfKind, thingOfSize } from './newThing';
import { thingMassErrorG, thingVolumeErrorMl } from './errors';
import { suggest, understand } from './understand';
import { thingSchema } from '../thing';

/** What riders type, the kind it should be, and what one may weigh: `-` where no kind is to be found. */
const table = (file: string) =>
  readFileSync(`tests/names/${file}`, 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '' && !line.startsWith('#'))
    .map((line) => {
      const [typed, kind, mass, quantity] = line.split('|').map((cell) => cell.trim());
      const [from, to] = mass!.split('-').map(Number);
      return {
        typed: typed!,
        kind: kind!.replace('1 people', '1 person'),
        from: from!,
        to: to!,
        quantity: Number(quantity),
      };
    });

const wrong = (file: string) =>
  table(file).flatMap(({ typed, kind, from, to, quantity }) => {
    const read = understand(typed);
    const name = read.kind?.name ?? '-';
    const massG = read.massG ?? read.kind?.massG ?? 0;
    const right =
      name === kind && read.quantity === quantity && (kind === '-' || (massG >= from && massG <= to));
    return right ? [] : [`${typed}: ${name} × ${read.quantity}, ${massG} g`];
  });

test.each([
  ['typed.txt', 200],
  ['held-out.txt', 100],
])('of what riders type at least 95 of 100 are understood: %s', (file, least) => {
  const all = table(file).length;
  expect(all).toBeGreaterThanOrEqual(least);
  expect(wrong(file).slice(Math.floor(0.05 * all))).toEqual([]);
});

test('what is stated wins over what the kind says', () => {
  expect(thingFrom('t', understand('tent 2p 1.9 kg'))).toMatchObject({
    name: 'Tent 2p',
    massG: 1900,
    massSource: 'kitchen scale',
    kind: 'tent-2-people',
    volumeSource: 'estimate',
  });
  expect(thingFrom('t', understand('Mug 78 g 0.4 l'))).toMatchObject({
    name: 'Mug',
    massG: 78,
    volumeMl: 400,
    volumeSource: 'rated',
  });
  expect(thingFrom('t', understand('Oat bars x6 55 g'))).toMatchObject({
    name: 'Oat bars',
    quantity: 6,
    massG: 55,
  });
});

test('a size is part of the name, and no figure of its own', () => {
  expect(thingFrom('t', understand('1 l bottle'))).toMatchObject({
    name: '1 l bottle',
    kind: 'bottle-1-l',
    massSource: 'estimate',
    waterMl: 1000,
  });
  expect(thingFrom('t', understand('Pot 0.9 l with burner'))).toMatchObject({
    kind: 'pot-0.9-l',
    hollow: { kind: 'cylinder' },
  });
});

test('what nobody knows is asked for, not invented; then it has a wide range', () => {
  const gizmo = understand('zebra gizmo');
  expect(gizmo.kind).toBeNull();
  expect(thingFrom('t', gizmo)).toBeNull();
  const asked = thingOfSize('t', 'a shoe', gizmo);
  expect(asked).toMatchObject({ name: 'Zebra gizmo', volumeMl: 2000, volumeSource: 'estimate' });
  expect(thingVolumeErrorMl(asked, asked.volumeMl)).toBe(600);
  // With a mass the rest follows from that.
  expect(thingFrom('t', understand('zebra gizmo 300 g'))).toMatchObject({ massG: 300, kind: null });
});

test('errors come from the range of the kind, as long as it is an estimate', () => {
  const bottle = thingOfKind(
    't',
    KINDS.find(({ id }) => id === 'bottle-0.75-l')!,
  );
  expect(thingMassErrorG(bottle)).toBeCloseTo(errorOf(90, 0.4), 9);
  expect(thingMassErrorG({ ...bottle, massSource: 'kitchen scale' })).toBe(1);
  expect(thingMassErrorG({ ...bottle, kind: 'of-a-later-table' })).toBeCloseTo(0.15 * 90, 9);
});

test('every kind makes a sound thing', () => {
  for (const kind of KINDS)
    expect(thingSchema.safeParse(thingOfKind('t', kind)).error?.issues).toBeUndefined();
});

test('while a name is typed kinds are suggested', () => {
  expect(suggest('sleeping').map(({ family }) => family)).toContain('Sleeping bag');
  expect(suggest('tub')[0]!.family).toBe('Spare tube');
  expect(suggest('2x tube 26')[0]!.name).toBe('Spare tube, 26 in');
  expect(suggest('')).toEqual([]);
});
