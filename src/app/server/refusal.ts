/** An answer other than success, with a sentence for the rider. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly details: Record<string, unknown> = {},
    /** Seconds after which it may be tried again. */
    readonly retryAfter?: number,
  ) {
    super(message);
  }
}
