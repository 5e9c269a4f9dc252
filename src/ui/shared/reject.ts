import { ask } from './ask';

/**
 * Says whether new plans leave out a rate, a limit or a need; delivered even if the page is left at once. Should it not reach the server, the
 * next press does.
 */
export const reject = (name: string, rejected: boolean): Promise<string | null> =>
  ask('PUT', '/api/learned', { name, rejected }, { keepalive: true });
