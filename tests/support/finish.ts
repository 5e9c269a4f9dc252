/** Runs a search to its end, without a look at what it tells on the way. */
export function finish<Result>(run: Iterator<unknown, Result, undefined>): Result {
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value;
}
