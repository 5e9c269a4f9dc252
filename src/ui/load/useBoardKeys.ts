'use client';

import { useWindowEvent } from '@mantine/hooks';
import { useLoader } from './LoaderProvider';
import { spotByLetter, type BoardActions } from './useBoard';

/** True where a key is the page's own business: in a field, a menu or a dialog. */
const isBusy = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="menu"], summary') !==
    null;

/** The board by keyboard alone: arrows choose, a letter puts, and a key each for the rest. */
export function useBoardKeys(board: BoardActions): void {
  const { state, run, cancel } = useLoader();

  /** The next thing in the direction of the arrow, by where things lie on the screen. */
  const choose = (key: string): boolean => {
    const options = [...document.querySelectorAll<HTMLElement>('[data-thing]')];
    if (options.length === 0) return false;
    const current = options.find((option) => option.dataset.thing === board.thingId);
    if (!current) {
      const open = document.querySelector<HTMLElement>('[role="listbox"]:focus [data-thing]');
      board.chooseThing((open ?? options[0]!).dataset.thing!);
      return true;
    }
    const list = current.closest('[role="listbox"]');
    const at = options.indexOf(current);
    if (key === 'ArrowRight' || key === 'ArrowLeft') {
      const next = options[at + (key === 'ArrowRight' ? 1 : -1)];
      if (next) board.chooseThing(next.dataset.thing!);
      return true;
    }
    const from = current.getBoundingClientRect();
    const down = key === 'ArrowDown';
    let best: { option: HTMLElement; row: number; aside: number } | null = null;
    for (const option of options) {
      const box = option.getBoundingClientRect();
      const row = down ? box.top - from.top : from.top - box.top;
      if (row < 4) continue;
      const aside = Math.abs(box.left - from.left) + (option.closest('[role="listbox"]') === list ? 0 : 2000);
      if (!best || row < best.row - 4 || (row < best.row + 4 && aside < best.aside))
        best = { option, row, aside };
    }
    if (best) board.chooseThing(best.option.dataset.thing!);
    return true;
  };

  const act = (event: KeyboardEvent): boolean => {
    const { thing } = board;
    if (event.key.startsWith('Arrow')) return choose(event.key);
    if (event.key === '.') {
      run();
      return true;
    }
    if (event.key === 'Escape') {
      if (state.kind !== 'idle') cancel();
      else if (board.thingId) board.chooseThing(null);
      else board.chooseBag(null);
      return true;
    }
    if (/^[a-z]$/i.test(event.key)) {
      const spot = spotByLetter(board.evaluation.spots, event.key);
      if (!spot) return false;
      if (event.shiftKey) board.chooseBag(spot.bag.id);
      else if (thing) board.put(thing.id, { compartmentId: spot.id });
      return true;
    }
    if (!thing) return false;
    if (event.key === 'Delete' || event.key === 'Backspace') board.put(thing.id, 'floor');
    else if (event.key === '-') board.put(thing.id, 'home');
    else if (event.key === '!') board.pin(thing.id);
    else return false;
    return true;
  };

  useWindowEvent('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || isBusy(event.target)) return;
    if (document.querySelector('[role="dialog"][aria-modal="true"]')) return;
    if (act(event)) event.preventDefault();
  });
}
