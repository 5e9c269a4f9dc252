import type { Provides, System, Thing, Trait } from './thing';

/**
 * Words that suggest a system. A guess is always shown as one, and the rider corrects it; the list only saves
 * typing. Order matters: the first match wins.
 */
const SYSTEM_WORDS: readonly [RegExp, System][] = [
  [/\b(first aid|plaster|bandage|blister|foil blanket|medic\w*|tick)\b/, 'first aid'],
  [/\b(water|bottle|flask|bladder|filter|purif\w*)\b/, 'water'],
  [/\b(quilt|sleeping|mat|pillow|liner|bag liner)\b/, 'sleep'],
  [/\b(tent|tarp|bivvy|hammock|pegs?|poles?|ground ?sheet|guy ?lines?)\b/, 'shelter'],
  [/\b(stove|pot|pan|gas|canister|burner|spoon|mug|lighter|matches|cook\w*|coffee)\b/, 'cook'],
  [/\b(food|dinner|breakfast|oats|bars?|nuts|chocolate|bread|cheese|snacks?|chews|gels?)\b/, 'food'],
  [/\b(tool\w*|multitool|pump|tube|patch|plug|chain|pads|levers?|tape|ties|lock|oil|spare)\b/, 'tools'],
  [/\b(tooth\w*|soap|towel|wash|trowel|sun ?cream|paper|wipes)\b/, 'hygiene'],
  [/\b(light|torch|lamp|phone|power ?bank|charger|cable|battery|camera|beacon|headlamp)\b/, 'electronics'],
  [/\b(map|cards?|cash|ticket|passport|papers?|permit)\b/, 'papers'],
  [/\b(chair|book|paperback|speaker|games?)\b/, 'luxuries'],
  [
    /\b(jacket|shirt|shorts|socks?|gloves|hat|trousers|vest|leggings|shoes|underwear|fleece|cap)\b/,
    'clothes',
  ],
];

const PROVIDES_WORDS: readonly [RegExp, Provides][] = [
  [/\b(quilt|sleeping bag|down jacket|insulated jacket)\b/, 'warmth'],
  [/\b(light|torch|lamp|headlamp)\b(?!.*\b(lock|chair|weight)\b)/, 'light'],
  [/\b(multitool|pump|tube|patch|plugs?)\b/, 'repair'],
];

const TRAIT_WORDS: readonly [RegExp, Trait][] = [
  [/^(?!.*\b(gauge|scale|petrol|paraffin|alcohol|meths|spirit)\b).*\b(gas|fuel|canister)\b/, 'fuel'],
  [/^(?!.*\b(gauge|scale|wipes?|gel)\b).*\b(petrol|paraffin|alcohol|meths|spirit)\b/, 'liquid fuel'],
  [/^(?!.*\b(poles?|pegs?|stakes?|light|lamp)\b).*\b(tent|fly|tarp|bivvy|ground ?sheet|rain)\b/, 'wet'],
  [/\b(pegs?|stakes?|knife|saw|axe|scissors|needles?|spokes?|skewers?)\b/, 'sharp'],
  [/^(?!.*\b(sack|pump|straps?|glue)\b).*\b(inflatable|mat|pillow|tubes?|raft)\b/, 'inflatable'],
  [/\b(shoes|sandals|clogs|boots|slippers|flip-?flops)\b/, 'dirty'],
  [
    /^(?!.*\b(action|strap|battery|batteries|charger)\b).*\b(camera|drone|lens|glasses|binoculars)\b/,
    'fragile',
  ],
  [/\b(hose|hydration|reservoir)\b/, 'hose'],
];

/** @example guessSystem('Down quilt') // 'sleep' */
export const guessSystem = (name: string): System =>
  SYSTEM_WORDS.find(([words]) => words.test(name.toLowerCase()))?.[1] ?? 'luxuries';

/** @example guessProvides('Head torch') // ['light'] */
export const guessProvides = (name: string): Provides[] =>
  PROVIDES_WORDS.filter(([words]) => words.test(name.toLowerCase())).map(([, provides]) => provides);

/** @example guessTraits('Gas canister') // ['fuel'] */
export const guessTraits = (name: string): Trait[] =>
  TRAIT_WORDS.filter(([words]) => words.test(name.toLowerCase())).map(([, trait]) => trait);

/** Traits that plans of versions up to 5 could not have. */
const LATER_TRAITS: readonly Trait[] = ['dirty', 'fragile', 'hose'];

/**
 * The traits of a thing from a plan of a version up to 5: those it has, and of the later ones what its name says. What was
 * marked as fuel and is a liquid by its name is liquid fuel.
 *
 * @example withLaterTraits('Camp shoes', []) // ['dirty']
 */
export function withLaterTraits(name: string, traits: readonly string[]): string[] {
  const guessed = guessTraits(name);
  const known = traits.map((trait) =>
    trait === 'fuel' && guessed.includes('liquid fuel') ? 'liquid fuel' : trait,
  );
  return [...known, ...LATER_TRAITS.filter((trait) => guessed.includes(trait) && !known.includes(trait))];
}

/**
 * Packed density in grams a litre that things of a system usually have, for estimating the one of mass and
 * volume that is missing. From the demo kit's own figures, rounded; good to about a factor of two, which is why
 * whatever comes of it is marked an estimate.
 */
const DENSITY: Record<System, number> = {
  sleep: 180,
  shelter: 400,
  clothes: 350,
  cook: 300,
  food: 500,
  water: 120,
  tools: 900,
  'first aid': 300,
  hygiene: 250,
  electronics: 900,
  papers: 400,
  luxuries: 300,
};
export const densityGPerL = (system: System): number => DENSITY[system];

/** Which way a thing must see or be seen, by its name. @example guessView('Satellite beacon') // 'sky' */
export function guessView(name: string): Thing['view'] {
  if (/satellite|beacon|gps|tracker/i.test(name)) return 'sky';
  if (/(rear|tail).*(light|lamp)/i.test(name)) return 'behind';
  if (/(front|bar|bike).*(light|lamp)/i.test(name)) return 'ahead';
  return 'none';
}
