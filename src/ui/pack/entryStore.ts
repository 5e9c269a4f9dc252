import {
  bagReadings,
  doneTasks,
  packedThings,
  MOST_ENTRIES,
  type Entry,
  type Tested,
} from '@/core/entries/entry';
import type { TestCheck } from '@/core/instructions/testRide';
import type { KeptEntry } from '@/ui/phone/phone';

/** What the rider sees of what was recorded. */
export interface Recorded {
  packed: ReadonlySet<string>;
  /** The last reading of each packed bag, in grams. */
  readings: ReadonlyMap<string, number>;
  /** Tasks of the last-minute list that are done. */
  done: ReadonlySet<string>;
  /** Answers of the test ride. */
  tested: readonly Tested[];
  /** Everything, in no order: the log, answers of the review. */
  all: readonly Entry[];
  /** The server was asked, with whatever outcome: until then it is not known that there is nothing. */
  isRead: boolean;
  /** Entries that are not on the server yet. */
  unsent: number;
  /** Why they are not, as a sentence; null while all is well. */
  problem: string | null;
  /** True where they will not get there by themselves: the rider may save them as a file. */
  isStuck: boolean;
}

/** What the store asks of the world; tests hand in their own. */
export interface EntrySurroundings {
  fetch: (url: string, init?: RequestInit) => Promise<Response>;
  later: (run: () => void, ms: number) => () => void;
  /** Outlives this page, and the browser. Rejects where storage is denied or full. */
  keep: { read(): Promise<KeptEntry[]>; write(entries: readonly KeptEntry[]): Promise<void> };
  makeId: () => string;
  now: () => Date;
}

/** An entry without what the phone adds. */
export type Recordable = Entry extends infer One
  ? One extends Entry
    ? Omit<One, 'id' | 'at'>
    : never
  : never;

const RETRY_MS = 5000;
/** Answers that sending the same again would not change. */
const REFUSED = new Set([400, 413, 422]);
const NOTHING: Recorded = {
  packed: new Set(),
  readings: new Map(),
  done: new Set(),
  tested: [],
  all: [],
  isRead: false,
  unsent: 0,
  problem: null,
  isStuck: false,
};

/**
 * What is recorded of a trip, as one phone has it. Each entry shows at once, is kept on the phone, and goes to the server in a
 * batch when it can be reached; what others recorded is joined to it.
 */
export class EntryStore {
  private entries = new Map<string, Entry>();
  private unsent: Entry[] = [];
  /** What the server will not take; on the phone it stays, and a later visit tries again. */
  private refused: Entry[] = [];
  private problem: string | null = null;
  private isStuck = false;
  private isRead = false;
  private sending = false;
  /** Something was recorded elsewhere while this phone was sending. */
  private again = false;
  private cancelRetry: () => void = () => undefined;
  private listeners = new Set<() => void>();
  private recorded = NOTHING;

  constructor(
    private readonly tripId: string,
    private readonly surroundings: EntrySurroundings,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getRecorded = (): Recorded => this.recorded;

  /** Takes up what is kept on this phone, then asks the server for the rest. Call once in the browser. */
  async start(): Promise<void> {
    const kept = await this.surroundings.keep.read().catch(() => []);
    // What was recorded while this was being read may be in it already.
    this.unsent.unshift(
      ...kept.flatMap(({ entry, isSent }) => (isSent || this.entries.has(entry.id) ? [] : [entry])),
    );
    this.join(kept.map(({ entry }) => entry));
    this.changed();
    await this.flush();
  }

  stop(): void {
    this.cancelRetry();
  }

  /** What is on this phone only. */
  unsentEntries(): Entry[] {
    return [...this.unsent, ...this.refused];
  }

  /** Ticks a thing off, or takes the tick back. */
  tick(thingId: string, packed: boolean): void {
    this.record({ kind: 'packed', thingId, packed });
  }

  /** Takes down what a packed bag weighs. */
  weigh(bagId: string, massG: number): void {
    this.record({ kind: 'weighed', bagId, massG });
  }

  /** Notes a task of the last-minute list as done, or not done after all. */
  finish(taskId: string, done: boolean): void {
    this.record({ kind: 'done', taskId, done });
  }

  /** Answers one check of the test ride. */
  answer(check: TestCheck, bikeId: string, bagId: string | null, isGood: boolean): void {
    this.record({ kind: 'tested', check, bikeId, bagId, isGood });
  }

  /** Records whatever else there is to record: lines of the log, answers of the review. */
  record(what: Recordable): void {
    const { makeId, now } = this.surroundings;
    const entry: Entry = { id: makeId(), at: this.after(now()), ...what };
    this.join([entry]);
    this.unsent.push(entry);
    this.problem = null;
    this.keep([entry], false);
    this.changed();
    void this.flush();
  }

  /** Sends what is not sent yet, and takes up what others recorded. */
  async flush(): Promise<void> {
    if (this.sending) {
      this.again = true;
      return;
    }
    this.sending = true;
    this.cancelRetry();
    try {
      let most = MOST_ENTRIES;
      do {
        this.again = false;
        const batch = this.unsent.slice(0, most);
        const response = await this.surroundings.fetch(`/api/trips/${this.tripId}/entries`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ entries: batch }),
        });
        const body = (await response.json()) as { entries?: Entry[]; error?: string };
        if (response.ok && body.entries) this.taken(batch, body.entries);
        // One entry that the server cannot take must not hold up the others.
        else if (REFUSED.has(response.status) && batch.length > 1) most = 1;
        else if (REFUSED.has(response.status) && batch.length === 1) {
          this.refused.push(this.unsent.shift()!);
          this.stuck(`The server did not take an entry: ${body.error ?? 'it says no more'}`);
        } else if (response.status === 404)
          return this.stuck('This trip was deleted, here or on another device.');
        else if (response.status === 401) return this.stuck('You are signed out. Sign in again.');
        else return this.later(body.error ?? `The server answered with an error (${response.status}).`);
      } while (this.unsent.length > 0 || this.again);
    } catch {
      this.later('No network.');
    } finally {
      this.sending = false;
    }
  }

  private taken(batch: readonly Entry[], all: readonly Entry[]): void {
    this.isRead = true;
    const sent = new Set(batch.map(({ id }) => id));
    this.unsent = this.unsent.filter(({ id }) => !sent.has(id));
    const news = all.filter(({ id }) => sent.has(id) || !this.entries.has(id));
    this.join(all);
    this.isStuck = this.refused.length > 0;
    if (!this.isStuck) this.problem = null;
    this.keep(news, true);
    this.changed();
  }

  private later(reason: string): void {
    this.isRead = true;
    this.problem = reason;
    this.changed();
    this.cancelRetry = this.surroundings.later(() => void this.flush(), RETRY_MS);
  }

  private stuck(reason: string): void {
    this.isRead = true;
    this.problem = reason;
    this.isStuck = true;
    this.changed();
  }

  /** A moment after all that are known: what is recorded later counts later, whatever the clock says. */
  private after(now: Date): string {
    let latest = now.getTime();
    for (const { at } of this.entries.values()) latest = Math.max(latest, Date.parse(at) + 1);
    return new Date(latest).toISOString();
  }

  private join(entries: readonly Entry[]): void {
    for (const entry of entries) this.entries.set(entry.id, entry);
  }

  private keep(entries: readonly Entry[], isSent: boolean): void {
    if (entries.length === 0) return;
    this.surroundings.keep.write(entries.map((entry) => ({ entry, isSent }))).catch(() => {
      if (isSent) return;
      this.problem = 'This phone has no room to keep what is not sent yet. Leave the page open until it is.';
      this.changed();
    });
  }

  private changed(): void {
    const all = [...this.entries.values()];
    this.recorded = {
      packed: packedThings(all),
      readings: bagReadings(all),
      done: doneTasks(all),
      tested: all.filter((entry) => entry.kind === 'tested'),
      all,
      isRead: this.isRead,
      unsent: this.unsent.length + this.refused.length,
      problem: this.problem,
      isStuck: this.isStuck,
    };
    for (const listener of this.listeners) listener();
  }
}
