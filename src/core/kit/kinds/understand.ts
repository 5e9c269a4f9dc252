import { readNumber, unitSize } from '@/core/units/parse';
import { KINDS, type Kind, type SizeUnit } from './kinds';
import { matchFamilies, wordsOf } from './matchFamily';

/** What a line that names a thing was understood as. What the rider states is kept apart from what the kind says. */
export interface Understood {
  /** The name as typed, without quantity and figures. */
  name: string;
  quantity: number;
  kind: Kind | null;
  /** Stated: of one piece. */
  massG: number | null;
  volumeMl: number | null;
  /** How sure the kind is, 0 to 1. */
  score: number;
}

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  couple: 2,
  dozen: 12,
};
const MOST_PIECES = 200;

/** Numbers with a unit that tell a size, wherever they stand. */
const SIZES: readonly [RegExp, SizeUnit, (n: number) => number][] = [
  [/(\d+)\s*-?\s*(?:p|pers|persons?|people|man|men|berth)\b/i, 'people', (n) => n],
  [/(\d+(?:[.,]\d+)?)\s*k?\s*mah\b/i, 'mAh', (n) => n],
  [/(\d+(?:[.,]\d+)?)\s*ah\b/i, 'mAh', (n) => 1000 * n],
  [/([-−–+]?\s?\d+(?:[.,]\d+)?)\s*(?:°|º|deg(?:rees)?)?\s*(?:c|celsius)\b/i, '°C', (n) => n],
  [
    /([-−–+]?\s?\d+(?:[.,]\d+)?)\s*(?:°|º|deg(?:rees)?)?\s*(?:f|fahrenheit)\b/i,
    '°C',
    (n) => ((n - 32) * 5) / 9,
  ],
  [/([-−–+]?\s?\d+(?:[.,]\d+)?)\s*(?:°|º|deg(?:rees)?\b)/i, '°C', (n) => n],
  [/(\d{2}(?:[.,]\d)?)\s*(?:"|″|''|in\b|inch(?:es)?\b|-inch\b)/i, 'in', (n) => n],
];

interface Figures {
  rest: string;
  sizes: { value: number; unit: SizeUnit }[];
  /** Numbers by themselves, in the order they stand. */
  bare: number[];
  massG: number | null;
  volumeMl: number | null;
}

const WITH_UNIT =
  /(^|[\s,;(/])(\d+(?:[.,]\d+)?)\s*(kg|kgs|kilos?|grams?|gr|g|lbs?|pounds?|oz|ounces?|ml|cl|dl|litres?|liters?|ltr|l|fl\.?\s*oz|pints?|quarts?|gallons?)(?=$|[\s,;)/])/i;

/** Takes figures out of a line. */
function takeFigures(line: string): Figures {
  let rest = ` ${line} `
    .replace(
      /\b(one|two|three|four)[\s-]+(?=(?:man|men|persons?|people)\b)/gi,
      (word) => `${NUMBER_WORDS[word.trim().replace('-', '').toLowerCase()] ?? 1} `,
    )
    .replace(/(\d)[\s\u00a0\u202f'.](\d{3})(?=\s*mah)/gi, '$1$2')
    .replace(/\b(\d+)k\s*mah/gi, '$1000 mah')
    .replace(/\b700\s*c?\b(?=\s|x|$)/gi, '28 in')
    .replace(/\b650\s*b\b/gi, '27.5 in')
    .replace(
      /\b(20|24|26|27[.,]5|28|29)\s*(?:er)?\s*[x×]\s*(\d(?:[.,]\d+)?|\d{2})\s*(?:c|mm|in|")?/gi,
      '$1 in ',
    )
    .replace(/\b(\d{2})er\b/gi, '$1 in');
  const sizes: Figures['sizes'] = [];
  for (const [pattern, unit, convert] of SIZES) {
    const found = pattern.exec(rest);
    const value = found && readNumber(found[1]!.replace(/[\s+]/g, '').replace(/[–−]/, '-'));
    if (!found || value === null) continue;
    sizes.push({ value: convert(value), unit });
    rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
  }
  const stated: { massG: number | null; volumeMl: number | null } = { massG: null, volumeMl: null };
  for (let found = WITH_UNIT.exec(rest); found; found = WITH_UNIT.exec(rest)) {
    const unit = found[3]!.replace(/\s/g, '');
    const value = readNumber(found[2]!)!;
    const grams = unitSize('mass', unit);
    const litres = grams === null ? unitSize('volume', unit) : null;
    if (grams !== null) stated.massG = (stated.massG ?? 0) + value * grams;
    else if (litres !== null) stated.volumeMl = (stated.volumeMl ?? 0) + value * litres;
    rest = `${rest.slice(0, found.index)}${found[1]} ${rest.slice(found.index + found[0].length)}`;
  }
  const bare: number[] = [];
  rest = rest.replace(/(^|\s)([-−–+]?\d+(?:[.,]\d+)?)(?=[\s,;]|$)/g, (_, blank: string, digits: string) => {
    const value = readNumber(digits.replace(/[–−]/, '-').replace('+', ''));
    if (value !== null) bare.push(value);
    return blank;
  });
  return { rest: rest.replace(/\s+/g, ' ').trim(), sizes, bare, ...stated };
}

/** Takes how many there are: "2x", "2 × ", "three", "x6", "(4)". */
function takeQuantity(line: string): { rest: string; quantity: number; isPair: boolean } {
  let rest = line.trim();
  let quantity = 1;
  let isPair = false;
  const take = (n: number, left: string) => {
    quantity = Math.min(MOST_PIECES, Math.max(1, Math.round(n)));
    rest = left.trim();
  };
  const times = /^(\d{1,3})\s*[x×*]\s*(?=[^\d\s])|^(\d{1,3})\s*[x×*]\s+/i.exec(rest);
  const behind =
    /[\s,;]+[x×]\s?(\d{1,3})(?=$|[\s,;]+[\d.,]+\s*[a-z])|\s\((\d{1,3})\)$|\s(\d{1,3})[x×]$/i.exec(rest);
  const pieces = /^(\d{1,3})\s+(?:pcs|pieces|packs?|packets?|boxes|bags|pairs?)\s+(?:of\s+)?/i.exec(rest);
  const word =
    /^(?:an?\s+)?(two|three|four|five|six|couple|dozen)\s+(?!(?:man|men|persons?|people)\b)(?:of\s+|pairs?\s+(?:of\s+)?)?/i.exec(
      rest,
    );
  const plain =
    /^(\d{1,2})\s+(?=\p{L})(?!(?:l|ml|cl|g|kg|oz|lb|lbs|p|person|persons|people|man|men|season|seasons|mah|in|inch|litres?|liters?|c|f|k)\b)/iu.exec(
      rest,
    );
  if (times) take(Number(times[1] ?? times[2]), rest.slice(times[0].length));
  else if (behind)
    take(
      Number(behind[1] ?? behind[2] ?? behind[3]),
      rest.slice(0, behind.index) + rest.slice(behind.index + behind[0].length),
    );
  else if (pieces) take(Number(pieces[1]), rest.slice(pieces[0].length));
  else if (word) take(NUMBER_WORDS[word[1]!.toLowerCase()]!, rest.slice(word[0].length));
  else if (plain) take(Number(plain[1]), rest.slice(plain[0].length));
  const pair = /^(?:an?\s+)?pairs?\s+(?:of\s+)?/i.exec(rest);
  if (pair) {
    isPair = true;
    rest = rest.slice(pair[0].length);
  }
  return { rest, quantity, isPair };
}

/** Words for a size that mean another. */
const LIKE: Readonly<Record<string, string>> = {
  ultralight: 'light',
  lightweight: 'light',
  superlight: 'light',
  small: 'mini',
};

const familyOf = new Map<string, Kind[]>();
for (const kind of KINDS) familyOf.set(kind.family, [...(familyOf.get(kind.family) ?? []), kind]);

/** The size of a family that is meant, by the figures and words of a line; what was used of them. */
function sizeOf(
  kinds: readonly Kind[],
  words: readonly string[],
  figures: Figures,
): { kind: Kind; used: 'mass' | 'volume' | null } {
  const unit = kinds.find(({ size }) => size)?.size?.unit ?? null;
  const said =
    figures.sizes.find((size) => size.unit === unit)?.value ??
    (unit === 'l' && figures.volumeMl !== null ? figures.volumeMl / 1000 : null) ??
    (unit === 'ml' && figures.volumeMl !== null ? figures.volumeMl : null) ??
    (unit === 'g' && figures.massG !== null ? figures.massG : null) ??
    (unit === null ? null : (figures.bare[0] ?? null));
  const used = said === null ? null : unit === 'g' ? 'mass' : unit === 'l' || unit === 'ml' ? 'volume' : null;
  const fits = (kind: Kind) =>
    kind.sizeWords.filter((word) => words.some((other) => other === word || LIKE[other] === word)).length;
  const ratio = (kind: Kind): number => {
    if (said === null || !kind.size) return said === null ? 0 : 1e6;
    return unit === '°C' || unit === 'people'
      ? Math.abs(kind.size.value - said)
      : Math.abs(Math.log(kind.size.value / Math.max(1e-6, said)));
  };
  const [kind] = [...kinds].sort(
    (a, b) =>
      (said === null ? fits(b) - fits(a) : 0) ||
      ratio(a) - ratio(b) ||
      fits(b) - fits(a) ||
      a.sizeWords.length * Number(fits(a) === 0) - b.sizeWords.length * Number(fits(b) === 0) ||
      Number(b.isUsual) - Number(a.isUsual),
  );
  const wordChosen = kinds.find((one) => one.sizeWords.length > 0 && !one.size && fits(one) > 0);
  return { kind: wordChosen ?? kind!, used };
}

/** What follows one of these tells about a thing, not what it is. */
const ASIDE = /\s(?:with|without|for|in|incl\.?|including|from|\()\s?.*$/i;

/**
 * Reads a line that names a thing, with how many and what of its figures is known. What the rider states wins over what
 * its kind would say.
 *
 * @example understand('2x tube 29') // { name: 'tube 29', quantity: 2, kind: Spare tube, 29 in, massG: null, … }
 * @example understand('tent 2p 1.9 kg') // kind: Tent, 2 people; massG: 1900
 */
export function understand(line: string): Understood {
  const tidy = line.replace(/\s+/g, ' ').trim();
  const { rest, quantity, isPair } = takeQuantity(tidy);
  const figures = takeFigures(rest);
  const all = wordsOf(figures.rest);
  const main = wordsOf(figures.rest.replace(ASIDE, ''));
  const candidates = [matchFamilies(all)[0], matchFamilies(main)[0]].filter((match) => match !== undefined);
  const match = candidates.sort((a, b) => b.score - a.score)[0];
  if (!match)
    return {
      name: nameOf(rest, figures),
      quantity,
      kind: null,
      massG: figures.massG,
      volumeMl: figures.volumeMl,
      score: 0,
    };
  const { kind, used } = sizeOf(familyOf.get(match.family)!, all, figures);
  const isOfTwo = isPair && !/pair/.test(kind.basis);
  const stated = {
    massG: used === 'mass' ? null : figures.massG,
    volumeMl: used === 'volume' ? null : figures.volumeMl,
  };
  return {
    name: nameOf(rest, stated),
    quantity: isOfTwo ? 2 * quantity : quantity,
    kind,
    ...stated,
    score: match.score,
  };
}

const MASS_FIGURE =
  /[\s,;]*[-−–]?\s*(?<![\d.,])\d+(?:[.,]\d+)?\s*(?:kg|kgs|kilos?|grams?|gr|g|lbs?|pounds?|oz|ounces?)(?=$|[\s,;)])/gi;
const VOLUME_FIGURE =
  /[\s,;]*(?<![\d.,])\d+(?:[.,]\d+)?\s*(?:ml|cl|dl|litres?|liters?|ltr|l|fl\.?\s*oz|pints?|quarts?)(?=$|[\s,;)])/gi;

/** The name a rider gave, without figures that are stated of it; a size stays, since it tells things apart. */
function nameOf(rest: string, stated: Pick<Understood, 'massG' | 'volumeMl'>): string {
  let name = rest;
  if (stated.massG !== null) name = name.replace(MASS_FIGURE, '');
  if (stated.volumeMl !== null) name = name.replace(VOLUME_FIGURE, '');
  name = name.replace(/^[\s,;–−-]+|[\s,;–−-]+$/g, '');
  return name === '' ? rest : name;
}

/**
 * Kinds that a line that is still being typed may become, the likeliest first.
 *
 * @example suggest('sleep').map(({ name }) => name) // ['Sleeping bag, 0 °C', 'Sleep mask', …]
 */
export function suggest(line: string, most = 6): Kind[] {
  const { rest } = takeQuantity(line.trim());
  const figures = takeFigures(rest);
  const words = wordsOf(figures.rest);
  if (words.length === 0) return [];
  const found = new Map<string, number>();
  for (const { family, score } of matchFamilies(words)) found.set(family, score);
  const begun = words.at(-1)!;
  if (begun.length >= 2)
    for (const [family, [first]] of familyOf) {
      const phrases = [family, ...first!.synonyms].map(wordsOf);
      const begins = phrases.some(
        (phrase) =>
          words.slice(0, -1).every((word) => phrase.includes(word)) &&
          phrase.some((word) => word.startsWith(begun)),
      );
      // What is called just that comes before what has it somewhere in its name.
      const own = phrases.some((phrase) => phrase.length === 1 && phrase[0]!.startsWith(begun)) ? 0.2 : 0;
      if (begins) found.set(family, Math.max(found.get(family) ?? 0, 0.6) + own);
    }
  return [...found]
    .sort((a, b) => b[1] - a[1])
    .slice(0, most)
    .map(([family]) => sizeOf(familyOf.get(family)!, words, figures).kind);
}
