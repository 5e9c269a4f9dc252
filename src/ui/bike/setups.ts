import type { Setup } from '@/core/commands/putOnTrip';

async function answered(response: Response): Promise<unknown> {
  const body = (await response.json().catch(() => ({}))) as { error?: string };
  if (!response.ok) throw new Error(body.error ?? `The server answered with an error (${response.status}).`);
  return body;
}
const reach = (url: string, init?: RequestInit): Promise<unknown> =>
  fetch(url, init).then(answered, () => {
    throw new Error('Gorvin cannot be reached.');
  });

/** The account's set-ups, over HTTP. Each throws a sentence when it fails. */
export const fetchSetups = (): Promise<Setup[]> =>
  reach('/api/setups').then((body) => (body as { setups: Setup[] }).setups);
export const keepSetup = (setup: Setup): Promise<unknown> =>
  reach('/api/setups', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(setup),
  });
export const deleteSetup = (id: string): Promise<unknown> => reach(`/api/setups/${id}`, { method: 'DELETE' });
