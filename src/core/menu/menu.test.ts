import fc from 'fast-check';
import loadHighs from 'highs';
import { AIMS } from '@/core/food/menuSchema';
import { ALLERGENS, DIETS, maySuit, PANTRY } from '@/core/food/pantry';
import { dayNeeds, mealsOf, restingKJ } from './dayNeeds';
import { keepsAt } from './keeping';
import type { Candidate, MenuProblem } from './menuProgram';
import { portionOf, thingOfFood } from './portion';
import { solveMenu, type Solver } from './solveMenu';

let solve: Solver;
beforeAll(async () => {
  solve = (await loadHighs()).solve as unknown as Solver;
});

test('resting need by Mifflin and St Jeor, and a middle day against the first and the last', () => {
  // (10·74 + 6.25·172 − 5·40 − 78) kcal = 1537 kcal
  expect(restingKJ(74)).toBeCloseTo(1537 * 4.184, 0);
  const days = dayNeeds(
    [1, 2, 3].map(() => ({ energyKJ: 7000, ridingHours: 5 })),
    74,
    0.1,
  );
  expect(days[1]!.usedKJ).toBeCloseTo(7000 + 1.3 * restingKJ(74), 6);
  expect(days[1]!.needKJ).toBeCloseTo(0.9 * days[1]!.usedKJ, 6);
  expect(days[0]!.usedKJ).toBeCloseTo(7000 + 1.3 * 0.75 * restingKJ(74), 6);
  expect(days[2]!.usedKJ).toBeCloseTo(7000 + 1.3 * 0.65 * restingKJ(74), 6);
  expect(days[0]!.carbG).toEqual({ least: 90, most: 180 });
  expect(mealsOf(1, 3)).toEqual(['lunch', 'dinner']);
  expect(mealsOf(3, 3)).toEqual(['breakfast', 'lunch']);
});

test('the pantry: figures that a food can have, and energy that follows from what is in it', () => {
  expect(PANTRY.length).toBeGreaterThanOrEqual(150);
  expect(new Set(PANTRY.map(({ id }) => id)).size).toBe(PANTRY.length);
  for (const food of PANTRY) {
    const { name, massG, kJPer100G, carbPer100G, proteinPer100G, volumeMl, keepsDays, slots, allergens } =
      food;
    expect({ name, ok: slots.length > 0 && slots.every(Boolean) }).toEqual({ name, ok: true });
    expect({ name, ok: massG > 0 && volumeMl > 0 && keepsDays >= 1 && food.price > 0 }).toEqual({
      name,
      ok: true,
    });
    expect({ name, ok: allergens.every((each) => ALLERGENS.includes(each)) }).toEqual({ name, ok: true });
    expect({ name, ok: carbPer100G + proteinPer100G <= 100 }).toEqual({ name, ok: true });
    // 17 kJ a gram of carbohydrate or protein, 37 of the fat that the rest can be at most.
    const least = 17 * 0.8 * (carbPer100G + proteinPer100G);
    const most = 17 * (carbPer100G + proteinPer100G) + 37 * (100 - carbPer100G - proteinPer100G);
    expect({ name, ok: kJPer100G >= least && kJPer100G <= most * 1.02 }).toEqual({ name, ok: true });
  }
});

test('every diet leaves a full menu, and leaves out what it says', () => {
  for (const diet of DIETS) {
    const left = PANTRY.filter((food) => maySuit(food, diet, []));
    for (const slot of ['breakfast', 'riding', 'lunch', 'dinner', 'spare'] as const)
      expect(left.some((food) => food.slots.includes(slot))).toBe(true);
  }
  expect(PANTRY.filter((food) => maySuit(food, 'vegan', [])).map(({ name }) => name)).not.toContain(
    'Hard cheese',
  );
  expect(maySuit({ origin: 'vegan', allergens: ['nuts'] }, 'vegan', ['nuts'])).toBe(false);
});

test('a food keeps half as long for every ten degrees', () => {
  expect(keepsAt(8, 30)).toBe(4);
  expect(keepsAt(8, 20)).toBe(8);
  expect(keepsAt(8, -10)).toBe(16);
});

test('a pantry food as a thing is the same food', () => {
  const bar = PANTRY.find(({ name }) => name === 'Oat bar')!;
  const thing = thingOfFood('bars', bar, 6);
  expect(portionOf(thing)).toMatchObject({ massG: 55, energyKJ: expect.closeTo(1017.5, 6), isKnown: true });
  // What its rider's label says stands before the pantry.
  expect(portionOf({ ...thing, specs: { kJPer100G: 2000, portions: 2 } })).toMatchObject({
    energyKJ: expect.closeTo(550, 6),
    perPiece: 2,
  });
});

const food = (id: string, patch: Partial<Candidate>): Candidate => ({
  id,
  name: id,
  slots: ['lunch'],
  isSide: false,
  massG: 100,
  volumeMl: 150,
  energyKJ: 1500,
  carbG: 50,
  proteinG: 15,
  boilMl: 0,
  price: 1,
  fromDay: 1,
  untilDay: 9,
  carried: 1,
  most: null,
  ...patch,
});

/** A day without a night: lunch, food for riding, and a meal in reserve. */
const oneDay = (needKJ: number, candidates: Candidate[]): MenuProblem => ({
  days: [{ day: 1, usedKJ: needKJ, needKJ, rideKJ: 0, ridingHours: 1, carbG: null, proteinG: 10 }],
  candidates,
  fixed: [],
  aim: 'least mass',
});

/** The lightest menu of such a day by trying all; Infinity where there is none. */
function bruteForce({ days, candidates }: MenuProblem): number {
  const { needKJ, proteinG } = days[0]!;
  const variables = candidates.flatMap((each) =>
    each.slots.map((slot) => ({ each, slot, most: slot === 'spare' ? 1 : 2 })),
  );
  let best = Infinity;
  const counts = variables.map(() => 0);
  const judge = () => {
    const sum = (of: (c: Candidate) => number, slot?: string, not?: string) =>
      variables.reduce(
        (total, v, k) =>
          (!slot || v.slot === slot) && v.slot !== not ? total + counts[k]! * of(v.each) : total,
        0,
      );
    const energy = sum((c) => c.energyKJ, undefined, 'spare');
    const lunch = sum((c) => c.energyKJ, 'lunch');
    const ok =
      Math.abs(energy - needKJ) <= 0.05 * needKJ + 1e-6 &&
      lunch >= 0.12 * needKJ - 1e-6 &&
      lunch <= 0.5 * needKJ + 1e-6 &&
      sum(() => 1, 'lunch') >= 1 &&
      sum(() => 1, 'riding') <= 2 &&
      sum((c) => c.proteinG, undefined, 'spare') >= proteinG - 1e-6 &&
      sum((c) => c.energyKJ, 'spare') >= 1400 &&
      candidates.every((c) => variables.reduce((n, v, k) => (v.each === c ? n + counts[k]! : n), 0) <= 1);
    if (ok)
      best = Math.min(
        best,
        sum((c) => c.massG),
      );
  };
  const visit = (k: number): void => {
    if (k === variables.length) return judge();
    for (counts[k] = 0; counts[k]! <= variables[k]!.most; counts[k]! += 1) visit(k + 1);
    counts[k] = 0;
  };
  visit(0);
  return best;
}

const smallFood = fc.record({
  massG: fc.integer({ min: 20, max: 200 }),
  energyKJ: fc.integer({ min: 4, max: 30 }).map((hundreds) => 100 * hundreds),
  proteinG: fc.integer({ min: 0, max: 30 }),
  slots: fc.constantFrom(
    ['lunch'] as const,
    ['riding'] as const,
    ['lunch', 'riding'] as const,
    ['spare'] as const,
  ),
});

test('the solver finds the lightest menu of a small day, by trying all', () => {
  fc.assert(
    fc.property(
      fc.array(smallFood, { minLength: 3, maxLength: 5 }),
      fc.integer({ min: 20, max: 50 }),
      (foods, hundreds) => {
        const problem = oneDay(100 * hundreds, [
          ...foods.map((patch, k) => food(`food-${k}`, patch)),
          food('reserve', { slots: ['spare'], massG: 90 }),
        ]);
        const best = bruteForce(problem);
        const found = solveMenu(problem, solve);
        const isMet = found !== null && found.givenUp.length === 0;
        expect(isMet).toBe(best < Infinity);
        if (!isMet) return;
        const byId = new Map(problem.candidates.map((each) => [each.id, each]));
        const mass = found.portions.reduce(
          (sum, { id, portions }) => sum + portions * byId.get(id)!.massG,
          0,
        );
        expect(mass).toBeLessThanOrEqual(best * 1.006 + 1e-6);
        expect(mass).toBeGreaterThanOrEqual(best - 1e-6);
      },
    ),
    { seed: 36, numRuns: 60 },
  );
});

test('where not all wishes can be met, it says which gives way and by how much', () => {
  const problem = oneDay(6000, [food('roll', { energyKJ: 1500 }), food('reserve', { slots: ['spare'] })]);
  const found = solveMenu(problem, solve)!;
  expect(found.givenUp).toEqual([{ wish: 'energy', day: 1, unit: 'kJ', by: expect.closeTo(4200, 0) }]);
});

test('locked lines stay and are counted; what has run out or is bought later is not planned before', () => {
  const candidates = [
    food('roll', { slots: ['lunch', 'riding'], fromDay: 2 }),
    food('wrap', { slots: ['lunch', 'dinner', 'riding'] }),
    food('oats', { slots: ['breakfast'] }),
    food('bar', { slots: ['riding'], energyKJ: 1000, most: 1 }),
    food('stew', { slots: ['dinner'] }),
    food('reserve', { slots: ['spare'] }),
  ];
  const day = { usedKJ: 4500, needKJ: 4500, rideKJ: 0, ridingHours: 1, carbG: null, proteinG: 10 };
  const problem: MenuProblem = {
    days: [
      { day: 1, ...day },
      { day: 2, ...day },
    ],
    candidates,
    fixed: [{ id: 'stew', day: 1, slot: 'dinner', portions: 1 }],
    aim: 'least mass',
  };
  for (const aim of AIMS) {
    const { portions } = solveMenu({ ...problem, aim }, solve)!;
    expect(portions.filter((each) => each.day === 1 && each.slot === 'dinner')).toEqual([]);
    expect(portions.filter((each) => each.id === 'roll' && each.day === 1)).toEqual([]);
    expect(portions.filter((each) => each.id === 'bar').length).toBeLessThanOrEqual(1);
  }
});
