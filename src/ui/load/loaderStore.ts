import { cannotLoad } from '@/core/load';
import type { LoaderProgress, LoadOptions, LoadProposal } from '@/core/load';
import type { SmallestChange } from '@/core/load';
import type { Edit } from '@/core/plan/edit';
import type { LoadEntry, Plan } from '@/core/plan/plan';

export type LoaderState =
  | { kind: 'idle' }
  | { kind: 'working'; progress: LoaderProgress | null; longer: boolean }
  | { kind: 'done'; proposal: LoadProposal }
  | { kind: 'failed'; reason: string };

/** What would let everything in: not asked, being tried, or found. */
export type ChangesState =
  { kind: 'idle' } | { kind: 'working'; done: number } | { kind: 'done'; found: SmallestChange };

export interface LoaderView {
  state: LoaderState;
  changes: ChangesState;
  /** The load kept to compare with, and where it came from. */
  kept: { load: readonly LoadEntry[]; name: string } | null;
}

/** The loader in a thread of its own; what is asked anew answers null to what was asked before. */
export interface LoaderThread {
  load(
    plan: Plan,
    options: LoadOptions,
    onProgress: (progress: LoaderProgress) => void,
  ): Promise<LoadProposal | null>;
  smallestChange(plan: Plan, onProgress: (done: number) => void): Promise<SmallestChange | null>;
  /**
   * Begins on a load that may be asked for, for some seconds: asked for with the same options it is there the sooner.
   *
   * @returns whether it looked as far as it will: not where something else was asked meanwhile, or it was told to rest
   */
  lookAhead(plan: Plan, options: LoadOptions): Promise<boolean>;
  stop(): Promise<void>;
  rest(): Promise<void>;
  /** Ends the thread, whatever it is doing. */
  end(): void;
}

/** The part of the plan's store that the loader needs. */
export interface Plans {
  getShown(): { draft: { plan: Plan } };
  edit(edit: Edit): boolean;
  subscribe(listener: () => void): () => void;
}

/** What the loader's store asks of the page; tests hand in their own. */
export interface LoaderSurroundings {
  makeThread(onDeath: () => void): LoaderThread;
  /** Calls back later; returns what takes the call back. */
  later(run: () => void, ms: number): () => void;
}

/** A search that says nothing for so long has died; it is begun again once. */
export const SILENT_MS = 20_000;
/** So long after the rider did something a thread looks ahead: what the rider is doing goes first. */
export const QUIET_MS = 1_000;

/** The load as it was before the loader changed it. */
const BEFORE = 'before loading';
const optionsOf = (longer: boolean): LoadOptions => ({ seed: 1, effort: longer ? 10 : 1 });

interface Job {
  plan: Plan;
  onFail: () => void;
}

/**
 * Has the loader look for a load, and puts it on the plan as one step that can be undone. An edit meanwhile is taken at
 * once, and the search begins again behind it. While the board is open and the rider rests, it looks ahead for the load of the
 * plan as it is. One thread serves all searches, from the first on: it keeps what the engine has compiled and what is known
 * of the kit. One that dies, or falls silent, is replaced.
 */
export class LoaderStore {
  private view: LoaderView = { state: { kind: 'idle' }, changes: { kind: 'idle' }, kept: null };
  private readonly listeners = new Set<() => void>();
  private thread: LoaderThread | null = null;
  private job: Job | null = null;
  private unwatch: () => void = () => undefined;
  /** Boards that are open: while there is one, it looks ahead. */
  private boards = 0;
  /** The plan it looked ahead with last, or will once the rider rests. */
  private ahead: Plan | null = null;
  /** Whether it has not looked at that as far as it will. */
  private isLooking = false;
  private unwait: () => void = () => undefined;

  constructor(
    private readonly plans: Plans,
    private readonly surroundings: LoaderSurroundings,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getView = (): LoaderView => this.view;

  /** Follows the plan until what it returns is called, which ends the thread too. */
  readonly start = (): (() => void) => {
    const leave = this.plans.subscribe(() => {
      const { state } = this.view;
      const plan = this.plan();
      // What the rider changes meanwhile makes another problem.
      if (state.kind === 'working' && this.job && plan !== this.job.plan) this.search(state.longer, false);
      if (!this.job && this.boards > 0 && plan !== this.ahead) this.lookAheadLater(plan);
    });
    return () => {
      leave();
      this.finish();
      this.dismissThread();
    };
  };

  /** Looks ahead until what it returns is called: the rider may ask for a load soon. */
  readonly ready = (): (() => void) => {
    this.boards += 1;
    if (!this.job) this.lookAhead();
    return () => {
      this.boards -= 1;
      if (this.boards > 0 || this.job) return;
      this.isLooking = false;
      this.unwait();
      void this.thread?.rest();
    };
  };

  /** To be told of every key and press while a board is open: two threads at work leave a small machine little for it. */
  readonly busy = (): void => {
    if (!this.job && this.isLooking) this.lookAheadLater(this.plan());
  };

  private readonly lookAhead = (): void => {
    const plan = (this.ahead = this.plan());
    if (cannotLoad(plan)) return;
    this.isLooking = true;
    this.theThread()
      .lookAhead(plan, optionsOf(false))
      .then(
        (isDone) => {
          if (isDone && this.ahead === plan) this.isLooking = false;
        },
        () => {
          // One that breaks at what nobody asked for is not missed; what it was asked meanwhile breaks by itself.
          if (!this.job) this.dismissThread();
        },
      );
  };

  /** With the thread there is: one that died while nobody asked is not made again for that. */
  private lookAheadLater(plan: Plan): void {
    if (!this.thread) return;
    this.ahead = plan;
    this.isLooking = true;
    void this.thread.rest();
    this.unwait();
    this.unwait = this.surroundings.later(this.lookAhead, QUIET_MS);
  }

  /** `longer` looks ten times as long, on from the load as it is. */
  readonly run = (longer = false): void => this.search(longer, false);

  /** Ends the search with the best it has. */
  readonly take = (): void => void this.thread?.stop();

  /** Lets go of what is under way, and of what came of the last. */
  readonly cancel = (): void => {
    this.finish();
    this.set({ state: { kind: 'idle' }, changes: { kind: 'idle' } });
  };

  readonly findChanges = (): void => {
    const plan = this.plan();
    const fail = () => {
      this.finish();
      this.set({ changes: { kind: 'idle' } });
    };
    const { job, thread } = this.begin(plan, fail);
    this.set({ changes: { kind: 'working', done: 0 } });
    const onProgress = (done: number) => {
      if (this.job !== job) return;
      this.heard();
      this.set({ changes: { kind: 'working', done } });
    };
    thread.smallestChange(plan, onProgress).then(
      (found) => {
        if (this.job !== job || !found) return;
        this.finish();
        this.set({ changes: { kind: 'done', found } });
      },
      () => this.job === job && fail(),
    );
  };

  readonly keep = (load: readonly LoadEntry[], name: string): void => this.set({ kept: { load, name } });
  readonly forget = (): void => this.set({ kept: null });

  private search(longer: boolean, again: boolean): void {
    const plan = this.plan();
    const obstacle = cannotLoad(plan);
    if (obstacle) {
      this.finish();
      return this.set({ state: { kind: 'failed', reason: obstacle } });
    }
    const fail = () => {
      this.finish();
      if (!again) return this.search(longer, true);
      this.set({
        state: {
          kind: 'failed',
          reason: 'The loader stopped unexpectedly, twice. Your load is as it was. Run it again.',
        },
      });
    };
    const { job, thread } = this.begin(plan, fail);
    this.set({ state: { kind: 'working', progress: null, longer }, changes: { kind: 'idle' } });
    const onProgress = (progress: LoaderProgress) => {
      if (this.job !== job) return;
      this.heard();
      this.set({ state: { kind: 'working', progress, longer } });
    };
    thread.load(plan, optionsOf(longer), onProgress).then(
      (proposal) => {
        if (this.job !== job || !proposal) return;
        this.finish();
        if (proposal.moved > 0 && this.plans.edit(proposal.edit))
          // What the rider kept to compare with stays until it is let go.
          if (!this.view.kept || this.view.kept.name === BEFORE)
            this.set({ kept: { load: plan.load, name: BEFORE } });
        this.set({ state: { kind: 'done', proposal } });
      },
      () => this.job === job && fail(),
    );
  }

  private plan(): Plan {
    return this.plans.getShown().draft.plan;
  }

  private begin(plan: Plan, onFail: () => void): { job: Job; thread: LoaderThread } {
    this.finish();
    this.isLooking = false;
    this.unwait();
    const job = { plan, onFail };
    this.job = job;
    this.heard();
    return { job, thread: this.theThread() };
  }

  /** The search under way lives: it has so long again. */
  private heard(): void {
    this.unwatch();
    this.unwatch = this.surroundings.later(() => {
      this.dismissThread();
      this.job?.onFail();
    }, SILENT_MS);
  }

  /** Nothing is under way any more. */
  private finish(): void {
    this.unwatch();
    this.unwatch = () => undefined;
    if (this.job) void this.thread?.rest();
    this.job = null;
  }

  private theThread(): LoaderThread {
    if (this.thread) return this.thread;
    const thread = this.surroundings.makeThread(() => {
      if (this.thread !== thread) return;
      this.dismissThread();
      this.job?.onFail();
    });
    return (this.thread = thread);
  }

  private dismissThread(): void {
    this.isLooking = false;
    this.unwait();
    this.thread?.end();
    this.thread = null;
  }

  private set(change: Partial<LoaderView>): void {
    this.view = { ...this.view, ...change };
    for (const listener of this.listeners) listener();
  }
}
