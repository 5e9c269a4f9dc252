import type { MenuEntry } from '@/core/food/menuSchema';
import type { Slot } from '@/core/food/pantry';

const LINES: readonly (readonly [day: number, slot: Slot, thingId: string, portions: number])[] = [
  [1, 'riding', 'oat-bars', 2],
  [1, 'riding', 'nuts-and-dried-fruit', 2],
  [1, 'riding', 'chews', 1],
  [1, 'lunch', 'flatbread', 1],
  [1, 'lunch', 'hard-cheese', 1],
  [1, 'dinner', 'dinners-dried', 1],
  [1, 'dinner', 'chocolate', 1],
  [2, 'breakfast', 'breakfast-oats', 1],
  [2, 'drinks', 'electrolyte-tablets', 2],
  [2, 'riding', 'oat-bars', 2],
  [2, 'riding', 'nuts-and-dried-fruit', 2],
  [2, 'riding', 'chews', 1],
  [2, 'lunch', 'flatbread', 1],
  [2, 'lunch', 'hard-cheese', 1],
  [2, 'dinner', 'dinners-dried', 1],
  [3, 'breakfast', 'breakfast-oats', 1],
  [3, 'riding', 'oat-bars', 2],
  [3, 'riding', 'nuts-and-dried-fruit', 2],
  [3, 'riding', 'chews', 1],
  [3, 'lunch', 'flatbread', 1],
  [3, 'lunch', 'hard-cheese', 1],
];

/** What the demo's rider means to eat when. */
export const DEMO_MENU: MenuEntry[] = LINES.map(([day, slot, thingId, portions]) => ({
  thingId,
  day,
  slot,
  portions,
  locked: false,
  boughtAt: null,
}));
