import pg from 'pg';
import { CHANGES_CHANNEL, type Changes } from './changes.js';
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
    private readonly shop: ShopChanges,
    private readonly changes: Changes,
  ) {
    shop.isHeard = false;
  }

  async start(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    this.client = client;
    client.on('notification', ({ channel, payload = '' }) => {
      if (channel === SHOP_CHANNEL) this.shop.tell();
      this.changes.tell(channel === SHOP_CHANNEL ? 'shop' : payload);
    });
    client.on('error', () => undefined); // Its end follows, and that is what counts.
    client.on('end', () => this.again());
    try {
      await client.connect();
      await client.query(`listen ${SHOP_CHANNEL}; listen ${CHANGES_CHANNEL}`);
      this.shop.isHeard = true;
      this.shop.tell();
      this.changes.tell('anything');
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
    this.shop.isHeard = false;
    this.shop.tell();
    clearTimeout(this.clock);
    if (!this.isClosed) this.clock = setTimeout(() => void this.start(), AGAIN_MS);
  }
}
