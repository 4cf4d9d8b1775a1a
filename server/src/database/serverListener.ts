import pg from 'pg';
import { SHOP_CHANNEL, type ShopChanges } from './shopChanges.js';

/** How long to wait before the database is asked again, ms. */
const AGAIN_MS = 500;

/** Listens on a connection of its own; a lost one is made again, and what may have been missed meanwhile counts as a change. */
export class ServerListener {
  private client: pg.Client | undefined;
  private clock: NodeJS.Timeout | undefined;
  private isClosed = false;

  constructor(
    private readonly url: string,
    private readonly changes: ShopChanges,
  ) {
    changes.isHeard = false;
  }

  async start(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    this.client = client;
    client.on('notification', () => this.changes.tell());
    client.on('error', () => undefined); // Its end follows, and that is what counts.
    client.on('end', () => this.again());
    try {
      await client.connect();
      await client.query(`listen ${SHOP_CHANNEL}`);
      this.changes.isHeard = true;
      this.changes.tell();
    } catch {
      this.again();
    }
  }

  async close(): Promise<void> {
    this.isClosed = true;
    clearTimeout(this.clock);
    await this.client?.end();
  }

  private again(): void {
    this.changes.isHeard = false;
    this.changes.tell();
    clearTimeout(this.clock);
    if (!this.isClosed) this.clock = setTimeout(() => void this.start(), AGAIN_MS);
  }
}
