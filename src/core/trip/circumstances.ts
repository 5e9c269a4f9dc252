/** What a trip may meet, asked as a few questions; each brings its usual caution. */
export const CIRCUMSTANCES = [
  'wild camping',
  'open fire',
  'wildlife',
  'dogs',
  'private land',
  'train',
  'bus',
  'plane',
  'night riding',
  'border',
] as const;
export type Circumstance = (typeof CIRCUMSTANCES)[number];

export interface Caution {
  /** The question, as something that applies. */
  question: string;
  /** Where it matters. */
  stage: 'trip' | 'kit' | 'load';
  message: string;
  reason: string;
}

/** Nothing here is about a real place: what is allowed is for the land manager, the carrier and local law to say. */
export const CAUTIONS: Record<Circumstance, Caution> = {
  'wild camping': {
    question: 'Camping away from campsites',
    stage: 'trip',
    message: 'Camp only where it is allowed.',
    reason:
      'Ask the landowner or the authority before. Arrive late, leave early, stay out of sight of houses and off nature reserves, and leave nothing behind.',
  },
  'open fire': {
    question: 'A fire, or a stove where fires are restricted',
    stage: 'kit',
    message: 'Ask about fires and stoves before you leave.',
    reason:
      'A fire ban often covers stoves too. Use existing fire rings, have water beside you, and leave the ashes cold. Pack one meal that needs no heat.',
  },
  wildlife: {
    question: 'Animals that come for food',
    stage: 'load',
    message: 'Keep food and all that smells away from the tent at night.',
    reason:
      'Pack it in one bag that can be hung or carried away, with soap and toothpaste. Some lands demand a locker or a canister: the land manager’s rule comes first.',
  },
  dogs: {
    question: 'Dogs that guard herds or farms',
    stage: 'trip',
    message: 'Get off the bike where dogs guard a herd.',
    reason:
      'Keep the bike between you and the dog, walk around the herd with a wide berth, and do not stare or run.',
  },
  'private land': {
    question: 'Private land or gates',
    stage: 'trip',
    message: 'Leave gates as you found them.',
    reason: 'Ride only where there is a right of way or the owner allows it; local law says which.',
  },
  train: {
    question: 'A train there or back',
    stage: 'trip',
    message: 'Check that the train takes the bike with its bags.',
    reason:
      'Some need a reservation, close the doors to loaded bikes at busy hours, or want the bags off. The carrier’s rules decide; know the train after yours.',
  },
  bus: {
    question: 'A bus there or back',
    stage: 'trip',
    message: 'Check that the bus takes the bike.',
    reason: 'Many take few bikes or none, often without bags. Ask the carrier and arrive early.',
  },
  plane: {
    question: 'A plane there or back',
    stage: 'kit',
    message: 'Fuel does not fly, and batteries fly with you.',
    reason:
      'Gas canisters and used liquid-fuel bottles are refused. Power banks and spare batteries go in the cabin within the carrier’s limits; tyres, tools and pump in the hold. The carrier’s list decides.',
  },
  'night riding': {
    question: 'Riding in the dark',
    stage: 'kit',
    message: 'Local law says which lights you need.',
    reason:
      'At least a front and a rear light that bags do not cover, reflectors, and enough charge for the planned hours and one late arrival.',
  },
  border: {
    question: 'Crossing a border',
    stage: 'kit',
    message: 'Take the papers for the border.',
    reason:
      'Identity papers, insurance, and the phone’s contract abroad. Food, medicines and plants may be restricted: check with the authorities of both sides.',
  },
};
