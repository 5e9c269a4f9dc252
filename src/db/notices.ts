import pg from 'pg';

/** Of a trip: its new revision, that something was recorded, or that it was deleted. */
export type Notice = number | 'entries' | 'gone';
interface Listener {
  tell: (notice: Notice) => void;
  /** Some notices may have been missed; whoever listens should ask for the state and listen anew. */
  lost: () => void;
}

const RETRY_MS = 1000;

/** What the database tells of trips (migration 0014), passed on to those who listen, over one connection of its own. */
export class Notices {
  private readonly listeners = new Map<string, Set<Listener>>();
  private client: pg.Client | null = null;

  constructor(private readonly databaseUrl: string) {}

  /** Listens for a trip's notices; gives what ends that. */
  listen(accountId: string, tripId: string, listener: Listener): () => void {
    const key = `${accountId} ${tripId}`;
    const own = this.listeners.get(key) ?? new Set();
    this.listeners.set(key, own.add(listener));
    if (!this.client) void this.connect();
    return () => {
      own.delete(listener);
      if (own.size === 0 && this.listeners.get(key) === own) this.listeners.delete(key);
    };
  }

  private async connect(): Promise<void> {
    const client = new pg.Client({ connectionString: this.databaseUrl, keepAlive: true });
    this.client = client;
    const again = () => {
      if (this.client !== client) return;
      this.client = null;
      const all = [...this.listeners.values()].flatMap((own) => [...own]);
      this.listeners.clear();
      for (const { lost } of all) lost();
      void client.end().catch(() => undefined);
    };
    client.on('error', again);
    client.on('end', again);
    client.on('notification', ({ payload }) => {
      const [accountId, tripId, what] = (payload ?? '').split(' ');
      const notice = what === 'gone' || what === 'entries' ? what : Number(what);
      for (const { tell } of this.listeners.get(`${accountId} ${tripId}`) ?? []) tell(notice);
    });
    try {
      await client.connect();
      await client.query('listen trip');
    } catch {
      setTimeout(again, RETRY_MS).unref();
    }
  }
}
