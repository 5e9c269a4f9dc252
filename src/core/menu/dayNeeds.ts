/** What a day asks of the food that comes along. */
export interface DayNeed {
  /** 1 for the first. */
  day: number;
  /** Used that day by what the trip's food has to cover, in kJ. */
  usedKJ: number;
  /** After the deficit that the rider accepts. */
  needKJ: number;
  /** Of `usedKJ`, what the riding takes. */
  rideKJ: number;
  ridingHours: number;
  /** On the bike: 30 to 60 g for each hour beyond two; null where the day is shorter. */
  carbG: { least: number; most: number } | null;
  proteinG: number;
}

/** A rider whose height, age and sex are not known is taken as 172 cm, 40 years and between the two formulas. */
const HEIGHT_CM = 172;
const AGE = 40;
const BETWEEN_SEXES = (5 - 161) / 2;
const KJ_PER_KCAL = 4.184;
/** Camp chores and walking about, over resting (methods, section 6). */
const ACTIVE = 1.3;
/** Breakfast of the first day and dinner of the last are eaten at home. */
export const AT_HOME = { breakfast: 0.25, dinner: 0.35 } as const;
const CARB_FROM_H = 2;
const PROTEIN_G_PER_KG = 0.8;

/**
 * Resting need of a day, in kJ (Mifflin and St Jeor 1990).
 *
 * @example restingKJ(74) // 6,400: (10·74 + 6.25·172 − 5·40 − 78) kcal = 1537 kcal
 */
export const restingKJ = (bodyKg: number): number =>
  KJ_PER_KCAL * (10 * bodyKg + 6.25 * HEIGHT_CM - 5 * AGE + BETWEEN_SEXES);

/**
 * What each day asks for (methods, sections 6 and 16).
 *
 * @param days of riding: food energy for it in kJ, and hours in the saddle
 * @param deficit share of what is used that is not eaten, 0 to 0.4
 * @param eatShare what this rider eats of what is calculated, as learned on trips
 */
export function dayNeeds(
  days: readonly { energyKJ: number; ridingHours: number }[],
  bodyKg: number,
  deficit: number,
  eatShare = 1,
): DayNeed[] {
  return days.map(({ energyKJ, ridingHours }, k) => {
    const atHome = (k === 0 ? AT_HOME.breakfast : 0) + (k === days.length - 1 ? AT_HOME.dinner : 0);
    const share = 1 - atHome;
    const usedKJ = energyKJ + ACTIVE * restingKJ(bodyKg) * share;
    const beyond = ridingHours - CARB_FROM_H;
    return {
      day: k + 1,
      usedKJ,
      needKJ: usedKJ * (1 - deficit) * eatShare,
      rideKJ: energyKJ,
      ridingHours,
      carbG: beyond > 0 ? { least: 30 * beyond, most: 60 * beyond } : null,
      proteinG: PROTEIN_G_PER_KG * bodyKg * share,
    };
  });
}

/** Meals that a day of a trip has: breakfast of the first day and dinner of the last are eaten at home. */
export const mealsOf = (day: number, days: number): readonly ('breakfast' | 'lunch' | 'dinner')[] => [
  ...(day > 1 ? (['breakfast'] as const) : []),
  'lunch',
  ...(day < days ? (['dinner'] as const) : []),
];
