import { THING_DEFAULTS, type OwnedThing, type Thing } from '@/core/kit/thing';
import { purposesOf } from '@/core/needs/purposes';
import { pantryFood, type Allergen, type Food, type Slot } from '@/core/food/pantry';

/** One portion of a food that comes along. */
export interface Portion {
  massG: number;
  volumeMl: number;
  energyKJ: number;
  carbG: number;
  proteinG: number;
  boilMl: number;
  /** At 20 °C. */
  keepsDays: number;
  slots: readonly Slot[];
  /** How many are in one piece. */
  perPiece: number;
  allergens: readonly Allergen[];
  origin: Food['origin'];
  /** Energy was entered or is the pantry's; otherwise it is as usual for such a meal. */
  isKnown: boolean;
}

/** By what a food is for: kJ, carbohydrate and protein in 100 g, water to boil, and days it keeps. */
const USUAL: readonly (readonly [
  purpose: string,
  slot: Slot,
  kJ: number,
  carb: number,
  protein: number,
  boilMl: number,
  keeps: number,
])[] = [
  ['dinner', 'dinner', 1600, 55, 15, 400, 300],
  ['breakfast', 'breakfast', 1600, 60, 12, 200, 200],
  ['lunch', 'lunch', 1200, 35, 12, 0, 6],
  ['snack', 'riding', 1800, 60, 8, 0, 120],
  ['coffee', 'drinks', 0, 0, 0, 250, 300],
  ['tea', 'drinks', 0, 0, 0, 250, 300],
  ['salts', 'drinks', 500, 25, 0, 0, 365],
];

const known = new WeakMap<OwnedThing, Portion | null>();

/**
 * What one portion of a food is: as entered, else as the pantry has it, else as usual for such a meal; null for what is not food or is for
 * nothing that is eaten.
 *
 * @example portionOf(nuts of 350 g, 7 portions in it, 2400 kJ per 100 g)!.energyKJ // 1200
 */
export function portionOf(thing: OwnedThing): Portion | null {
  let portion = known.get(thing);
  if (portion === undefined) known.set(thing, (portion = read(thing)));
  return portion;
}

function read(thing: OwnedThing): Portion | null {
  if (thing.system !== 'food') return null;
  const { specs } = thing;
  const stored = pantryFood(thing.kind);
  const purposes = purposesOf(thing);
  const usual = USUAL.filter(([purpose]) => purposes.includes(purpose));
  if (!stored && usual.length === 0 && specs.kJPer100G === undefined) return null;
  const [, , kJ, carb, protein, boil, keeps] = usual[0] ?? ['', 'riding', 0, 0, 0, 0, 100];
  const perPiece = specs.portions ?? 1;
  const massG = thing.massG / perPiece;
  const of100 = massG / 100;
  return {
    massG,
    volumeMl: thing.volumeMl / perPiece,
    energyKJ: of100 * (specs.kJPer100G ?? stored?.kJPer100G ?? kJ),
    carbG: of100 * (specs.carbPer100G ?? stored?.carbPer100G ?? carb),
    proteinG: of100 * (specs.proteinPer100G ?? stored?.proteinPer100G ?? protein),
    boilMl: specs.boilMl ?? stored?.boilMl ?? boil,
    keepsDays: specs.keepsDays ?? stored?.keepsDays ?? keeps,
    slots: stored?.slots ?? (usual.length > 0 ? usual.map(([, slot]) => slot) : ['riding']),
    perPiece,
    allergens: stored?.allergens ?? [],
    origin: stored?.origin ?? 'vegan',
    isKnown: specs.kJPer100G !== undefined || stored !== undefined,
  };
}

const PURPOSE_OF: Record<Slot, string> = {
  breakfast: 'breakfast',
  riding: 'snack',
  lunch: 'lunch',
  dinner: 'dinner',
  drinks: 'drink',
  spare: 'spare meal',
};
/** A bag that is not pressed takes so much more. */
const LOOSE = 1.25;

/** A pantry food as a thing of the trip: one piece a portion, repacked without its wrapping. */
export function thingOfFood(id: string, food: Food, portions: number): Thing {
  const side = Math.max(10, Math.round(Math.cbrt(food.volumeMl * 1000)));
  const sides = { lengthMm: Math.round(side * 1.6), widthMm: side, heightMm: Math.round(side / 1.6) };
  return {
    ...THING_DEFAULTS,
    id,
    name: food.name,
    system: 'food',
    kind: food.id,
    quantity: portions,
    massG: food.massG,
    massSource: 'label',
    volumeMl: food.volumeMl,
    volumeSource: 'estimate',
    form: food.isLoose
      ? { kind: 'soft', looseMl: Math.round(food.volumeMl * LOOSE) }
      : { kind: food.isCrushable ? 'crushable' : 'box', ...sides },
    waterMl: 0,
    dry: food.isLoose ? 'rather' : 'does not care',
    provides: [],
    view: 'none',
    traits: [],
    call: food.slots.includes('riding') ? 'riding' : food.slots.includes('lunch') ? 'stop' : 'camp',
    inDrySack: false,
    carry: 'bike',
    need: 'should',
    purposes: [...new Set(food.slots.map((slot) => PURPOSE_OF[slot]))],
  };
}
