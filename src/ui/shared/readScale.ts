/** Reads the scale: what is on it is told by the query. Rejects with a sentence on what went wrong. */
export async function readScale(tripId: string, query: Record<string, string>): Promise<number> {
  let reason: string;
  try {
    const response = await fetch(`/api/trips/${tripId}/scale?${new URLSearchParams(query).toString()}`);
    const { massG, error } = (await response.json()) as { massG?: number; error?: string };
    if (response.ok && massG !== undefined) return massG;
    reason = error ?? '';
  } catch {
    reason = 'Gorvin cannot be reached.';
  }
  throw new Error(`The scale does not answer. ${reason} Type the figure instead.`);
}
