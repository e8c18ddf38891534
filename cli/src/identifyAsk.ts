import type { AssessedAlarm, AssessedPump } from '@harbor-latch/core/assess/index';
import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import { jsonPath } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import { HarnessIdentifier, harnessOf, type HarnessWay } from '@harbor-latch/core/trace/harness';
import { panelPosts } from '@harbor-latch/core/trace/panelPosts';
import { PostIdentifier } from '@harbor-latch/core/trace/posts';
import { z } from 'zod';
import { TraceAskError } from './traceAsk';

export interface IdentifyOptions {
  readonly circuit: string;
  readonly kind: string;
  readonly count?: string;
  readonly readings?: string;
}

const reads = z.enum(['none', 'some', 'beeps']);
const place = z.int().min(0).max(6);
const postReadings = z
  .array(
    z.strictObject({
      a: z.array(place).min(1).max(6),
      b: z.array(place).min(1).max(6),
      lever: z.enum(['off', 'auto', 'manual']),
      reads,
    }),
  )
  .max(200);
const harnessReadings = z.array(z.strictObject({ a: place, b: place, lifted: z.enum(['down', 'up']), reads })).max(200);

function parsed<Schema extends z.ZodType>(schema: Schema, given: unknown): z.infer<Schema> {
  const read = schema.safeParse(given ?? []);
  if (read.success) return read.data;
  const [first] = read.error.issues;
  throw new TraceAskError('bad-readings', first?.message ?? 'Not a list of readings.', jsonPath(first?.path ?? []));
}

/** How many posts or wires, as typed. */
function countIn(text: string | undefined, usual: number): number {
  if (text === undefined) return usual;
  const count = Number(text);
  if (Number.isInteger(count) && count >= 2 && count <= 7) return count;
  throw new TraceAskError('bad-count', `--count is 2 to 7, not "${text}".`, '$.count');
}

/** Which post or wire is which, as far as readings tell, and what to ask next. @throws TraceAskError */
export function identified(
  job: Job,
  assessed: AssessedPump | AssessedAlarm,
  { kind, count }: IdentifyOptions,
  given: unknown,
): unknown {
  if (kind === 'posts') return postsOf(job, assessed, countIn(count, 3), given);
  if (kind === 'harness') return harness(assessed, countIn(count, harnessOf(assessed).length), given);
  throw new TraceAskError('bad-kind', `--kind is posts or harness, not "${kind}".`, '$.kind');
}

function postsOf(job: Job, { circuit }: AssessedPump | AssessedAlarm, count: number, given: unknown): unknown {
  const panel = panelPosts(circuit, batteryOf(job, circuit), count);
  if (!panel)
    throw new TraceAskError(
      'no-panel',
      'This circuit’s switch has no manual and auto post to tell apart.',
      '$.circuits',
    );
  const found = new PostIdentifier(panel).after(parsed(postReadings, given));
  if (found.kind === 'faulty') return { suspects: [], next: [], faulty: found.faults };
  if (found.kind === 'asking')
    return { suspects: [], left: found.left, next: [{ ...found.question, mostQuestions: found.most }] };
  const { assignment, alike } = found;
  return { suspects: [{ assignment, share: 1 }], alike, next: [], settled: { assignment } };
}

function harness(assessed: AssessedPump | AssessedAlarm, count: number, given: unknown): unknown {
  const identifier = identifierOf(assessed, count);
  const found = identifier.after(parsed(harnessReadings, given));
  if (found.kind === 'faulty') return { suspects: [], next: [], faulty: true };
  if (found.kind === 'asking')
    return { suspects: [], left: found.left, next: [{ ...found.question, mostQuestions: found.most }] };
  const suspects = found.ways.map((way: HarnessWay) => ({ ...way, share: 1 / found.ways.length }));
  return { suspects, next: [], settled: { ways: found.ways, labels: found.labels } };
}

function identifierOf(assessed: AssessedPump | AssessedAlarm, count: number): HarnessIdentifier {
  try {
    return new HarnessIdentifier(assessed, count);
  } catch (error) {
    if (error instanceof RangeError) throw new TraceAskError('bad-count', error.message, '$.count');
    throw error;
  }
}
