import type { Bag, Compartment, Place } from '@/core/bag/bag';
import { BAG_LIBRARY, fromLibrary } from '@/core/bag/library';
import { newBike, DEFAULT_GEOMETRY } from '@/core/bike/bike';
import { DEMO_BAGS } from '@/core/demo/bags';
import { box, crushable, cylinder, flat, long, soft, thing, type More } from '@/core/demo/handWritten';
import { demoPlan } from '@/core/demo/plan';
import { guessTraits } from '@/core/kit/guess';
import type { Call, System, Thing } from '@/core/kit/thing';
import { emptyPlan, type Plan } from '@/core/plan/plan';

/** A place where a thing may be: of a bag, or on the outside of one. */
export type Accepted = Place | 'outside';

/** A plan, with the places that riders use for each of its things, the most usual first (domain, "Where riders keep things"). */
export interface RiderKit {
  name: string;
  plan: Plan;
  accepted: ReadonlyMap<string, readonly Accepted[]>;
}

const BED: Accepted[] = ['seat pack', 'bar roll', 'fork bag', 'pannier', 'rear rack'];
const TENT: Accepted[] = ['bar roll', 'seat pack', 'pannier', 'rear rack'];
const PEGS: Accepted[] = [...TENT, 'frame bag'];
const CAMP_CLOTHES: Accepted[] = ['seat pack', 'pannier', 'bar roll', 'fork bag', 'rear rack'];
const LAYERS: Accepted[] = ['bar bag', 'seat pack', 'frame bag', 'outside', 'body', 'pannier', 'rear rack'];
const RAIN: Accepted[] = ['bar bag', 'seat pack', 'outside', 'body', 'strap outside', 'pannier', 'rear rack'];
const SHOES: Accepted[] = ['seat pack', 'outside', 'strap outside', 'pannier', 'rear rack'];
const COOK: Accepted[] = ['seat pack', 'fork bag', 'bar roll', 'frame bag', 'pannier', 'rear rack'];
const MEALS: Accepted[] = ['frame bag', 'bar roll', 'pannier', 'rear rack'];
const SNACKS: Accepted[] = ['stem bag', 'bar bag', 'top tube bag', 'frame bag'];
const LUNCH: Accepted[] = [...SNACKS, 'pannier', 'rear rack'];
const BOTTLE: Accepted[] = ['bottle cage', 'stem bag'];
const BLADDER: Accepted[] = ['body', 'frame bag'];
const FILTER: Accepted[] = ['bar bag', 'frame bag'];
const TOOL: Accepted[] = ['frame bag', 'tool pouch', 'top tube bag', 'down tube'];
const SPARE: Accepted[] = ['frame bag', 'down tube'];
const POWER: Accepted[] = ['frame bag', 'top tube bag'];
const AT_HAND: Accepted[] = ['top tube bag', 'stem bag'];
const CAMERA: Accepted[] = ['top tube bag', 'bar bag'];
const DRONE: Accepted[] = ['body', 'rear rack', 'frame bag'];
const FIRST_AID: Accepted[] = ['bar bag', 'frame bag'];
const WASH: Accepted[] = ['bar bag', 'seat pack', 'frame bag', 'pannier', 'rear rack'];
const LOCK: Accepted[] = ['frame bag', 'top tube bag'];
const PAPERS: Accepted[] = ['body', 'top tube bag', 'bar bag'];
const CHAIR: Accepted[] = ['outside', 'strap outside', 'fork bag', 'pannier', 'rear rack'];
const EVENING: Accepted[] = ['seat pack', 'bar roll', 'frame bag', 'fork bag', 'pannier', 'rear rack'];

type Kind = readonly [Thing, readonly Accepted[]];
const kind = (
  accepted: readonly Accepted[],
  system: System,
  name: string,
  massG: number,
  shape: Parameters<typeof thing>[3],
  call: Call,
  more: More = {},
): Kind => [thing(system, name, massG, shape, call, { traits: guessTraits(name), ...more }), accepted];

/** Things by the name they are packed under: figures as such things have, places as riders use them. */
const KINDS: readonly Kind[] = [
  kind(BED, 'sleep', 'Down sleeping bag', 860, soft(5200, 9800), 'camp', {
    dry: 'must',
    need: 'must',
    provides: ['warmth'],
  }),
  kind(BED, 'sleep', 'Summer quilt', 520, soft(2900, 5600), 'camp', {
    dry: 'must',
    need: 'must',
    provides: ['warmth'],
  }),
  kind(BED, 'sleep', 'Synthetic sleeping bag', 1180, soft(7600, 11800), 'camp', {
    dry: 'must',
    need: 'must',
    provides: ['warmth'],
  }),
  kind(BED, 'sleep', 'Air mat', 470, cylinder(240, 105), 'camp', {
    dry: 'rather',
    need: 'must',
    traits: ['inflatable'],
  }),
  kind(BED, 'sleep', 'Short air mat', 330, cylinder(200, 85), 'camp', {
    dry: 'rather',
    need: 'must',
    traits: ['inflatable'],
  }),
  kind(BED, 'sleep', 'Pillow', 72, soft(210, 340), 'camp', { dry: 'rather', need: 'nice' }),
  kind(BED, 'sleep', 'Silk liner', 128, soft(330, 520), 'camp', { dry: 'must' }),
  kind(TENT, 'shelter', 'Tent, inner and fly', 1250, soft(3700, 5200), 'camp', { need: 'must' }),
  kind(TENT, 'shelter', 'One-person tent', 880, soft(2500, 3600), 'camp', { need: 'must' }),
  kind(TENT, 'shelter', 'Two-person tent', 1750, soft(5400, 7400), 'camp', { need: 'must' }),
  kind(TENT, 'shelter', 'Tarp', 450, soft(1200, 1800), 'camp', { need: 'must' }),
  kind(TENT, 'shelter', 'Bivvy bag', 520, soft(1500, 2300), 'camp', { need: 'must' }),
  kind(TENT, 'shelter', 'Tent poles', 410, long(400, 48), 'camp', { need: 'must' }),
  kind(PEGS, 'shelter', 'Tent pegs', 14, long(165, 12), 'camp', { quantity: 8, need: 'must' }),
  kind(TENT, 'shelter', 'Footprint', 170, soft(430, 610), 'camp', { traits: ['wet'] }),
  kind(CAMP_CLOTHES, 'clothes', 'Down jacket', 345, soft(1700, 3200), 'camp', {
    dry: 'must',
    need: 'must',
    provides: ['warmth'],
  }),
  kind(CAMP_CLOTHES, 'clothes', 'Fleece', 310, soft(1500, 2200), 'camp', { dry: 'rather' }),
  kind(CAMP_CLOTHES, 'clothes', 'Camp trousers', 260, soft(750, 1100), 'camp', { dry: 'rather' }),
  kind(CAMP_CLOTHES, 'clothes', 'Camp shirt', 180, soft(460, 700), 'camp', { dry: 'rather' }),
  kind(CAMP_CLOTHES, 'clothes', 'Thermal top', 190, soft(480, 720), 'camp', { dry: 'must' }),
  kind(CAMP_CLOTHES, 'clothes', 'Thermal leggings', 175, soft(440, 650), 'camp', { dry: 'must' }),
  kind(CAMP_CLOTHES, 'clothes', 'Sleep socks', 64, soft(150, 230), 'camp', { dry: 'must' }),
  kind(CAMP_CLOTHES, 'clothes', 'Spare riding shorts', 215, soft(480, 690), 'camp', { dry: 'rather' }),
  kind(CAMP_CLOTHES, 'clothes', 'Spare riding shirt', 165, soft(360, 520), 'camp', { dry: 'rather' }),
  kind(CAMP_CLOTHES, 'clothes', 'Spare socks', 40, soft(85, 125), 'camp', { dry: 'rather', quantity: 2 }),
  kind(CAMP_CLOTHES, 'clothes', 'Spare underwear', 55, soft(110, 160), 'camp', {
    dry: 'rather',
    quantity: 2,
  }),
  kind(LAYERS, 'clothes', 'Arm and leg warmers', 180, soft(320, 450), 'stop', { dry: 'rather' }),
  kind(LAYERS, 'clothes', 'Warm hat', 50, soft(160, 260), 'stop', { dry: 'rather' }),
  kind(LAYERS, 'clothes', 'Warm gloves', 78, soft(190, 280), 'stop', { dry: 'rather' }),
  kind(RAIN, 'clothes', 'Wind jacket', 110, soft(210, 360), 'stop'),
  kind(RAIN, 'clothes', 'Rain jacket', 270, soft(600, 950), 'urgent', { need: 'must' }),
  kind(RAIN, 'clothes', 'Rain trousers', 215, soft(460, 700), 'urgent'),
  kind(RAIN, 'clothes', 'Overshoes', 140, soft(300, 420), 'urgent', { need: 'nice' }),
  kind(SHOES, 'clothes', 'Camp shoes', 260, soft(1300, 1600), 'camp', { need: 'nice' }),
  kind(SHOES, 'clothes', 'Sandals', 420, soft(1900, 2200), 'camp', { need: 'nice' }),
  kind(COOK, 'cook', 'Pot', 165, cylinder(120, 112), 'camp', {
    hollow: { kind: 'cylinder', lengthMm: 116, diameterMm: 107 },
  }),
  kind(COOK, 'cook', 'Large pot', 230, cylinder(135, 145), 'camp'),
  kind(COOK, 'cook', 'Burner', 98, box(70, 42, 30), 'camp'),
  kind(COOK, 'cook', 'Gas canister', 205, cylinder(72, 91), 'camp'),
  kind(COOK, 'cook', 'Large gas canister', 375, cylinder(95, 109), 'camp'),
  kind(COOK, 'cook', 'Mug', 80, cylinder(85, 80), 'camp', { need: 'nice' }),
  kind(COOK, 'cook', 'Spoon', 17, long(215, 22), 'camp'),
  kind(COOK, 'cook', 'Windscreen', 95, flat(130, 110, 12), 'camp', { need: 'nice' }),
  kind(COOK, 'cook', 'Lighter', 22, box(85, 25, 16), 'camp', { dry: 'must', inDrySack: true }),
  kind(COOK, 'cook', 'Coffee maker', 105, cylinder(95, 70), 'camp', { need: 'nice' }),
  kind(MEALS, 'food', 'Dried dinners', 150, soft(420, 560), 'camp', { quantity: 2, need: 'must' }),
  kind(MEALS, 'food', 'Pasta and sauce', 330, soft(620, 760), 'camp', { need: 'must' }),
  kind(MEALS, 'food', 'Breakfast oats', 125, soft(240, 320), 'camp', { quantity: 2 }),
  kind(MEALS, 'food', 'Spare meal', 140, soft(400, 520), 'camp'),
  kind(MEALS, 'food', 'Coffee, tea and sugar', 95, soft(190, 240), 'camp', { need: 'nice' }),
  kind(LUNCH, 'food', 'Bread', 400, crushable(180, 120, 75), 'stop'),
  kind(LUNCH, 'food', 'Cheese', 220, box(110, 65, 34), 'stop'),
  kind(LUNCH, 'food', 'Sausage', 180, cylinder(170, 42), 'stop'),
  kind(SNACKS, 'food', 'Bars', 50, box(120, 38, 18), 'riding', { quantity: 5 }),
  kind(SNACKS, 'food', 'Gels', 42, soft(38, 48), 'riding', { quantity: 4 }),
  kind(SNACKS, 'food', 'Nuts', 300, soft(450, 560), 'riding'),
  kind(SNACKS, 'food', 'Sweets', 150, soft(180, 230), 'riding'),
  kind(BOTTLE, 'water', 'Frame bottle', 92, cylinder(190, 73), 'riding', { waterMl: 750, need: 'must' }),
  kind(BOTTLE, 'water', 'Second bottle', 90, cylinder(195, 73), 'riding', { waterMl: 650, need: 'must' }),
  kind(BLADDER, 'water', 'Water bladder with hose', 160, flat(330, 170, 40), 'riding', {
    waterMl: 1500,
    need: 'must',
    volumeMl: 1750,
  }),
  kind(FILTER, 'water', 'Filter', 90, cylinder(150, 55), 'stop', { need: 'must' }),
  kind(FILTER, 'water', 'Empty soft flask', 38, soft(90, 140), 'stop'),
  kind(TOOL, 'tools', 'Multitool', 180, box(90, 45, 30), 'repair', { need: 'must', provides: ['repair'] }),
  kind(TOOL, 'tools', 'Plugs', 40, box(85, 40, 20), 'repair', { need: 'must', provides: ['repair'] }),
  kind(TOOL, 'tools', 'Patches', 35, box(70, 45, 15), 'repair', { need: 'must', provides: ['repair'] }),
  kind(TOOL, 'tools', 'Tyre levers', 14, flat(115, 22, 8), 'repair', { quantity: 2, need: 'must' }),
  kind(TOOL, 'tools', 'Chain links', 20, box(45, 35, 14), 'repair'),
  kind(SPARE, 'tools', 'Spare tube', 205, box(120, 75, 48), 'repair', { need: 'must', provides: ['repair'] }),
  kind(SPARE, 'tools', 'Second spare tube', 205, box(120, 75, 48), 'repair'),
  kind(SPARE, 'tools', 'Mini pump', 145, long(215, 32), 'repair', { need: 'must', provides: ['repair'] }),
  kind(SPARE, 'tools', 'Chain lube and rag', 70, cylinder(95, 42), 'repair'),
  kind(SPARE, 'tools', 'Cable ties and tape', 55, soft(110, 140), 'repair'),
  kind(SPARE, 'tools', 'Spare straps', 90, soft(150, 200), 'repair'),
  kind(SPARE, 'tools', 'Brake pads and hanger', 60, box(70, 45, 22), 'repair'),
  kind(LOCK, 'tools', 'Light lock', 135, cylinder(80, 72), 'stop', { need: 'nice' }),
  kind(FIRST_AID, 'first aid', 'First aid kit', 200, box(150, 100, 50), 'urgent', {
    need: 'must',
    dry: 'must',
    inDrySack: true,
  }),
  kind(FIRST_AID, 'first aid', 'Foil blanket', 62, flat(130, 85, 20), 'urgent'),
  kind(WASH, 'hygiene', 'Wash kit', 170, box(160, 90, 55), 'camp'),
  kind(WASH, 'hygiene', 'Towel', 70, soft(190, 300), 'camp', { need: 'nice' }),
  kind(FIRST_AID, 'hygiene', 'Trowel and toilet paper', 85, flat(185, 65, 35), 'stop', {
    need: 'must',
    dry: 'rather',
  }),
  kind(FIRST_AID, 'hygiene', 'Sun cream', 75, cylinder(110, 36), 'stop'),
  kind(FIRST_AID, 'hygiene', 'Insect net', 45, soft(90, 140), 'stop', { need: 'nice' }),
  kind(AT_HAND, 'electronics', 'Head torch', 84, box(65, 50, 42), 'urgent', {
    need: 'must',
    dry: 'rather',
    provides: ['light'],
  }),
  kind(AT_HAND, 'electronics', 'Phone', 195, flat(152, 74, 10), 'riding', { need: 'must', dry: 'rather' }),
  kind(AT_HAND, 'electronics', 'Action camera', 150, box(72, 52, 36), 'riding', { dry: 'rather' }),
  kind(AT_HAND, 'electronics', 'Spare batteries', 60, box(60, 40, 20), 'stop', { dry: 'rather' }),
  kind(POWER, 'electronics', 'Power bank', 345, flat(150, 72, 24), 'stop', {
    dry: 'must',
    need: 'must',
    inDrySack: true,
  }),
  kind(POWER, 'electronics', 'Cables and plug', 98, box(90, 60, 38), 'camp', {
    dry: 'must',
    inDrySack: true,
  }),
  kind(CAMERA, 'electronics', 'Compact camera', 290, box(110, 65, 45), 'stop', {
    dry: 'must',
    inDrySack: true,
    need: 'nice',
  }),
  kind(DRONE, 'electronics', 'Drone', 620, box(160, 95, 75), 'stop', {
    dry: 'must',
    inDrySack: true,
    need: 'nice',
  }),
  kind(PAPERS, 'papers', 'Wallet', 90, flat(105, 75, 18), 'stop', {
    need: 'must',
    dry: 'must',
    inDrySack: true,
  }),
  kind(PAPERS, 'papers', 'Paper map', 72, flat(230, 125, 10), 'stop', { dry: 'must', inDrySack: true }),
  kind(CHAIR, 'luxuries', 'Folding chair', 890, long(400, 125), 'camp', { need: 'nice' }),
  kind(CHAIR, 'luxuries', 'Tripod', 640, long(380, 85), 'stop', { need: 'nice' }),
  kind(EVENING, 'luxuries', 'Paperback', 180, box(178, 110, 22), 'camp', { need: 'nice', dry: 'must' }),
];
const KIND_OF = new Map(KINDS.map((own) => [own[0].name, own]));

const REPAIR = [
  'Multitool',
  'Plugs',
  'Patches',
  'Tyre levers',
  'Chain links',
  'Spare tube',
  'Mini pump',
  'Chain lube and rag',
  'Cable ties and tape',
];
/** What every rider has; the bottle is one's own. */
const EVERYDAY = [
  'Rain jacket',
  'First aid kit',
  'Head torch',
  'Phone',
  'Power bank',
  'Cables and plug',
  'Wallet',
  'Frame bottle',
];
const NIGHT = ['Thermal top', 'Thermal leggings', 'Sleep socks', 'Down jacket', 'Spare underwear'];
const STOVE = ['Pot', 'Burner', 'Gas canister', 'Spoon', 'Lighter'];

/** A full frame bag with a shallow side, which the library of single bags leaves to the triangle of one's own bike. */
const fullFrameBag = (litres: number): Bag => {
  const half = DEMO_BAGS.find(({ id }) => id === 'frame')!;
  const corners = [
    { x: 0, z: 0 },
    { x: 95, z: -330 },
    { x: 440, z: 20 },
    { x: 458, z: 140 },
  ];
  const [main, side] = half.compartments;
  return {
    ...half,
    name: 'Full frame bag',
    massG: 340,
    limitG: 7000,
    compartments: [
      { ...main!, solid: { kind: 'polygon', corners, widthMm: 62 }, statedMl: 850 * litres },
      { ...side!, solid: { kind: 'polygon', corners, widthMm: 14 }, statedMl: 150 * litres },
    ],
  };
};

const bagsOf = (keys: readonly string[], more: readonly Bag[] = []): Bag[] => {
  let n = 0;
  return keys.reduce<Bag[]>(
    (bags, key) => {
      const entry = BAG_LIBRARY.find((candidate) => candidate.key === key);
      if (!entry) throw new Error(`The library has no bag "${key}".`);
      return [...bags, fromLibrary(entry, bags, () => `bag-${(n += 1)}`)];
    },
    [...more],
  );
};

function kitOf(
  name: string,
  bags: readonly Bag[],
  names: readonly string[],
  trip: Partial<Plan['trip']> = {},
): RiderKit {
  const own = names.map((one) => {
    const found = KIND_OF.get(one);
    if (!found) throw new Error(`There is no kind "${one}".`);
    return found;
  });
  const plan = emptyPlan(name);
  return {
    name,
    plan: {
      ...plan,
      trip: { ...plan.trip, nights: 2, rain: 'likely', ...trip },
      bike: { ...newBike('bike', 'Bike'), geometry: DEFAULT_GEOMETRY },
      bags: [...bags],
      things: own.map(([one]) => one),
    },
    // Where the rider has no bag at any of its places, a thing goes wherever there is room.
    accepted: new Map(
      own.flatMap(([one, places]) =>
        bags.some((bag) => bag.compartments.some((inner) => isAccepted(places, bag, inner)))
          ? [[one.id, places] as const]
          : [],
      ),
    ),
  };
}

/** Nine made-up riders with bags and kits of their own, from one light night to a cold weekend on racks. */
export const RIDER_KITS: readonly RiderKit[] = [
  kitOf(
    'One summer night, few bags',
    bagsOf(['seat-l', 'tube-m', 'half-m', 'cage-l', 'stem-m']),
    [
      ...EVERYDAY,
      ...REPAIR,
      'Summer quilt',
      'Short air mat',
      'Bivvy bag',
      'Sleep socks',
      'Down jacket',
      'Second bottle',
      'Bars',
      'Nuts',
      'Wind jacket',
      'Wash kit',
      'Trowel and toilet paper',
      'Spare underwear',
    ],
    { nights: 1, rain: 'unlikely' },
  ),
  kitOf('Hardtail, half frame bag, fork bags', DEMO_BAGS, [
    ...EVERYDAY,
    ...REPAIR,
    ...NIGHT,
    ...STOVE,
    'Down sleeping bag',
    'Air mat',
    'Pillow',
    'Tent, inner and fly',
    'Tent poles',
    'Tent pegs',
    'Footprint',
    'Rain trousers',
    'Warm hat',
    'Warm gloves',
    'Spare riding shorts',
    'Camp shoes',
    'Mug',
    'Dried dinners',
    'Breakfast oats',
    'Bread',
    'Cheese',
    'Bars',
    'Gels',
    'Nuts',
    'Second bottle',
    'Filter',
    'Empty soft flask',
    'Wash kit',
    'Towel',
    'Trowel and toilet paper',
    'Sun cream',
    'Paper map',
    'Light lock',
  ]),
  kitOf(
    'Full frame bag, bottles elsewhere',
    bagsOf(['roll-m', 'pouch-m', 'stem-m', 'stem-m', 'tube-l', 'seat-l', 'under-m'], [fullFrameBag(5.5)]),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      ...STOVE,
      'Down sleeping bag',
      'Air mat',
      'One-person tent',
      'Tent poles',
      'Tent pegs',
      'Rain trousers',
      'Wind jacket',
      'Arm and leg warmers',
      'Camp trousers',
      'Dried dinners',
      'Spare meal',
      'Sausage',
      'Bread',
      'Bars',
      'Gels',
      'Sweets',
      'Filter',
      'Wash kit',
      'Trowel and toilet paper',
      'Sun cream',
      'Second spare tube',
      'Spare straps',
      'Compact camera',
      'Insect net',
    ],
  ),
  kitOf(
    'Rack and panniers',
    bagsOf(['pannier-m', 'pannier-m', 'rack-top', 'pouch-m', 'tube-m', 'cage-l', 'cage-l', 'pouch-tool']),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      ...STOVE,
      'Synthetic sleeping bag',
      'Air mat',
      'Pillow',
      'Two-person tent',
      'Tent poles',
      'Tent pegs',
      'Footprint',
      'Fleece',
      'Camp trousers',
      'Camp shirt',
      'Spare riding shirt',
      'Spare socks',
      'Rain trousers',
      'Overshoes',
      'Warm hat',
      'Sandals',
      'Large pot',
      'Mug',
      'Coffee maker',
      'Windscreen',
      'Pasta and sauce',
      'Breakfast oats',
      'Coffee, tea and sugar',
      'Bread',
      'Cheese',
      'Sausage',
      'Bars',
      'Nuts',
      'Second bottle',
      'Filter',
      'Wash kit',
      'Towel',
      'Trowel and toilet paper',
      'Sun cream',
      'Light lock',
      'Paperback',
      'Folding chair',
      'Paper map',
    ],
    { nights: 3 },
  ),
  kitOf(
    'Water on the back',
    bagsOf(['roll-m', 'seat-m', 'tube-m', 'stem-m', 'vest', 'half-l']),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      'Down sleeping bag',
      'Short air mat',
      'Tarp',
      'Tent pegs',
      'Water bladder with hose',
      'Bars',
      'Gels',
      'Nuts',
      'Cheese',
      'Bread',
      'Warm gloves',
      'Wind jacket',
      'Wash kit',
      'Trowel and toilet paper',
      'Sun cream',
      'Action camera',
      'Spare batteries',
      'Filter',
    ],
    { rain: 'unlikely' },
  ),
  kitOf(
    'Full suspension, braced seat pack',
    bagsOf([
      'seat-brace',
      'roll-s',
      'pouch-s',
      'half-s',
      'fork-s',
      'fork-s',
      'hip',
      'stem-l',
      'tube-s',
      'cage',
      'pouch-tool',
    ]),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      ...STOVE,
      'Summer quilt',
      'Short air mat',
      'One-person tent',
      'Tent poles',
      'Tent pegs',
      'Warm hat',
      'Spare riding shorts',
      'Dried dinners',
      'Breakfast oats',
      'Bars',
      'Gels',
      'Sweets',
      'Second bottle',
      'Filter',
      'Wash kit',
      'Trowel and toilet paper',
      'Brake pads and hanger',
      'Action camera',
    ],
  ),
  kitOf(
    'A cold weekend with a camera',
    bagsOf([
      'roll-l',
      'pouch-m',
      'stem-m',
      'stem-l',
      'tube-m',
      'half-l',
      'fork-l',
      'fork-l',
      'seat-l',
      'cage-l',
    ]),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      ...STOVE,
      'Synthetic sleeping bag',
      'Air mat',
      'Pillow',
      'Silk liner',
      'Tent, inner and fly',
      'Tent poles',
      'Tent pegs',
      'Footprint',
      'Fleece',
      'Warm hat',
      'Warm gloves',
      'Arm and leg warmers',
      'Rain trousers',
      'Overshoes',
      'Camp shoes',
      'Mug',
      'Windscreen',
      'Dried dinners',
      'Spare meal',
      'Breakfast oats',
      'Bread',
      'Sausage',
      'Nuts',
      'Bars',
      'Second bottle',
      'Filter',
      'Empty soft flask',
      'Wash kit',
      'Trowel and toilet paper',
      'Compact camera',
      'Tripod',
      'Spare batteries',
      'Foil blanket',
      'Second spare tube',
    ],
    { nightMinimumC: -2 },
  ),
  kitOf(
    'Rack bag, drone and soft bags in front',
    bagsOf([
      'rack-top',
      'roll-s',
      'bar-box',
      'half-m',
      'cage-l',
      'stem-s',
      'tube-l',
      'under-s',
      'fork-m',
      'fork-m',
    ]),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      ...STOVE,
      'Down sleeping bag',
      'Air mat',
      'Tarp',
      'Tent poles',
      'Tent pegs',
      'Rain trousers',
      'Camp shirt',
      'Sandals',
      'Dried dinners',
      'Coffee, tea and sugar',
      'Coffee maker',
      'Cheese',
      'Bread',
      'Bars',
      'Sweets',
      'Filter',
      'Wash kit',
      'Towel',
      'Sun cream',
      'Trowel and toilet paper',
      'Drone',
      'Compact camera',
      'Light lock',
      'Spare straps',
    ],
  ),
  kitOf(
    'Drop bar, no stove',
    bagsOf(['roll-drop', 'seat-l', 'half-m', 'tube-m', 'stem-m', 'cage-l', 'under-s', 'pouch-s']),
    [
      ...EVERYDAY,
      ...REPAIR,
      ...NIGHT,
      'Summer quilt',
      'Short air mat',
      'Tarp',
      'Tent pegs',
      'Wind jacket',
      'Arm and leg warmers',
      'Spare riding shorts',
      'Spare riding shirt',
      'Bread',
      'Cheese',
      'Nuts',
      'Bars',
      'Gels',
      'Second bottle',
      'Wash kit',
      'Trowel and toilet paper',
      'Sun cream',
      'Paper map',
    ],
  ),
];

/** Whether one of the places where riders keep a thing is that of a compartment. */
export function isAccepted(places: readonly Accepted[], bag: Bag, { outside }: Compartment): boolean {
  return places.includes(outside === 'no' ? bag.place : 'outside');
}

/** The demo's things by where riders keep them. */
const DEMO_PLACES: readonly (readonly [readonly Accepted[], readonly string[]])[] = [
  [BED, ['down-quilt', 'quilt-pad-straps', 'inflatable-mat', 'inflation-sack', 'pillow', 'silk-liner']],
  [TENT, ['tent-inner-and-fly', 'tent-poles', 'ground-sheet', 'guy-lines']],
  [PEGS, ['tent-pegs']],
  [
    CAMP_CLOTHES,
    [
      'insulated-jacket',
      'sleep-shirt',
      'sleep-leggings',
      'sleep-socks',
      'spare-riding-socks',
      'spare-underwear',
    ],
  ],
  [RAIN, ['rain-jacket', 'rain-trousers', 'wind-vest']],
  [LAYERS, ['warm-hat', 'long-fingered-gloves']],
  [SHOES, ['camp-shoes']],
  [COOK, ['pot-0-9-l', 'mug', 'spoon', 'lighter-and-matches', 'coffee-kit']],
  [MEALS, ['dinners-dried', 'breakfast-oats']],
  [LUNCH, ['flatbread', 'hard-cheese', 'chocolate', 'electrolyte-tablets']],
  [SNACKS, ['nuts-and-dried-fruit', 'oat-bars', 'chews']],
  [BOTTLE, ['bottle-frame', 'bottle-stem']],
  [[...FILTER, 'fork bag'], ['soft-flask-for-the-dry-stretch']],
  [FILTER, ['squeeze-filter']],
  [TOOL, ['multitool', 'plug-and-patch-kit', 'tyre-levers', 'chain-links-and-derailleur-hanger']],
  [SPARE, ['mini-pump', 'spare-tube', 'chain-oil', 'brake-pads', 'tape-ties-and-wire']],
  [LOCK, ['light-lock']],
  [FIRST_AID, ['first-aid-pouch', 'foil-blanket', 'trowel-and-paper', 'sun-cream']],
  [WASH, ['wash-bag', 'small-towel']],
  [AT_HAND, ['head-torch', 'phone', 'front-light', 'rear-light']],
  [POWER, ['power-bank', 'cables-and-plug']],
  [PAPERS, ['cards-cash-and-train-ticket', 'paper-map']],
  [CHAIR, ['folding-chair']],
  [EVENING, ['paperback']],
];

/** The demo beside the made-up riders. */
export const DEMO_KIT: RiderKit = {
  name: 'The demo',
  plan: demoPlan(),
  accepted: new Map(DEMO_PLACES.flatMap(([places, ids]) => ids.map((id) => [id, places] as const))),
};
