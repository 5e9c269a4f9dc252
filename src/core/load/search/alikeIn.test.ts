import { alikeIn } from './alikeIn';

const loadOf = (...places: number[]) => Int32Array.from(places);
const load = loadOf(0, 0, 1, 1, 2, -1);

test('what two loads have in the same place stays, and what was moved beforehand does not', () => {
  const other = loadOf(0, 1, 0, 1, 0, 2);
  expect([...alikeIn(load, [other], load, () => 0)!]).toEqual([1, 0, 0, 1, 0, 0]);
  expect([...alikeIn(load, [other], loadOf(2, 0, 1, 1, 2, -1), () => 0)!]).toEqual([0, 0, 0, 1, 0, 0]);
});

test('the other is drawn among those that have four things at least elsewhere', () => {
  const near = loadOf(1, 1, 0, 1, 2, -1);
  const [far, farther] = [loadOf(1, 1, 0, 0, 2, -1), loadOf(1, 1, 0, 0, 0, 0)];
  expect(alikeIn(load, [near, load], load, () => 0)).toBeNull();
  expect(alikeIn(load, [], load, () => 0)).toBeNull();
  expect([...alikeIn(load, [near, far, farther], load, () => 0)!]).toEqual([0, 0, 0, 0, 1, 1]);
  expect([...alikeIn(load, [near, far, farther], load, () => 0.99)!]).toEqual([0, 0, 0, 0, 0, 0]);
});
