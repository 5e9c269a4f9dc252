import type { Thing, Trait } from '@/core/kit/thing';

/** What a thing is to what it touches. A bit each in a set of them, in this order. */
export const NATURES = [
  'greasy',
  'soapy',
  'sooty',
  'fuel',
  'liquid fuel',
  'wet',
  'sharp',
  'dirty',
  'clothes',
  'bedding',
  'food',
  'kept dry',
  'inflatable',
] as const;
export type Nature = (typeof NATURES)[number];

/** What has it, in the rider's words. */
export const NATURE_WORDS: Record<Nature, string> = {
  greasy: 'tools',
  soapy: 'wash kit',
  sooty: 'the cook kit',
  fuel: 'gas',
  'liquid fuel': 'fuel',
  wet: 'what gets wet',
  sharp: 'what is sharp',
  dirty: 'what is dirty',
  clothes: 'clothes',
  bedding: 'the sleeping kit',
  food: 'food',
  'kept dry': 'what must stay dry',
  inflatable: 'what holds air',
};

/** What must not share a compartment counts as so many pairs: far more than any other place costs. */
const NEVER = 25;
/** A sealed canister beside food: most riders avoid it, some have no other place. */
const SELDOM = 3;

export interface Apart {
  spoils: Nature;
  suffers: Nature;
  /** What comes of it, in the rider's words. */
  trouble: string;
  /** As how many pairs it counts. */
  times: number;
}

const apart = (spoils: Nature, suffers: Nature, trouble: string, times = 1): Apart => ({
  spoils,
  suffers,
  trouble,
  times,
});

/** What should not share a compartment (domain, rule 7). */
export const APART: readonly Apart[] = [
  apart('greasy', 'clothes', 'grease on clothes'),
  apart('greasy', 'bedding', 'grease on the sleeping kit'),
  apart('greasy', 'food', 'oil on food'),
  apart('soapy', 'food', 'soap on food'),
  apart('sooty', 'bedding', 'soot and fuel on the sleeping kit'),
  apart('sooty', 'clothes', 'soot and fuel on clothes'),
  apart('fuel', 'food', 'gas beside food', SELDOM),
  apart('liquid fuel', 'food', 'fuel in food', NEVER),
  apart('liquid fuel', 'clothes', 'fuel on clothes'),
  apart('liquid fuel', 'bedding', 'fuel on the sleeping kit'),
  apart('wet', 'kept dry', 'what is wet soaks what must stay dry'),
  apart('sharp', 'inflatable', 'a hole in what holds air'),
  apart('dirty', 'clothes', 'dirt on clothes'),
  apart('dirty', 'bedding', 'dirt on the sleeping kit'),
  apart('dirty', 'food', 'dirt on food'),
  apart('food', 'bedding', 'crumbs and the smell of food in the sleeping kit'),
];

/** Whether a pair must not share a compartment, rather than should not. */
export const isForbidden = ({ times }: Apart): boolean => times === NEVER;

const OF_SYSTEM: Partial<Record<Thing['system'], Nature>> = {
  tools: 'greasy',
  hygiene: 'soapy',
  cook: 'sooty',
  clothes: 'clothes',
  sleep: 'bedding',
  food: 'food',
};

const BITS = Object.fromEntries(NATURES.map((nature, k) => [nature, 1 << k])) as Record<Nature, number>;
export const bitOf = (nature: Nature): number => BITS[nature];
const isNature = (trait: Trait): trait is Trait & Nature => trait in BITS;

/**
 * What a thing is to what lies beside it, as a set of bits. In a dry sack of its own it touches nothing; what warms is kept dry
 * even where it is not said to need it, and what is to be kept dry does not get wet. What is dirty itself is not one of the
 * clothes that dirt spoils.
 *
 * @example naturesOf(gasCanister) // bitOf('sooty') | bitOf('fuel')
 */
export function naturesOf(
  thing: Pick<Thing, 'system' | 'traits' | 'dry' | 'provides' | 'inDrySack'>,
): number {
  if (thing.inDrySack) return 0;
  const bySystem = thing.traits.includes('dirty') ? undefined : OF_SYSTEM[thing.system];
  const keptDry = thing.dry === 'must' || thing.provides.includes('warmth');
  let set = bySystem ? bitOf(bySystem) : 0;
  if (keptDry) set |= bitOf('kept dry');
  for (const trait of thing.traits) if (isNature(trait) && (trait !== 'wet' || !keptDry)) set |= bitOf(trait);
  return set;
}

/** Those not in a dry sack, nor in what is in one. */
export function touching(things: readonly Thing[], holders: ReadonlyMap<string, string>): readonly Thing[] {
  if (!things.some(({ inDrySack }) => inDrySack)) return things;
  const sacked = new Set(things.filter(({ inDrySack }) => inDrySack).map(({ id }) => id));
  return things.filter(({ id }) => !sacked.has(id) && !sacked.has(holders.get(id) ?? ''));
}

/** The natures of those of things that touch others, as a set of bits. */
export const setOf = (things: readonly Thing[], holders: ReadonlyMap<string, string>): number =>
  touching(things, holders).reduce((set, thing) => set | naturesOf(thing), 0);

/**
 * The natures of things that go together, as a set of bits. What they would spoil of each other is their rider's wish, and
 * counts nowhere: else the loader would leave them behind for it.
 *
 * @example naturesTogether([gasCanister, bread], holders) // 'sooty' alone: fuel and food go together anyway
 */
export function naturesTogether(things: readonly Thing[], holders: ReadonlyMap<string, string>): number {
  const all = setOf(things, holders);
  return APART.reduce((set, { spoils, suffers }) => {
    const both = bitOf(spoils) | bitOf(suffers);
    return (all & both) === both ? set & ~both : set;
  }, all);
}

/**
 * By each set of natures, how many pairs in it should be apart, what is forbidden many times over: a table, since the search
 * asks for two of them at each move.
 */
export const TROUBLES: Uint8Array = Uint8Array.from({ length: 1 << NATURES.length }, (_, set) =>
  APART.reduce(
    (sum, { spoils, suffers, times }) => (set & bitOf(spoils) && set & bitOf(suffers) ? sum + times : sum),
    0,
  ),
);

/** Pairs of which one is in one set of natures and the other in the other. */
export const troublesBetween = (one: number, other: number): readonly Apart[] =>
  APART.filter(({ spoils, suffers }) => {
    const [a, b] = [bitOf(spoils), bitOf(suffers)];
    return (one & a && other & b) || (one & b && other & a);
  });
