import type { Bag, Place } from '@/core/bag/bag';
import type { Facts } from '@/core/facts/facts';

/** What a ride round the block tries, in the order in which it is tried. */
export const TEST_CHECKS = [
  'full lock',
  'travel',
  'knees',
  'heels',
  'rattle',
  'sway',
  'braking',
  'steering',
] as const;
export type TestCheck = (typeof TEST_CHECKS)[number];

interface Trial {
  words: string;
  /** Places whose bags can be the cause; `any` for every bag, `none` where it is the bike as a whole. */
  places: readonly Place[] | 'any' | 'none';
  /** What to do about it. */
  whenNot: string;
}

export const TRIALS: Record<TestCheck, Trial> = {
  'full lock': {
    words: 'Standing: turn the bar fully left and right. Nothing rubs, no cable or hose is pulled tight.',
    places: ['bar roll', 'bar bag', 'stem bag', 'top tube bag', 'frame bag', 'fork bag'],
    whenNot: 'Move it away from the fork crown and the frame, or put spacers between it and the bar.',
  },
  travel: {
    words: 'Lean on saddle and bar with your full weight, and ride off a kerb. No bag touches a tyre.',
    places: ['seat pack', 'bar roll', 'bar bag', 'fork bag', 'rear rack', 'pannier', 'strap outside'],
    whenNot:
      'Pull it higher and tighter, roll it smaller, or take weight out. A bag in a wheel throws you off.',
  },
  knees: {
    words: 'Pedal seated and standing. Your knees and thighs touch nothing.',
    places: ['frame bag', 'top tube bag', 'stem bag', 'seat pack', 'bottle cage'],
    whenNot: 'Pack hard and flat things low and in the middle, and soft ones where it bulges.',
  },
  heels: {
    words: 'Turn the cranks backwards with your feet on the pedals. Your heels and toes touch nothing.',
    places: ['pannier', 'rear rack', 'fork bag', 'down tube', 'bottle cage'],
    whenNot: 'Move it back, or turn it so that its thin end is at the foot.',
  },
  rattle: {
    words: 'Ride over a rough stretch. Nothing rattles and nothing comes loose.',
    places: 'any',
    whenNot: 'Put something soft between hard things, and tie every strap end.',
  },
  sway: {
    words: 'Pedal out of the saddle. No bag swings from side to side.',
    places: ['seat pack', 'bar roll', 'rear rack', 'pannier', 'strap outside'],
    whenNot:
      'Heavy things go to the front of it and low; pull the straps tighter; fill it so that it is firm.',
  },
  braking: {
    words:
      'Brake hard with each brake on its own. The wheels stay down, the brakes do not fade, nothing slides forward.',
    places: 'none',
    whenNot: 'Do not set out. Check pads and levers, and ask a bike shop where you are not sure.',
  },
  steering: {
    words: 'Ride slowly, then faster downhill with a light grip. The bar neither flops nor shimmies.',
    places: 'none',
    whenNot: 'Take weight off the bar and bring it nearer to the stem; make both sides equally heavy.',
  },
};

/** The bags that one check is about; a check about no bag on the bike is left out. */
export interface TestStep extends Trial {
  check: TestCheck;
  bags: readonly Bag[];
}

/**
 * The test ride of a packed bike: what to try, and which bags could be the cause where it is not good.
 *
 * @example testRide(evaluate(plan)).map(({ check }) => check) // ['full lock', 'travel', …, 'steering']
 */
export function testRide({ plan, compartments }: Pick<Facts, 'plan' | 'compartments'>): TestStep[] {
  const filled = new Set(
    compartments.flatMap(({ spot, things }) => (things.length > 0 ? [spot.bag.id] : [])),
  );
  const bags = plan.bags.filter(({ id, place }) => filled.has(id) && place !== 'body');
  return TEST_CHECKS.flatMap((check): TestStep[] => {
    const trial = TRIALS[check];
    const { places } = trial;
    const concerned =
      places === 'none' ? [] : bags.filter(({ place }) => places === 'any' || places.includes(place));
    return places !== 'none' && concerned.length === 0 ? [] : [{ ...trial, check, bags: concerned }];
  });
}
