import { z } from 'zod';
import { TEST_CHECKS, type TestCheck } from '@/core/instructions/testRide';
import { idSchema, massG } from '@/core/units/measures';
import { isOneLine } from '@/core/units/text';

const common = {
  /** Made where it was recorded, so that a batch sent twice counts once. */
  id: idSchema,
  at: z.iso.datetime('A moment like 2027-04-16T06:30:00Z.').describe('By the clock of the phone'),
};

/** What is logged on the way. */
export const LOGGED = [
  'drank',
  'ate',
  'filled',
  'bought',
  'charged',
  'gas left',
  'arrived',
  'trouble',
  'repair',
  'weather',
  'slept',
  'note',
] as const;
export type LoggedWhat = (typeof LOGGED)[number];
export const TROUBLES = ['sways', 'tyre', 'rubs', 'rattles', 'leaks', 'zip', 'strap', 'bounced out'] as const;
export type Trouble = (typeof TROUBLES)[number];
/** How a thing did on a trip. */
export const ANSWERS = ['used', 'unused', 'worn out', 'in the wrong place'] as const;
export type Answer = (typeof ANSWERS)[number];

const oneLine = (most: number) =>
  z.string().max(most, `At most ${most} letters.`).refine(isOneLine, 'One line of plain text.');

/**
 * A fact recorded while packing or on the way. Entries are never changed, and not removed by undo; a later one corrects an earlier one.
 */
export const entrySchema = z.discriminatedUnion('kind', [
  z.object({
    ...common,
    kind: z.literal('packed'),
    thingId: idSchema,
    /** Whether it is in its bag now: ticked off, or taken out again. */
    packed: z.boolean(),
  }),
  z.object({
    ...common,
    kind: z.literal('weighed'),
    bagId: idSchema,
    massG: massG.describe('The packed bag, itself included'),
  }),
  z.object({
    ...common,
    kind: z.literal('done'),
    taskId: z
      .string()
      .min(1)
      .max(200)
      .refine(isOneLine, 'A task is one line.')
      .describe('Of the last-minute list'),
    done: z.boolean(),
  }),
  z.object({
    ...common,
    kind: z.literal('tested'),
    check: z.enum(TEST_CHECKS),
    bikeId: idSchema,
    bagId: z.union([idSchema, z.null()]).describe('The bag it is about; null for the bike as a whole'),
    isGood: z.boolean(),
  }),
  z.object({
    ...common,
    kind: z.literal('logged'),
    what: z.enum(LOGGED),
    day: z.int('A whole day, 1 for the first.').min(1, 'The first day is 1.').max(31),
    amount: z
      .union([z.number().min(0, 'Not below 0.').max(100_000, 'Far too much; check the unit.'), z.null()])
      .default(null)
      .describe(
        'ml drunk or filled, portions eaten, Wh charged, g of gas left in a canister, minutes after midnight of an arrival',
      ),
    thingId: z.union([idSchema, z.null()]).default(null),
    bagId: z.union([idSchema, z.null()]).default(null),
    trouble: z.union([z.enum(TROUBLES), z.null()]).default(null),
    note: oneLine(300).default(''),
    alongM: z
      .union([z.number().min(0).max(1e7), z.null()])
      .default(null)
      .describe('Where along the route, where the phone knows'),
  }),
  z.object({
    ...common,
    kind: z.literal('struck'),
    entryId: idSchema.describe('A line of the log that was wrong'),
  }),
  z.object({
    ...common,
    kind: z.literal('reviewed'),
    thingId: idSchema,
    answer: z.enum(ANSWERS),
  }),
  z.object({
    ...common,
    kind: z.literal('missed'),
    name: oneLine(120).min(1, 'Say what you missed.'),
  }),
]);
export type Entry = z.infer<typeof entrySchema>;

/** What one request may bring. */
export const MOST_ENTRIES = 500;

/** Entries in the order in which they count: by their moments, and of the same moment by their ids, wherever they came from. */
export const inOrder = (entries: readonly Entry[]): Entry[] =>
  [...entries].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));

/**
 * Things that are ticked off. The same for the same entries, in whatever order and however often they arrived.
 *
 * @example packedThings([tick('mug', true), tick('pot', true), tick('mug', false)]) // Set { 'pot' }
 */
export function packedThings(entries: readonly Entry[]): Set<string> {
  const packed = new Set<string>();
  for (const entry of inOrder(entries))
    if (entry.kind !== 'packed') continue;
    else if (entry.packed) packed.add(entry.thingId);
    else packed.delete(entry.thingId);
  return packed;
}

/** The last reading of each bag that was weighed, in grams. */
export function bagReadings(entries: readonly Entry[]): Map<string, number> {
  const readings = new Map<string, number>();
  for (const entry of inOrder(entries)) if (entry.kind === 'weighed') readings.set(entry.bagId, entry.massG);
  return readings;
}

/** Tasks of the last-minute list that are done. */
export function doneTasks(entries: readonly Entry[]): Set<string> {
  const done = new Set<string>();
  for (const entry of inOrder(entries))
    if (entry.kind !== 'done') continue;
    else if (entry.done) done.add(entry.taskId);
    else done.delete(entry.taskId);
  return done;
}

export type Tested = Extract<Entry, { kind: 'tested' }>;

/**
 * The last answer of each check of the test ride on one bike, by `testKey`.
 *
 * @example testAnswers(entries, 'hardtail').get(testKey('sway', 'seat-pack'))?.isGood // false
 */
export function testAnswers(entries: readonly Entry[], bikeId: string): Map<string, Tested> {
  const answers = new Map<string, Tested>();
  for (const entry of inOrder(entries))
    if (entry.kind === 'tested' && entry.bikeId === bikeId)
      answers.set(testKey(entry.check, entry.bagId), entry);
  return answers;
}
export const testKey = (check: TestCheck, bagId: string | null): string => `${check} ${bagId ?? ''}`;

export type Logged = Extract<Entry, { kind: 'logged' }>;

/** The log as it stands: in order, without the lines that were struck out. */
export function logOf(entries: readonly Entry[]): Logged[] {
  const struck = new Set(entries.flatMap((entry) => (entry.kind === 'struck' ? [entry.entryId] : [])));
  return inOrder(entries).filter(
    (entry): entry is Logged => entry.kind === 'logged' && !struck.has(entry.id),
  );
}

/** How each thing did: the last answer counts, from whichever phone. */
export function reviewAnswers(entries: readonly Entry[]): Map<string, Answer> {
  const answers = new Map<string, Answer>();
  for (const entry of inOrder(entries))
    if (entry.kind === 'reviewed') answers.set(entry.thingId, entry.answer);
  return answers;
}

/** What was missed, each name once. */
export const missedNames = (entries: readonly Entry[]): string[] => [
  ...new Set(inOrder(entries).flatMap((entry) => (entry.kind === 'missed' ? [entry.name] : []))),
];
