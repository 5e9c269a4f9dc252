import { KINDS } from './kinds';

/** Words that say nothing of what a thing is. */
const STOP_WORDS = new Set(
  'a an the of my our his her your with without and or for in on to some few new old small big large medium little mini light lightweight ultralight heavy good cheap spare extra black red blue green grey white own bit set kit pair pairs piece pieces pack packet box per one two'.split(
    ' ',
  ),
);
/** How much such a word counts beside one that does, in the phrases that have it. */
const STOP_WEIGHT = 0.25;
/** A word that no kind has. */
const UNKNOWN_WEIGHT = 0.8;

/** Singular, British spelling, no accents. @example stem('Tyres') // 'tyre' */
export function stem(word: string): string {
  const plain = word
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f']/g, '');
  const single =
    plain.length > 3
      ? plain.replace(/(ss|us|is|gas)$|ies$|(?<=[sxz]|ch|sh)es$|s$/, (end, keep?: string) =>
          keep ? keep : end === 'ies' && plain.length > 4 ? 'y' : end === 'ies' ? 'ie' : '',
        )
      : plain;
  return single
    .replace(/^tire$/, 'tyre')
    .replace(/^fiber$/, 'fibre')
    .replace(/colour/, 'color');
}

export const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}']+/u)
    .filter((word) => word !== '')
    .map(stem);

/** Edits of one letter between two words (insert, drop, change, exchange of neighbours), at most so many; else Infinity. */
export function editDistance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return Infinity;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const change = last[j - 1]! + Number(a[i - 1] !== b[j - 1]);
      row[j] = Math.min(change, last[j]! + 1, row[j - 1]! + 1);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        row[j] = Math.min(row[j]!, before[j - 2]! + 1);
    }
    [before, last] = [last, row];
  }
  return last[b.length]! <= most ? last[b.length]! : Infinity;
}

/** So many letters may be wrong in a word of such a length. */
const slips = (length: number): number => (length >= 9 ? 2 : length >= 5 ? 1 : 0);

/** 1 for the same word, less for one that is probably a slip, 0 for another. */
function likeness(a: string, b: string): number {
  if (a === b) return 1;
  const most = slips(Math.min(a.length, b.length));
  if (most === 0 || a[0] !== b[0]) return 0;
  const distance = editDistance(a, b, most);
  return distance === Infinity ? 0 : 0.85 - 0.1 * (distance - 1);
}

interface Phrase {
  family: string;
  words: string[];
  /** Without blanks: "sleepingbag". */
  joined: string;
  weight: number;
}

const families = new Map(KINDS.map(({ family, synonyms }) => [family, synonyms]));
const bare = [...families].flatMap(([family, synonyms]) =>
  [family, ...synonyms].map((text) => ({ family, words: wordsOf(text) })),
);
/** In how many families a word is. */
const spread = new Map<string, Set<string>>();
for (const { family, words } of bare)
  for (const word of words) spread.set(word, (spread.get(word) ?? new Set()).add(family));

/** Rarer words say more (inverse document frequency, Spärck Jones 1972). */
const weightOf = (word: string): number => {
  if (STOP_WORDS.has(word)) return STOP_WEIGHT;
  const count = spread.get(word)?.size;
  return count === undefined ? UNKNOWN_WEIGHT : 1 + Math.log(families.size / count) / Math.log(families.size);
};
const sum = (words: readonly string[]): number => words.reduce((total, word) => total + weightOf(word), 0);

const PHRASES: readonly Phrase[] = bare.map(({ family, words }) => ({
  family,
  words,
  joined: words.join(''),
  weight: sum(words),
}));

const VOCABULARY: readonly string[] = [...spread.keys()];

export interface FamilyMatch {
  family: string;
  /** 0 to 1. */
  score: number;
}

/** What a match counts whose last word does not. */
const HEAD_MISSED = 0.75;
/** Below this a match says nothing. */
export const LEAST_SCORE = 0.52;

/**
 * Families that some words may mean, the likeliest first: by the words that a phrase for the family has in common with
 * them, rarer ones counting more, and slips of the pen forgiven. The last word of a name is what it is ("sleeping bag
 * liner" is a liner), so where that is not matched the rest counts less.
 *
 * @example matchFamilies(wordsOf('sleping bag'))[0] // { family: 'Sleeping bag', score: 0.9… }
 */
export function matchFamilies(words: readonly string[]): FamilyMatch[] {
  if (words.length === 0) return [];
  const joined = words.join('');
  const own = sum(words);
  const head = words.length - 1;
  const like = words.map(likeWords);
  const best = new Map<string, number>();
  for (const phrase of PHRASES) {
    let matched = 0;
    let headMatched = false;
    const taken = new Set<number>();
    for (let i = 0; i <= head; i += 1) {
      let [at, most] = [-1, 0];
      for (let k = 0; k < phrase.words.length; k += 1) {
        const own = taken.has(k) ? 0 : (like[i]!.get(phrase.words[k]!) ?? 0);
        if (own > most) [at, most] = [k, own];
      }
      if (at < 0) continue;
      taken.add(at);
      matched += most * Math.max(weightOf(words[i]!), weightOf(phrase.words[at]!));
      if (i === head) headMatched = true;
    }
    let score = (2 * matched) / (own + phrase.weight);
    if (!headMatched) score *= HEAD_MISSED;
    // "sleepingbag" for "sleeping bag".
    score = Math.min(1, Math.max(score, likeness(joined, phrase.joined)));
    if (score > (best.get(phrase.family) ?? 0)) best.set(phrase.family, score);
  }
  return [...best]
    .map(([family, score]) => ({ family, score }))
    .filter(({ score }) => score >= LEAST_SCORE)
    .sort((a, b) => b.score - a.score);
}

/** Lists and typing ask for the same words over and over. */
const known = new Map<string, ReadonlyMap<string, number>>();
const MOST_KNOWN = 5_000;

/** The words that some kind has which one typed may be, and how like they are. */
function likeWords(word: string): ReadonlyMap<string, number> {
  const before = known.get(word);
  if (before) return before;
  const like = new Map<string, number>();
  for (const other of VOCABULARY) {
    const own = likeness(word, other);
    if (own > 0) like.set(other, own);
  }
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(word, like);
  return like;
}
