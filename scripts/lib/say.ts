/** Progress for a person, on stderr, so that what a command prints as its result stays clean. */
export const say = (text: string): void => void process.stderr.write(`${text}\n`);

/** Says what is under way, and how long it took when done. */
export async function step<Value>(what: string, work: () => Promise<Value> | Value): Promise<Value> {
  const started = performance.now();
  process.stderr.write(`${what} … `);
  try {
    const value = await work();
    process.stderr.write(`${((performance.now() - started) / 1000).toFixed(1)} s\n`);
    return value;
  } catch (error) {
    process.stderr.write('failed\n');
    throw error;
  }
}

/** An error whose message is all a person needs; printed without a stack. */
export class Plain extends Error {}

export function exitOn(error: unknown): never {
  say(
    error instanceof Plain
      ? error.message
      : error instanceof Error
        ? (error.stack ?? error.message)
        : String(error),
  );
  process.exit(1);
}
