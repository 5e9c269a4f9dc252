/** Characters that are not text: controls, line ends among them. */
const CONTROLS = /[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g;

/**
 * What is typed or pasted, as one line of text that can be stored: without control characters and halves of characters.
 *
 * @example plainText(' Sleeping\n bag ') // 'Sleeping bag'
 */
export const plainText = (text: string): string =>
  text.toWellFormed().replace(CONTROLS, ' ').replace(/ {2,}/g, ' ').trim();

/** Whether a text can be stored as it is: whole characters, on one line. */
export const isOneLine = (text: string): boolean => text.isWellFormed() && text.search(CONTROLS) === -1;

const characters = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/**
 * The beginning of a text, as many whole characters as go into a number of code units: an emoji is never cut in two.
 *
 * @example cutTo('ab🏕️', 3) // 'ab'
 */
export function cutTo(text: string, most: number): string {
  if (text.length <= most) return text;
  let end = 0;
  for (const { index, segment } of characters.segment(text)) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  return text.slice(0, end).trimEnd();
}
