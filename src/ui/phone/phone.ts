import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Entry } from '@/core/entries/entry';
import type { Draft } from '@/core/plan/history';
import type { UnitSystem } from '@/core/units/parse';

/** A trip as this phone can open it without a network. */
export interface KeptTrip {
  tripId: string;
  units: UnitSystem;
  draft: Draft;
  revision: number;
  departedAt?: string;
  /** When it was last opened or changed, in milliseconds since 1970. */
  keptAt: number;
}

/** An entry, and whether the server has it. */
export interface KeptEntry {
  entry: Entry;
  isSent: boolean;
}

interface Tables extends DBSchema {
  trip: { key: string; value: KeptTrip };
  entry: { key: [string, string]; value: KeptEntry & { tripId: string }; indexes: { byTrip: string } };
}

/** Trips that are kept at most; the ones that were not opened for longest make room. */
const MOST_TRIPS = 20;
const PREFIX = 'gorvin:';
/** Begins the keys of changes that a tab could not save. */
export const UNSAVED = `${PREFIX}unsaved:`;
const ACCOUNT = `${PREFIX}account`;
const nameOf = (accountId: string) => `gorvin-${accountId}`;

/**
 * What a browser keeps of one account: trips and entries, in an IndexedDB database of that account's own, so that no page ever opens
 * what is another's. All of it rejects where storage is denied or full.
 */
export class Phone {
  private constructor(private readonly database: IDBPDatabase<Tables>) {}

  static async open(accountId: string): Promise<Phone> {
    const database = await openDB<Tables>(nameOf(accountId), 1, {
      upgrade(opened) {
        opened.createObjectStore('trip', { keyPath: 'tripId' });
        opened
          .createObjectStore('entry', { keyPath: ['tripId', 'entry.id'] })
          .createIndex('byTrip', 'tripId');
      },
      // Signed out in another tab: the database is about to be deleted, and must not wait for this one.
      blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
    });
    return new Phone(database);
  }

  async keepTrip(trip: KeptTrip): Promise<void> {
    await this.database.put('trip', trip);
    const trips = await this.trips();
    for (const { tripId } of trips.slice(MOST_TRIPS)) await this.database.delete('trip', tripId);
  }

  readTrip(tripId: string): Promise<KeptTrip | undefined> {
    return this.database.get('trip', tripId);
  }

  /** The trips that are kept, the last one used first. */
  async trips(): Promise<KeptTrip[]> {
    return (await this.database.getAll('trip')).sort((a, b) => b.keptAt - a.keptAt);
  }

  async forgetTrip(tripId: string): Promise<void> {
    await this.database.delete('trip', tripId);
  }

  async readEntries(tripId: string): Promise<KeptEntry[]> {
    return this.database.getAllFromIndex('entry', 'byTrip', tripId);
  }

  /** Keeps entries; those that are there already get the new mark. */
  async keepEntries(tripId: string, entries: readonly KeptEntry[]): Promise<void> {
    const transaction = this.database.transaction('entry', 'readwrite');
    for (const entry of entries) void transaction.store.put({ ...entry, tripId });
    await transaction.done;
  }

  /** How many entries of all trips are on this phone only. */
  async unsent(): Promise<number> {
    return (await this.database.getAll('entry')).filter(({ isSent }) => !isSent).length;
  }

  close(): void {
    this.database.close();
  }
}

/** The account whose trips this phone opens without a network; null where nobody is signed in, or storage is denied. */
export function accountOnPhone(): string | null {
  try {
    return localStorage.getItem(ACCOUNT);
  } catch {
    return null;
  }
}

/**
 * Notes who is signed in. What an earlier account kept is deleted, except entries that never reached the server: those wait, unseen,
 * for that account to sign in again.
 */
export async function enterPhone(accountId: string): Promise<Phone> {
  const earlier = accountOnPhone();
  if (earlier !== null && earlier !== accountId) {
    const phone = await Phone.open(earlier);
    const unsent = await phone.unsent();
    phone.close();
    if (unsent === 0) await deleteDB(nameOf(earlier));
  }
  localStorage.setItem(ACCOUNT, accountId);
  return Phone.open(accountId);
}

/** Where changes are kept that a tab of an account could not save. */
const unsavedOf = (accountId: string): string[] =>
  Object.keys(localStorage).filter((key) => key.startsWith(`${UNSAVED}${accountId}:`));

/** How many entries and unsaved lists of changes would be lost if this phone were cleared now. */
export async function unsentOnPhone(): Promise<number> {
  const accountId = accountOnPhone();
  if (accountId === null) return 0;
  const phone = await Phone.open(accountId);
  const unsent = await phone.unsent();
  phone.close();
  return unsent + unsavedOf(accountId).length;
}

/** Deletes everything that was kept here of whoever was signed in. What another account could not send still waits for it. */
export async function clearPhone(): Promise<void> {
  try {
    const accountId = accountOnPhone();
    if (accountId === null) return;
    for (const key of unsavedOf(accountId)) localStorage.removeItem(key);
    localStorage.removeItem(ACCOUNT);
    await deleteDB(nameOf(accountId));
  } catch {
    // Where storage is denied nothing was kept.
  }
}
