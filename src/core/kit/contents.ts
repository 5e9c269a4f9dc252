import { fail, ok, type Result } from '@/core/result';
import { parseQuantity } from '@/core/units/parse';
import { contentSchema, type Content } from './thing';

/** @example contentsText([{ name: 'Plaster', quantity: 6, massG: 1 }]) // '6 × Plaster 1 g' */
export const contentsText = (contents: readonly Content[]): string =>
  contents
    .map(
      ({ name, quantity, massG }) =>
        `${quantity > 1 ? `${quantity} × ` : ''}${name}${massG === null ? '' : ` ${Math.round(massG * 10) / 10} g`}`,
    )
    .join('; ');

/**
 * Reads what a kit holds, one after another with semicolons or line breaks between.
 *
 * @example parseContents('6x Plaster 1 g; Scissors').value // [{ name: 'Plaster', quantity: 6, massG: 1 }, { name: 'Scissors', … }]
 */
export function parseContents(text: string): Result<Content[]> {
  const contents: Content[] = [];
  for (const part of text.split(/[;\n]/).map((each) => each.trim())) {
    if (part === '') continue;
    const [, count, rest] = /^(?:(\d{1,3})\s*[x×]\s*)?(.+)$/i.exec(part)!;
    const weighed = /^(.+?)[\s,]+([\d.,]+\s*(?:g|kg|oz|lb))$/i.exec(rest!);
    const mass = weighed && parseQuantity(weighed[2]!, 'mass', '');
    const content = contentSchema.safeParse({
      name: (mass?.ok ? weighed![1]! : rest!).trim(),
      quantity: count ? Number(count) : 1,
      massG: mass?.ok ? mass.value : null,
    });
    if (!content.success) return fail(`“${part.slice(0, 40)}”: ${content.error.issues[0]!.message}`);
    contents.push(content.data);
  }
  return ok(contents);
}

/** Grams of all that a kit holds; null unless everything in it was weighed. */
export const contentsMassG = (contents: readonly Content[]): number | null =>
  contents.length > 0 && contents.every(({ massG }) => massG !== null)
    ? contents.reduce((sum, { quantity, massG }) => sum + quantity * massG!, 0)
    : null;
