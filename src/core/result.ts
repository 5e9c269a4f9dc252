/** A typed outcome for the edges, where bad input is expected and must be explained rather than thrown. */
export type Result<Value, Problem = string> = { ok: true; value: Value } | { ok: false; error: Problem };

export const ok = <Value>(value: Value): { ok: true; value: Value } => ({ ok: true, value });
export const fail = <Problem>(error: Problem): { ok: false; error: Problem } => ({ ok: false, error });
