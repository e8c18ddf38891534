import type { Job } from '@harbor-latch/core/job/index';
import type { Summary } from '@harbor-latch/core/wire/index';
import { lineOf } from '@harbor-latch/core/wire/boatLine';
import { and, eq, sql } from 'drizzle-orm';
import type { Logger } from 'pino';
import type { Database } from '../db/connect';
import { ofToday } from '../db/ofToday';
import { boats } from '../db/schema';

/** A boat that somebody is working on is judged once that rests, ms. */
const REST_MS = 3000;
const AT_ONCE = 20;

export interface SummaryParts {
  readonly database: Database;
  readonly logger: Logger;
  /** Names the rules by which boats are judged: where that is another, all are judged anew. */
  readonly rules: string;
  /** Judges a boat; null where it cannot be. */
  readonly judge: (job: Job) => Promise<Omit<Summary, 'version'> | null>;
  /** Told whenever lists have something new. */
  readonly onSummaries: () => void;
}

/** Keeps with every boat how she stands, some seconds after each change. */
export class Summaries {
  private timer: NodeJS.Timeout | undefined;
  private working = false;
  private again = false;

  constructor(private readonly parts: SummaryParts) {}

  /** Says that boats changed. */
  readonly changed = (): void => {
    if (this.working) this.again = true;
    else this.timer ??= setTimeout(() => void this.work(), REST_MS).unref();
  };

  stop(): void {
    clearTimeout(this.timer);
    this.again = false;
  }

  /** Judges what is to be judged and has rested. */
  async work(restMs = REST_MS): Promise<void> {
    this.timer = undefined;
    this.working = true;
    this.again = false;
    try {
      while ((await this.some(restMs)) > 0) this.parts.onSummaries();
      this.again ||= (await this.waiting(0)).length > 0;
    } catch (error) {
      this.parts.logger.warn({ err: error instanceof Error ? error.message : String(error) }, 'lists are not judged');
      this.again = true;
    }
    this.working = false;
    if (this.again) this.changed();
  }

  private waiting(restMs: number) {
    return this.parts.database
      .select({ id: boats.id, version: boats.version, job: boats.job })
      .from(boats)
      .where(
        and(
          eq(boats.removed, false),
          sql`${boats.rules} is distinct from (${this.parts.rules} || ':' || ${boats.version})`,
          sql`${boats.savedAt} <= now() - ${restMs} * interval '1 millisecond'`,
        ),
      )
      .limit(AT_ONCE);
  }

  private async some(restMs: number): Promise<number> {
    const rows = await this.waiting(restMs);
    for (const { id, version, job } of rows) {
      const today = ofToday(job);
      const judged = await this.parts.judge(today).catch(() => null);
      await this.parts.database
        .update(boats)
        .set({
          line: lineOf(today),
          summary: judged && { version, ...judged },
          rules: `${this.parts.rules}:${version}`,
          changed: sql`pg_current_xact_id()`,
        })
        .where(and(eq(boats.id, id), eq(boats.version, version)));
    }
    return rows.length;
  }
}
