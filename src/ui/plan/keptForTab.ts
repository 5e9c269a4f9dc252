import { UNSAVED } from '@/ui/phone/phone';

export interface TabKeep {
  get(): string | null;
  set(text: string | null): void;
  adopt(): Promise<boolean>;
}

/**
 * Where a tab keeps what it could not save. It outlives the browser, yet two tabs that are both offline must not take over each
 * other's changes: each has a key of its own, and holds a lock by that name while it lives.
 */
export function keptForTab(accountId: string, tripId: string): TabKeep {
  const prefix = `${UNSAVED}${accountId}:${tripId}:`;
  const key = () => prefix + tabId();
  return {
    get: () => localStorage.getItem(key()),
    set: (text: string | null) =>
      text === null ? localStorage.removeItem(key()) : localStorage.setItem(key(), text),
    /** Takes over what a tab that was closed could not save, unless this one has changes itself. True when there was something. */
    async adopt(): Promise<boolean> {
      if (!('locks' in navigator)) return false;
      const own = key();
      if (!held.has(own)) {
        held.add(own);
        void navigator.locks.request(own, () => new Promise(() => undefined));
      }
      const { held: locks = [], pending = [] } = await navigator.locks.query();
      const alive = new Set([...locks, ...pending].map(({ name }) => name));
      const orphan = Object.keys(localStorage).find(
        (other) => other.startsWith(prefix) && other !== own && !alive.has(other),
      );
      if (!orphan || localStorage.getItem(own) !== null) return false;
      localStorage.setItem(own, localStorage.getItem(orphan)!);
      localStorage.removeItem(orphan);
      return true;
    },
  };
}

/** Locks of this tab; they end with it. */
const held = new Set<string>();

function tabId(): string {
  const kept = sessionStorage.getItem('gorvin:tab');
  if (kept) return kept;
  const made = crypto.randomUUID();
  sessionStorage.setItem('gorvin:tab', made);
  return made;
}
