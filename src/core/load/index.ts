/**
 * The loader: what goes where, in at most as much time as is allowed. Everything outside this folder imports this file only.
 *
 * - `model/` the problem: an instance compiled from a plan, its objective, and running sums that follow each move
 * - `anneal/` simulated annealing, compiled ahead
 * - `search/` the search around it, in which every thing is placed by its form
 * - `bound/` the lower bound
 * - `proposal/` what the rider sees: the load, its reasons, the smallest change
 */
export { cannotLoad } from './proposal/cannotLoad';
export type { Limiting } from './proposal/limits';
export {
  judged,
  loader,
  runLoader,
  termsOf,
  type LoaderProgress,
  type LoadOptions,
  type LoadProposal,
} from './proposal/loader';
export { lateFromNow, LookAhead } from './proposal/lookAhead';
export { bestOf, seedsOf } from './proposal/seeds';
export { smallestChange, type SmallestChange } from './proposal/smallestChange';
export { compileInstance } from './model/instance';
