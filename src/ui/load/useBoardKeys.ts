'use client';

import { useWindowEvent } from '@mantine/hooks';
import { useLoader } from './LoaderProvider';
import { nextOnScreen } from './nextOnScreen';
import { spotByLetter, type BoardActions } from './useBoard';

/** True where a key is the page's own business: in a field, a menu or a dialog. */
const isBusy = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="menu"]') !== null;

/** The board by keyboard alone: arrows choose, a letter puts, and a key each for the rest. */
export function useBoardKeys(board: BoardActions): void {
  const { run, cancel, getView } = useLoader();

  /** The next thing in the direction of the arrow, by where things lie on the screen. */
  const choose = (key: string): boolean => {
    const options = [...document.querySelectorAll<HTMLElement>('[data-thing]')];
    if (options.length === 0) return false;
    if (!options.some((option) => option.dataset.thing === board.thingId)) {
      const open = document.querySelector<HTMLElement>('[role="listbox"]:focus [data-thing]');
      board.chooseThing((open ?? options[0]!).dataset.thing!);
      return true;
    }
    const shown = options.map((option) => {
      const { left, top } = option.getBoundingClientRect();
      return { id: option.dataset.thing!, list: option.closest('[role="listbox"]'), left, top };
    });
    const next = nextOnScreen(shown, board.thingId!, key);
    if (next) board.chooseThing(next);
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
      if (getView().state.kind !== 'idle') cancel();
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
