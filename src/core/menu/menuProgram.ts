import type { Aim } from '@/core/food/menuSchema';
import type { Slot } from '@/core/food/pantry';
import { mealsOf, type DayNeed } from './dayNeeds';

/** A food that may enter the menu. */
export interface Candidate {
  id: string;
  name: string;
  slots: readonly Slot[];
  /** Goes with a meal, and is none by itself. */
  isSide: boolean;
  /** Of one portion. */
  massG: number;
  volumeMl: number;
  energyKJ: number;
  carbG: number;
  proteinG: number;
  boilMl: number;
  price: number;
  /** The first and last day on which it may be eaten: bought from then on, kept until then. */
  fromDay: number;
  untilDay: number;
  /** Share of the trip over which it is carried, 0 to 1: what is bought on the way weighs less. */
  carried: number;
  /** How many portions there are; null for as many as are wanted. */
  most: number | null;
}

export interface MenuProblem {
  days: readonly DayNeed[];
  candidates: readonly Candidate[];
  /** What stays as it is. */
  fixed: readonly { id: string; day: number; slot: Slot; portions: number }[];
  aim: Aim;
}

/** A wish that cannot be had with the others, and by how much it was missed. */
export interface GivenUp {
  wish: 'energy' | 'carbohydrate' | 'protein' | 'a meal' | 'a meal in reserve';
  day: number;
  by: number;
  unit: 'kJ' | 'g' | '';
}

export interface Portions {
  id: string;
  day: number;
  slot: Slot;
  portions: number;
}

/** Energy of a day may be off by so much either way. */
const ENERGY_WITHIN = 0.05;
/** A meal has at least and at most this share of its day's energy. */
const MEAL_LEAST = 0.12;
const MEAL_MOST = 0.5;
/** Of one food in one slot of a day. */
const MOST_ALIKE: Record<Slot, number> = {
  breakfast: 2,
  riding: 2,
  lunch: 2,
  dinner: 2,
  drinks: 2,
  spare: 1,
};
/** Days on which the same dinner may come. */
const SAME_DINNER = 2;
/** Cheese, spread or oil in one meal. */
const MOST_SIDES = 2;
/** Portions of any one food for each day of the trip. */
const SAME_A_DAY = 1.5;
const RESERVE_KJ = 1400;
/** What missing a wish costs when not all can be had: far more than any menu. */
const PENALTY: Record<GivenUp['wish'], number> = {
  energy: 100,
  carbohydrate: 2_000,
  protein: 1_000,
  'a meal': 1_000_000,
  'a meal in reserve': 100_000,
};

const costOf = (food: Candidate, aim: Aim): number =>
  // A little of the mass settles ties.
  ({
    'least mass': food.massG * food.carried,
    'least volume': food.volumeMl * food.carried + 0.01 * food.massG,
    'least money': 100 * food.price + 0.01 * food.massG,
    'fewest boils': (food.boilMl > 0 ? 100 + food.boilMl : 0) + 0.02 * food.massG,
  })[aim];

interface Variable extends Portions {
  name: string;
  food: Candidate;
  most: number;
}

/**
 * The mixed-integer programme of methods, section 16, in the text form that solvers read: whole portions of each food for each day and slot,
 * for the least mass, volume, money or boils; each day's energy within 5 %, enough carbohydrate on the bike, protein, a food for every meal,
 * a main
 * dish in every meal, no dinner more than twice, not always the same, and one meal in reserve that needs no heat.
 *
 * @param isElastic wishes may be missed, at a price: tells which has to give way
 * @param isRelaxed portions need not be whole: the optimum is a lower bound
 */
export function menuProgram(
  problem: MenuProblem,
  isElastic: boolean,
  isRelaxed = false,
): { text: string; variables: Variable[]; slacks: { name: string; given: Omit<GivenUp, 'by'> }[] } {
  const { days, candidates, fixed, aim } = problem;
  const variables: Variable[] = [];
  const slacks: { name: string; given: Omit<GivenUp, 'by'> }[] = [];
  const rows: string[] = [];
  const row = (terms: readonly string[], sign: '<=' | '>=', right: number) => {
    // With nothing to choose from, a wish stays a wish that cannot be met.
    const isOpen = terms.length > 0 || (sign === '>=' && right > 0);
    if (isOpen) rows.push(` r${rows.length}: ${terms.join(' ') || '+ nothing'} ${sign} ${number(right)}`);
  };
  const slack = (wish: GivenUp['wish'], day: number, unit: GivenUp['unit']): string => {
    const name = `s${slacks.length}`;
    slacks.push({ name, given: { wish, day, unit } });
    return name;
  };
  const elastic = (wish: GivenUp['wish'], day: number, unit: GivenUp['unit'], factor = 1) =>
    isElastic ? [`+ ${number(factor)} ${slack(wish, day, unit)}`] : [];

  for (const { day } of days) {
    const slots: Slot[] = ['riding', 'drinks', ...mealsOf(day, days.length)];
    if (day === days.length) slots.push('spare');
    for (const slot of slots)
      for (const food of candidates)
        if (food.slots.includes(slot) && food.fromDay <= day && day <= food.untilDay)
          variables.push({
            id: food.id,
            day,
            slot,
            portions: 0,
            name: `x${variables.length}`,
            food,
            // Drinks are pleasure: none is added for its figures.
            most: slot === 'drinks' && food.energyKJ < 100 ? 0 : MOST_ALIKE[slot],
          });
  }
  const isFixed = (day: number, slot: Slot) =>
    fixed.some((entry) => entry.day === day && entry.slot === slot);
  const candidateById = new Map(candidates.map((food) => [food.id, food]));
  const fixedSum = (day: number, of: (food: Candidate) => number, only?: Slot) =>
    fixed.reduce((sum, entry) => {
      const food = candidateById.get(entry.id);
      const counts = entry.day === day && entry.slot !== 'spare' && (!only || entry.slot === only);
      return food && counts ? sum + entry.portions * of(food) : sum;
    }, 0);
  const terms = (own: readonly Variable[], of: (food: Candidate) => number) =>
    own.flatMap(({ name, food }) =>
      of(food) === 0 ? [] : [`${of(food) < 0 ? '-' : '+'} ${number(Math.abs(of(food)))} ${name}`],
    );

  for (const need of days) {
    const { day, needKJ, carbG, proteinG } = need;
    const own = variables.filter((each) => each.day === day && each.slot !== 'spare');
    const inSlot = (slot: Slot) => own.filter((each) => each.slot === slot);
    const energy = (food: Candidate) => food.energyKJ;
    const rest = needKJ - fixedSum(day, energy);
    row([...terms(own, energy), ...elastic('energy', day, 'kJ')], '>=', rest - ENERGY_WITHIN * needKJ);
    row(
      [...terms(own, energy), ...(isElastic ? [`- 1 ${slack('energy', day, 'kJ')}`] : [])],
      '<=',
      rest + ENERGY_WITHIN * needKJ,
    );
    if (carbG) {
      const carb = (food: Candidate) => food.carbG;
      const eaten = fixedSum(day, carb, 'riding');
      row(
        [...terms(inSlot('riding'), carb), ...elastic('carbohydrate', day, 'g')],
        '>=',
        carbG.least - eaten,
      );
      row(terms(inSlot('riding'), carb), '<=', Math.max(60, carbG.most, carbG.least + 60) - eaten);
    } else if (!isFixed(day, 'riding'))
      row(
        inSlot('riding').map(({ name }) => `+ ${name}`),
        '<=',
        2,
      );
    const protein = (food: Candidate) => food.proteinG;
    row([...terms(own, protein), ...elastic('protein', day, 'g')], '>=', proteinG - fixedSum(day, protein));
    for (const slot of mealsOf(day, days.length)) {
      if (isFixed(day, slot)) {
        // What is locked is the meal.
        row(
          inSlot(slot).map(({ name }) => `+ ${name}`),
          '<=',
          0,
        );
        continue;
      }
      row(
        [...terms(inSlot(slot), energy), ...elastic('a meal', day, '', MEAL_LEAST * needKJ)],
        '>=',
        MEAL_LEAST * needKJ,
      );
      row(terms(inSlot(slot), energy), '<=', MEAL_MOST * needKJ);
      const [sides, mains] = [true, false].map((is) => inSlot(slot).filter(({ food }) => food.isSide === is));
      row([...mains!.map(({ name }) => `+ ${name}`), ...elastic('a meal', day, '')], '>=', 1);
      row(
        sides!.map(({ name }) => `+ ${name}`),
        '<=',
        MOST_SIDES,
      );
      // Most of a meal is its main dish.
      row([...terms(mains!, energy), ...terms(sides!, (food) => -food.energyKJ)], '>=', 0);
    }
  }
  const last = days.length;
  if (!isFixed(last, 'spare')) {
    const spare = variables.filter(({ slot, food }) => slot === 'spare' && food.boilMl === 0);
    row(
      [...terms(spare, (food) => food.energyKJ), ...elastic('a meal in reserve', last, '', RESERVE_KJ)],
      '>=',
      RESERVE_KJ,
    );
  }
  for (const food of candidates) {
    const own = variables.filter(({ id }) => id === food.id);
    const dinners = own.filter(({ slot }) => slot === 'dinner');
    if (dinners.length > 1)
      row(
        dinners.map(({ name }) => `+ ${name}`),
        '<=',
        SAME_DINNER,
      );
    row(
      own.map(({ name }) => `+ ${name}`),
      '<=',
      Math.max(1, Math.ceil(SAME_A_DAY * days.length) - 1),
    );
    if (food.most !== null)
      row(
        own.map(({ name }) => `+ ${name}`),
        '<=',
        food.most - fixed.reduce((sum, { id, portions }) => (id === food.id ? sum + portions : sum), 0),
      );
  }

  const cost = [
    ...variables.map(({ name, food }) => `+ ${number(costOf(food, aim))} ${name}`),
    ...slacks.map(({ name, given }) => `+ ${PENALTY[given.wish]} ${name}`),
  ];
  const text = [
    'Minimize',
    ` cost: ${cost.join(' ')}`,
    'Subject To',
    ...rows,
    'Bounds',
    ' 0 <= nothing <= 0',
    ...variables.map(({ name, most }) => ` 0 <= ${name} <= ${most}`),
    ...(isRelaxed ? [] : ['General', ` ${variables.map(({ name }) => name).join(' ')}`]),
    'End',
    '',
  ].join('\n');
  return { text, variables, slacks };
}

const number = (value: number): string => String(Math.round(value * 1000) / 1000);
