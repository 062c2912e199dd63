import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { z } from 'zod';

/** The channel on which processes that share a database tell each other what has changed. */
export const CHANNEL = 'incremen_news';

/** What one process tells the others: PostgreSQL carries 8,000 bytes at most, so the changes themselves are looked up. */
const word = z.strictObject({
  from: z.uuid(),
  operationId: z.uuid(),
  entryId: z.uuid().nullable(),
  revision: z.number(),
});
export type Word = Omit<z.infer<typeof word>, 'from'>;

/** Waiting before a line that broke is made anew. */
const AGAIN_MS = 1000;

/**
 * The line between processes that serve one database, by LISTEN and NOTIFY of PostgreSQL. It is open as long as somebody
 * here wants to hear.
 */
export class ProcessWire {
  private readonly self = randomUUID();
  private readonly url: string;
  private readonly hear: (word: Word) => void;
  private client: pg.Client | null = null;
  private opening: Promise<void> | null = null;
  private wanted = false;

  /** @param hear - told what other processes have changed; what this one said itself is left out */
  constructor(url: string, hear: (word: Word) => void) {
    this.url = url;
    this.hear = hear;
  }

  /** What is sent on {@link CHANNEL}, as its text. */
  textOf(told: Word): string {
    return JSON.stringify({ from: this.self, ...told });
  }

  /** Resolves once this process hears the others. */
  open(): Promise<void> {
    this.wanted = true;
    this.opening ??= this.connect();
    return this.opening;
  }

  async close(): Promise<void> {
    this.wanted = false;
    const { client } = this;
    this.client = null;
    this.opening = null;
    await client?.end().catch(() => undefined);
  }

  private async connect(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    client.on('notification', ({ payload }) => {
      const told = read(payload ?? '');
      if (told && told.from !== this.self) this.hear(told);
    });
    client.on('error', () => this.lineBroke(client));
    client.on('end', () => this.lineBroke(client));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      if (this.wanted) this.client = client;
      else await client.end();
    } catch {
      this.lineBroke(client);
    }
  }

  /** A database that was away is asked again; pages look for news themselves meanwhile. */
  private lineBroke(client: pg.Client): void {
    if (this.client !== null && this.client !== client) return;
    this.client = null;
    this.opening = null;
    if (this.wanted) setTimeout(() => this.wanted && void this.open(), AGAIN_MS).unref();
  }
}

function read(text: string): z.infer<typeof word> | null {
  try {
    return word.parse(JSON.parse(text));
  } catch {
    return null;
  }
}
