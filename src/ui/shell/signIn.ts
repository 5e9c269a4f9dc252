/** Opens the demo, or the rider's own space on this machine. Returns null, or a sentence on what went wrong. */
export async function signIn(space: 'own' | 'demo' = 'demo'): Promise<string | null> {
  try {
    const response = await fetch('/api/session', { method: 'POST', body: JSON.stringify({ space }) });
    if (response.ok) return null;
    return ((await response.json()) as { error?: string }).error ?? 'Signing in did not work.';
  } catch {
    return 'Gorvin cannot be reached. Is it running?';
  }
}
