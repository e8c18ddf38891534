import { EventEmitter } from 'node:events';
import type { Logger } from 'pino';
import pg from 'pg';

const CHANNEL = 'latch_changes';
/** Writes within so long are announced together, ms. */
const GATHER_MS = 40;
const SHORTEST_PAUSE_MS = 250;
const LONGEST_PAUSE_MS = 8000;

/**
 * Tells every process that serves the yard, and through them every open page, that there is something new. Only that
 * is told: what it is, each asks for itself. Announced after the write is kept, so that one announcement never makes
 * writes wait for one another; one that is lost with its process costs others some seconds, never the change.
 */
export class Live {
  private readonly heard = new EventEmitter().setMaxListeners(0);
  private client: pg.Client | undefined;
  private announcing: ReturnType<typeof setTimeout> | undefined;
  private stopped = false;

  constructor(
    private readonly url: string,
    private readonly logger: Logger,
  ) {}

  /** Begins to listen, and listens again whenever the connection was lost: what was missed then is told as something new. */
  start(pauseMs = SHORTEST_PAUSE_MS): void {
    const client = new pg.Client({ connectionString: this.url, keepAlive: true, connectionTimeoutMillis: 5000 });
    let over = false;
    const again = () => {
      if (over || this.stopped) return;
      over = true;
      this.client = undefined;
      void client.end().catch(() => undefined);
      setTimeout(() => this.start(Math.min(pauseMs * 2, LONGEST_PAUSE_MS)), pauseMs).unref();
    };
    client.on('error', again);
    client.on('end', again);
    client.on('notification', () => this.heard.emit('change'));
    client
      .connect()
      .then(() => client.query(`listen ${CHANNEL}`))
      .then(() => {
        this.client = client;
        this.heard.emit('change');
      })
      .catch((error: unknown) => {
        this.logger.warn({ err: error instanceof Error ? error.message : String(error) }, 'not listening for changes');
        again();
      });
  }

  /** Says that something was written. */
  readonly announce = (): void => {
    this.announcing ??= setTimeout(() => {
      this.announcing = undefined;
      const told = this.client?.query(`notify ${CHANNEL}`);
      // Without a connection only those who came to this process hear of it now.
      if (told) told.catch(() => this.heard.emit('change'));
      else this.heard.emit('change');
    }, GATHER_MS);
  };

  /** Calls at every change. @returns what ends that */
  onChange(call: () => void): () => void {
    this.heard.on('change', call);
    return () => this.heard.off('change', call);
  }

  async stop(): Promise<void> {
    this.stopped = true;
    clearTimeout(this.announcing);
    await this.client?.end().catch(() => undefined);
  }
}
