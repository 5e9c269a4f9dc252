/** Signs in to the demo account. Returns null, or a sentence on what went wrong. */
export async function signIn(): Promise<string | null> {
  try {
    const response = await fetch('/api/session', { method: 'POST' });
    if (response.ok) return null;
    return ((await response.json()) as { error?: string }).error ?? 'Signing in did not work.';
  } catch {
    return 'Gorvin cannot be reached. Is it running?';
  }
}
