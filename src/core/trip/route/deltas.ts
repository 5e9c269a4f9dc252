/**
 * Whole numbers as short text, each told by its difference to the one before: zigzag, five bits a character, from "?" on (the
 * polyline encoding that map services use, here for one row of numbers).
 *
 * @example encodeDeltas([10, 12, 11]) // 'SC@'
 */
export function encodeDeltas(values: ArrayLike<number>): string {
  let text = '';
  let last = 0;
  for (let i = 0; i < values.length; i += 1) {
    const delta = values[i]! - last;
    last = values[i]!;
    let bits = delta < 0 ? -2 * delta - 1 : 2 * delta;
    while (bits >= 0x20) {
      text += String.fromCharCode((0x20 | (bits % 0x20)) + 63);
      bits = Math.floor(bits / 0x20);
    }
    text += String.fromCharCode(bits + 63);
  }
  return text;
}

/** What `encodeDeltas` wrote; null where the text is none of its. */
export function decodeDeltas(text: string): Int32Array | null {
  const values = new Int32Array(text.length);
  let count = 0;
  let last = 0;
  let bits = 0;
  let scale = 1;
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i) - 63;
    if (code < 0 || code > 63) return null;
    bits += (code % 0x20) * scale;
    scale *= 0x20;
    if (code >= 0x20) {
      if (scale > 2 ** 35) return null;
      continue;
    }
    last += bits % 2 === 0 ? bits / 2 : -(bits + 1) / 2;
    values[count] = last;
    count += 1;
    bits = 0;
    scale = 1;
  }
  return scale === 1 ? values.slice(0, count) : null;
}
