/** Sends something to the server. Gives null, or a sentence on what went wrong. */
export async function ask(
  method: string,
  url: string,
  body: unknown = {},
  init: RequestInit = {},
): Promise<string | null> {
  try {
    const response = await fetch(url, {
      method,
      ...init,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (response.ok) return null;
    const { error } = (await response.json().catch(() => ({}))) as { error?: string };
    return error ?? `The server answered with an error (${response.status}).`;
  } catch {
    return 'Gorvin cannot be reached. Is it running?';
  }
}
