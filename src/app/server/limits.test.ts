import { countRequest } from './limits';
import { Refusal } from './refusal';

/** Whether a request at a moment, in seconds, is taken. */
const isTaken = (account: string, seconds: number): boolean => {
  try {
    countRequest(account, 1000 * seconds);
    return true;
  } catch (error) {
    expect(error).toBeInstanceOf(Refusal);
    expect(error).toMatchObject({ status: 429, retryAfter: 1 });
    return false;
  }
};
const taken = (account: string, seconds: number, of: number) =>
  Array.from({ length: of }, () => isTaken(account, seconds)).filter(Boolean).length;

test('a burst is taken, and then so many a second; another account does not wait for it', () => {
  expect(taken('a', 0, 300)).toBe(200);
  expect(taken('b', 0, 100)).toBe(100);
  expect(taken('a', 1, 100)).toBe(40);
  expect(taken('a', 1.5, 100)).toBe(20);
  // After a rest the burst is there again, and no more than that.
  expect(taken('a', 100, 300)).toBe(200);
});
