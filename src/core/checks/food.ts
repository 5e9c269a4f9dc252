import { conditionsOf } from '@/core/facts/conditions';
import { menuOf, plannedOf, type Planned } from '@/core/facts/food';
import { pantryFood, maySuit } from '@/core/food/pantry';
import { keepsAt } from '@/core/menu/keeping';
import { listed, type Check, type Judgement } from './finding';

/** So far below what a day asks for before it is said. */
const SHORT = 0.08;
const FAR_SHORT = 0.25;

const named = (planned: readonly Planned[]) => listed([...new Set(planned.map(({ thing }) => thing.name))]);

/** Days with too little to eat, and foods of which the menu uses more than comes along. */
export const enoughFood: Check = {
  id: 'food',
  stage: 'provisions',
  judges: 'trip',
  run(facts, format): Judgement[] {
    if (facts.plan.trip.menu.length === 0) return [];
    const { days, short, isRideKnown } = menuOf(facts);
    return [
      ...days.flatMap(({ need, energyKJ }): Judgement[] => {
        const missing = need.needKJ - energyKJ;
        if (missing < SHORT * need.needKJ) return [];
        return [
          {
            about: `day ${need.day}`,
            system: 'food',
            severity: missing > FAR_SHORT * need.needKJ ? 'check' : 'note',
            message: `Day ${need.day} is ${format.energy(missing)} short of food: ${format.energy(energyKJ)} of ${format.energy(need.needKJ)}.`,
            reason: `You use ${format.energy(need.usedKJ)} that day, ${format.energy(need.rideKJ)} of it for riding${isRideKnown ? '' : ' (no route: four steady hours are assumed)'}, less the deficit you accept. Hungry riders get cold and slow, and choose badly.`,
          },
        ];
      }),
      ...short.map(({ thing, portions }): Judgement => ({
        about: thing.id,
        system: 'food',
        severity: 'check',
        message: `Your menu uses ${portions === 1 ? '1 portion' : `${portions} portions`} more of ${thing.name} than you take.`,
        reason: 'Take more of it, or eat something else.',
        fixes: () => [
          {
            label: `Take enough ${thing.name}`,
            edit: {
              kind: 'decide things',
              changes: [
                {
                  id: thing.id,
                  patch: { quantity: thing.quantity + Math.ceil(portions / (thing.specs.portions ?? 1)) },
                },
              ],
            },
          },
        ],
      })),
    ];
  },
};

/** Food that does not keep until it is eaten. */
export const foodKeeps: Check = {
  id: 'food keeps',
  stage: 'provisions',
  judges: 'trip',
  readsWeather: true,
  run(facts): Judgement[] {
    const { warmestC } = conditionsOf(facts);
    const spoilt = plannedOf(facts.plan).filter(
      ({ entry, portion }) =>
        entry.boughtAt === null &&
        entry.slot !== 'spare' &&
        entry.day - 1 > keepsAt(portion.keepsDays, warmestC),
    );
    if (spoilt.length === 0) return [];
    return [
      {
        system: 'food',
        severity: 'check',
        message: `This may spoil before you eat it: ${named(spoilt)}.`,
        reason:
          'Warmth halves how long food keeps with every ten degrees, and bags in the sun are warmer than the air. Eat it earlier, or buy it on the way.',
      },
    ];
  },
};

/** Meals that need heat where there is none, and what the rider does not eat. */
export const foodSuits: Check = {
  id: 'food suits',
  stage: 'provisions',
  judges: 'trip',
  run(facts): Judgement[] {
    const { trip } = facts.plan;
    const planned = plannedOf(facts.plan);
    const found: Judgement[] = [];
    const hot = planned.filter(({ portion }) => portion.boilMl > 0);
    if (trip.cooking !== 'stove' && hot.length > 0)
      found.push({
        about: 'heat',
        system: 'food',
        severity: 'check',
        message: `You take no stove, and this needs boiling water: ${named(hot)}.`,
        reason: 'Choose something that is eaten cold, or say under Trip that you cook.',
      });
    else if (trip.nights > 0 && planned.length > 0 && hot.length === planned.length)
      found.push({
        about: 'cold meal',
        system: 'food',
        severity: 'note',
        message: 'Every meal needs the stove.',
        reason: 'A stove can fail, and fires can be banned. One meal that needs no heat is worth its grams.',
      });
    const { diet, avoids } = trip.eating;
    const unfit = planned.filter(({ thing }) => {
      const food = pantryFood(thing.kind);
      return food !== undefined && !maySuit(food, diet, avoids);
    });
    if (unfit.length > 0)
      found.push({
        about: 'diet',
        system: 'food',
        severity: 'check',
        message: `This is not what you eat: ${named(unfit)}.`,
        reason: `You eat ${diet}${avoids.length > 0 ? `, without ${listed(avoids)}` : ''}. The label decides: recipes differ, and traces are common.`,
      });
    return found;
  },
};
