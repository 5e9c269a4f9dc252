/** Questions to a thread of which only the last is answered. */
export interface OneAtATime {
  /**
   * Runs a generator to its end and tells its progress on the way, with a breath after each step.
   *
   * @returns null where something else was asked meanwhile, or it was told to rest
   */
  ask<Progress, Result>(
    run: Generator<Progress, Result, boolean | undefined>,
    onProgress: (progress: Progress) => void,
  ): Promise<Result | null>;
  /** Hands `true` to what runs: it is to end with the best it has. */
  stop(): void;
  /** Ends what runs without an answer. */
  rest(): void;
}

/** @param breath lets messages in: a thread that is busy hears nothing */
export function oneAtATime(breath: () => Promise<void>): OneAtATime {
  let stopping = false;
  let turn = 0;
  return {
    async ask(run, onProgress) {
      const mine = (turn += 1);
      stopping = false;
      let step = run.next();
      while (!step.done) {
        onProgress(step.value);
        await breath();
        if (mine !== turn) return null;
        step = run.next(stopping);
      }
      return step.value;
    },
    stop() {
      stopping = true;
    },
    rest() {
      turn += 1;
    },
  };
}
