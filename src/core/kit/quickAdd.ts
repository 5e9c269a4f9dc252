import { fail, ok, type Result } from '@/core/result';
import { parseQuantity } from '@/core/units/parse';

/** What a rider typed in one line: a name, and figures where they were written behind it. */
export interface QuickAdd {
  name: string;
  quantity: number;
  massG: number | null;
  volumeMl: number | null;
}

const FIGURE = String.raw`[\d.,]+\s*[a-zµ³]+(?:\s+[\d.,]+\s*oz)?`;

/** A figure with a minus right before it; with a blank between, as in "Mug - 78 g", it is a dash. */
const BELOW_ZERO = new RegExp(String.raw`[\s,;]([-−–]${FIGURE})$`, 'i');

/**
 * Reads "Mug 78 g 0.4 l" or "Oat bars x6 55 g": figures stand at the end, in any order; `x6` says how many.
 *
 * @returns what was read, or what is wrong with a figure: none may be zero or less
 * @example readQuickAdd('Oat bars x6 55 g') // { ok: true, value: { name: 'Oat bars', quantity: 6, massG: 55, volumeMl: null } }
 */
export function readQuickAdd(line: string): Result<QuickAdd> {
  let rest = line.trim().replace(/\s+/g, ' ');
  const found: QuickAdd = { name: '', quantity: 1, massG: null, volumeMl: null };
  for (;;) {
    const pieces = /^(.+?)[\s,;]+[x×]\s?(\d{1,3})$/i.exec(rest);
    if (pieces && found.quantity === 1) {
      found.quantity = Math.min(200, Math.max(1, Number(pieces[2])));
      rest = pieces[1]!;
      continue;
    }
    const below = BELOW_ZERO.exec(rest)?.[1];
    if (below && isFigure(below.slice(1))) return fail(cannotBe(below));
    const figure = new RegExp(String.raw`^(.+?)[\s,;]+(${FIGURE})$`, 'i').exec(rest);
    const mass = figure && found.massG === null ? parseQuantity(figure[2]!, 'mass', '') : null;
    const volume = figure && found.volumeMl === null ? parseQuantity(figure[2]!, 'volume', '') : null;
    if (mass?.ok) found.massG = mass.value;
    else if (volume?.ok) found.volumeMl = volume.value;
    else return ok({ ...found, name: rest.replace(/\s[-−–]$/, '') });
    if (found.massG === 0 || found.volumeMl === 0) return fail(cannotBe(figure![2]!));
    rest = figure![1]!;
  }
}

const isFigure = (text: string): boolean =>
  parseQuantity(text, 'mass', '').ok || parseQuantity(text, 'volume', '').ok;

const cannotBe = (figure: string): string =>
  `Nothing weighs or takes ${figure}. Write it like "Mug 78 g 0.4 l", or leave out what you do not know.`;
