import type { Thing } from '@/core/kit/thing';

/**
 * What a thing is to what it touches: the first six spoil others, the rest suffer. A bit each in a set of them, in this
 * order.
 */
export const NATURES = [
  'greasy',
  'soapy',
  'sooty',
  'fuel',
  'wet',
  'sharp',
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
  fuel: 'fuel',
  wet: 'what gets wet',
  sharp: 'what is sharp',
  clothes: 'clothes',
  bedding: 'the sleeping kit',
  food: 'food',
  'kept dry': 'what must stay dry',
  inflatable: 'what holds air',
};

/** Points count each pair once, what is forbidden as so many: far more than any other place costs. */
export const FORBIDDEN_TIMES = 25;

export interface Apart {
  spoils: Nature;
  suffers: Nature;
  /** What comes of it, in the rider's words. */
  trouble: string;
  forbidden: boolean;
}

/** What should not share a compartment (domain, rule 7); fuel and food must not. */
export const APART: readonly Apart[] = [
  { spoils: 'greasy', suffers: 'clothes', trouble: 'grease on clothes', forbidden: false },
  { spoils: 'greasy', suffers: 'bedding', trouble: 'grease on the sleeping kit', forbidden: false },
  { spoils: 'greasy', suffers: 'food', trouble: 'oil on food', forbidden: false },
  { spoils: 'soapy', suffers: 'food', trouble: 'soap on food', forbidden: false },
  { spoils: 'sooty', suffers: 'bedding', trouble: 'soot and fuel on the sleeping kit', forbidden: false },
  { spoils: 'sooty', suffers: 'clothes', trouble: 'soot and fuel on clothes', forbidden: false },
  { spoils: 'fuel', suffers: 'food', trouble: 'fuel in food', forbidden: true },
  { spoils: 'wet', suffers: 'kept dry', trouble: 'what is wet soaks what must stay dry', forbidden: false },
  { spoils: 'sharp', suffers: 'inflatable', trouble: 'a hole in what holds air', forbidden: false },
];

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

/**
 * What a thing is to what lies beside it, as a set of bits. In a dry sack of its own it touches nothing; what warms is kept dry
 * even where it is not said to need it, and what is to be kept dry does not get wet.
 *
 * @example naturesOf(gasCanister) // bitOf('sooty') | bitOf('fuel')
 */
export function naturesOf(
  thing: Pick<Thing, 'system' | 'traits' | 'dry' | 'provides' | 'inDrySack'>,
): number {
  if (thing.inDrySack) return 0;
  const bySystem = OF_SYSTEM[thing.system];
  const keptDry = thing.dry === 'must' || thing.provides.includes('warmth');
  let set = bySystem ? bitOf(bySystem) : 0;
  if (keptDry) set |= bitOf('kept dry');
  for (const trait of thing.traits) if (trait !== 'wet' || !keptDry) set |= bitOf(trait);
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
    (sum, { spoils, suffers, forbidden }) =>
      set & bitOf(spoils) && set & bitOf(suffers) ? sum + (forbidden ? FORBIDDEN_TIMES : 1) : sum,
    0,
  ),
);

/** Pairs of which one is in one set of natures and the other in the other. */
export const troublesBetween = (one: number, other: number): readonly Apart[] =>
  APART.filter(({ spoils, suffers }) => {
    const [a, b] = [bitOf(spoils), bitOf(suffers)];
    return (one & a && other & b) || (one & b && other & a);
  });
