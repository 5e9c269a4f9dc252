import { bagReadings, packedThings, MOST_ENTRIES, type Entry } from '@/core/entries/entry';

/** What the rider sees of what was recorded. */
export interface Recorded {
  packed: ReadonlySet<string>;
  /** The last reading of each packed bag, in grams. */
  readings: ReadonlyMap<string, number>;
  /** Entries that are not on the server yet. */
  unsent: number;
  /** Why they are not, as a sentence; null while all is well. */
  problem: string | null;
}

/** What the store asks of the world; tests hand in their own. */
export interface EntrySurroundings {
  fetch: (url: string, init?: RequestInit) => Promise<Response>;
  later: (run: () => void, ms: number) => () => void;
  /** Outlives this page, and the browser. Throws where there is no room. */
  keep: { get(): string | null; set(text: string | null): void };
  makeId: () => string;
  now: () => Date;
}

/** An entry without what the phone adds. */
type Recordable = Entry extends infer One ? (One extends Entry ? Omit<One, 'id' | 'at'> : never) : never;

const RETRY_MS = 5000;

/**
 * What is recorded of a trip, as one phone has it. Each entry shows at once, is kept on the phone, and goes to the server in a
 * batch when it can be reached; what others recorded is joined to it.
 */
export class EntryStore {
  private entries = new Map<string, Entry>();
  private unsent: Entry[] = [];
  private problem: string | null = null;
  private sending = false;
  /** Something was recorded elsewhere while this phone was sending. */
  private again = false;
  private cancelRetry: () => void = () => undefined;
  private listeners = new Set<() => void>();
  private recorded: Recorded = { packed: new Set(), readings: new Map(), unsent: 0, problem: null };

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
  start(): void {
    try {
      const kept = JSON.parse(this.surroundings.keep.get() ?? '[]') as Entry[];
      this.unsent = kept;
      this.join(kept);
    } catch {
      // What cannot be read is nothing that could be sent.
    }
    this.changed();
    void this.flush();
  }

  stop(): void {
    this.cancelRetry();
  }

  /** Ticks a thing off, or takes the tick back. */
  tick(thingId: string, packed: boolean): void {
    this.record({ kind: 'packed', thingId, packed });
  }

  /** Takes down what a packed bag weighs. */
  weigh(bagId: string, massG: number): void {
    this.record({ kind: 'weighed', bagId, massG });
  }

  private record(what: Recordable): void {
    const { makeId, now } = this.surroundings;
    const entry: Entry = { id: makeId(), at: this.after(now()), ...what };
    this.join([entry]);
    this.unsent.push(entry);
    this.problem = null;
    this.keep();
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
      do {
        this.again = false;
        const batch = this.unsent.slice(0, MOST_ENTRIES);
        const response = await this.surroundings.fetch(`/api/trips/${this.tripId}/entries`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ entries: batch }),
        });
        const body = (await response.json()) as { entries?: Entry[]; error?: string };
        if (!response.ok || !body.entries) {
          this.later(body.error ?? `The server answered with an error (${response.status}).`);
          return;
        }
        const sent = new Set(batch.map(({ id }) => id));
        this.unsent = this.unsent.filter(({ id }) => !sent.has(id));
        this.join(body.entries);
        this.problem = null;
        this.keep();
        this.changed();
      } while (this.unsent.length > 0 || this.again);
    } catch {
      this.later('No network.');
    } finally {
      this.sending = false;
    }
  }

  private later(reason: string): void {
    this.problem = reason;
    this.changed();
    this.cancelRetry = this.surroundings.later(() => void this.flush(), RETRY_MS);
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

  private keep(): void {
    try {
      this.surroundings.keep.set(this.unsent.length > 0 ? JSON.stringify(this.unsent) : null);
    } catch {
      this.problem = 'This phone has no room to keep what is not sent yet. Leave the page open until it is.';
    }
  }

  private changed(): void {
    this.recorded = {
      packed: packedThings([...this.entries.values()]),
      readings: bagReadings([...this.entries.values()]),
      unsent: this.unsent.length,
      problem: this.problem,
    };
    for (const listener of this.listeners) listener();
  }
}
