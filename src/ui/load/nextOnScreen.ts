/** A thing as it is shown: where its tile is, in pixels, and in which list. */
export interface Shown {
  id: string;
  list: unknown;
  left: number;
  top: number;
}

/** Tiles whose tops differ by less are in one row. */
const ROW_PX = 4;
/** What lies in another list counts as so much further aside. */
const OTHER_LIST_PX = 2000;

/**
 * The thing an arrow key leads to. Left and right follow the order of the page; up and down go to the nearest row that
 * way, and there to what is least aside, in the same list if there is anything.
 *
 * @param shown in the order of the page, with the thing the arrow starts from among them
 * @returns null where there is nothing that way
 * @example nextOnScreen([{ id: 'a', list: 1, left: 0, top: 0 }, { id: 'b', list: 1, left: 0, top: 40 }], 'a', 'ArrowDown') // 'b'
 */
export function nextOnScreen(shown: readonly Shown[], from: string, key: string): string | null {
  const at = shown.findIndex(({ id }) => id === from);
  const here = shown[at];
  if (!here) return null;
  if (key === 'ArrowRight' || key === 'ArrowLeft')
    return shown[at + (key === 'ArrowRight' ? 1 : -1)]?.id ?? null;
  const way = key === 'ArrowDown' ? 1 : -1;
  let best: { id: string; row: number; aside: number } | null = null;
  for (const { id, list, left, top } of shown) {
    const row = way * (top - here.top);
    if (row < ROW_PX) continue;
    const aside = Math.abs(left - here.left) + (list === here.list ? 0 : OTHER_LIST_PX);
    if (!best || row < best.row - ROW_PX || (row < best.row + ROW_PX && aside < best.aside))
      best = { id, row, aside };
  }
  return best?.id ?? null;
}
