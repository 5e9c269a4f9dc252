import type { Plan } from '@/core/plan/plan';
import { loader, type LoaderProgress, type LoadMemory, type LoadOptions, type LoadProposal } from './loader';

/** A thread looks ahead for so long at most; 60 to 120 things take it one to three seconds. */
const AHEAD_MS = 3_000;

/** Tells whether a thread has looked ahead for long enough, from now on. */
export function lateFromNow(): () => boolean {
  const end = performance.now() + AHEAD_MS;
  return () => performance.now() > end;
}

type Search = ReturnType<typeof loader>;
interface Left {
  /** What it looks for, written out. */
  asked: string;
  search: Search;
  /** What it told last, or answered. */
  step: IteratorResult<LoaderProgress, LoadProposal>;
}

/**
 * The loader, begun before it is asked: it looks for a load of the plan as it is, and when that very load is asked for, the
 * search goes on from where it is. What has had all its rounds by then has its answer at once, of those and of the rounds
 * beyond them that there was time for. A search of another plan is sooner too: the engine has compiled all it takes by
 * then, and knows most of the kit (decisions 0022, 0023).
 *
 * @example
 * const ahead = new LookAhead();
 * for (const told of ahead.look(plan, { seed: 1 }, lateFromNow())) void told; // while the rider looks at the board
 * const run = ahead.load(plan, { seed: 1 }); // as `loader(plan, { seed: 1 })`, of which that much is done
 */
export class LookAhead {
  /** The search last asked for, as far as it got. */
  private left: Left | null = null;
  private isAsked = false;
  private readonly memory: LoadMemory = { placed: new Map() };

  constructor(private readonly searchFor: typeof loader = loader) {}

  /**
   * Looks until it is late, asked after each step, or nothing better can be found.
   *
   * @returns true, where nobody ended it before
   */
  *look(plan: Plan, options: LoadOptions, isLate: () => boolean): Generator<LoaderProgress, true> {
    this.isAsked = false;
    for (const told of this.goOn(plan, options)) {
      yield told;
      if (isLate()) break;
    }
    return true;
  }

  /** As `loader`; where that very search was left, it tells at once how far it got, and goes on. */
  *load(plan: Plan, options: LoadOptions): Search {
    this.isAsked = true;
    return yield* this.goOn(plan, options);
  }

  private *goOn(plan: Plan, options: LoadOptions): Search {
    // Plans are JSON values, so what is written alike is alike.
    const asked = JSON.stringify([plan, options]);
    const was = this.left?.asked === asked ? this.left : null;
    const search =
      was?.search ?? this.searchFor(plan, options, { goesOn: () => !this.isAsked, memory: this.memory });
    let step = was?.step ?? search.next();
    this.left = { asked, search, step };
    while (!step.done) {
      const stopped = yield step.value;
      // Neither what breaks nor what is ended early has the answer of the whole search.
      this.left = null;
      step = search.next(stopped);
      if (!stopped) this.left = { asked, search, step };
    }
    return step.value;
  }
}
