import { Plain } from './say';

/** A kit of the bench, by the seed and the number of its things. */
export interface Kit {
  seed: number;
  things: number;
}

/** Of a line of `bench:load` what its summary reads: by fit the ratios to its own end, or by litres those to HiGHS. */
export interface KitLine extends Kit {
  firstMs: number | null;
  /** By fit: what the searches had after one second over what they had at the end. */
  over1s?: number;
  /** By litres: ours over theirs, null where theirs was left out; and milliseconds of ours. */
  ratio?: number | null;
  oursMs?: number;
}

/**
 * What a measure asks of all kits together, and which are furthest from it; of ratios nothing where HiGHS was left out. A kit
 * that was asked several times has the middle of its ratios.
 */
export interface Summary {
  bench: string;
  kits: number;
  mean?: number;
  median?: number;
  /** How many ratios are at most so much. */
  within?: Record<string, number>;
  worst?: KitRatio[];
  /** The slowest first load, and by litres the slowest search. */
  firstMs: number;
  oursMs?: number;
}

export interface KitRatio {
  kit: string;
  ratio: number;
  /** Each time it was asked, where that was more than once. */
  each?: number[];
}

const SHOWN = 8;
/** What the measures allow: of litres one of a hundred over HiGHS, of a second's search two over its own end. */
const ALLOWED = [1, 1.01, 1.02];

/**
 * All kits of some seeds and numbers of things, the seeds of the first number first.
 *
 * @throws Plain where a list is not one of whole numbers and spans
 * @example kitsOf('1-3,7', '60') // four kits of 60 things
 */
export function kitsOf(seeds: string, things: string): Kit[] {
  const all = numbersOf('--seeds', seeds);
  return numbersOf('--things', things).flatMap((n) => all.map((seed) => ({ seed, things: n })));
}

function numbersOf(option: string, list: string): number[] {
  return list.split(',').flatMap((part) => {
    const [, from, to = from] = /^\s*(\d+)(?:-(\d+))?\s*$/.exec(part) ?? [];
    const [first, last] = [Number(from), Number(to)];
    if (!(first >= 1 && last >= first))
      throw new Plain(`${option} takes whole numbers and spans, as 1-20 or 60,80; "${part}" is neither.`);
    return Array.from({ length: last - first + 1 }, (_, k) => first + k);
  });
}

/** The kits of which a line is over some ratio, in their order: those to be asked again with other searches. */
export function kitsOver(lines: readonly KitLine[], ratio: number): Kit[] {
  return lines.filter(({ over1s = 0 }) => over1s > ratio).map(({ seed, things }) => ({ seed, things }));
}

/** The mean, the middle and the worst of the lines of all kits. */
export function summaryOf(lines: readonly KitLine[]): Summary {
  const byFit = lines.every(({ over1s }) => over1s !== undefined);
  const most = (of: (line: KitLine) => number | null | undefined) =>
    Math.max(...lines.map((line) => of(line) ?? 0));
  const kits = new Map<string, KitLine[]>();
  for (const line of lines) {
    const kit = `${line.seed}/${line.things}`;
    kits.set(kit, [...(kits.get(kit) ?? []), line]);
  }
  return {
    bench: byFit ? 'load by fit, all kits' : 'load, all kits',
    kits: kits.size,
    ...ofRatios(kits),
    firstMs: most(({ firstMs }) => firstMs),
    ...(byFit ? {} : { oursMs: most(({ oursMs }) => oursMs) }),
  };
}

function ofRatios(kits: ReadonlyMap<string, readonly KitLine[]>): Partial<Summary> {
  const worst: KitRatio[] = [];
  for (const [kit, lines] of kits) {
    const each = lines.flatMap(({ over1s, ratio = over1s }) => (typeof ratio === 'number' ? [ratio] : []));
    if (each.length > 0) worst.push({ kit, ratio: middle(each), ...(each.length > 1 ? { each } : {}) });
  }
  if (worst.length === 0) return {};
  worst.sort((a, b) => b.ratio - a.ratio);
  const ratios = worst.map(({ ratio }) => ratio);
  return {
    mean: round(ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.length),
    median: middle(ratios),
    within: Object.fromEntries(ALLOWED.map((most) => [most, ratios.filter((ratio) => ratio <= most).length])),
    worst: worst.slice(0, SHOWN),
  };
}

/** The middle one of some ratios, or what lies half-way between the middle two. */
function middle(ratios: readonly number[]): number {
  const inOrder = ratios.toSorted((a, b) => a - b);
  const half = (inOrder.length - 1) / 2;
  return round((inOrder[Math.floor(half)]! + inOrder[Math.ceil(half)]!) / 2);
}

const round = (value: number) => Number(value.toFixed(4));
