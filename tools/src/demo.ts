import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText, type Job } from '@harbor-latch/core';
import { demoRecords, sendRecords } from './demoRecords';
import { demoStock } from './demoStock';
import { examplesFolder } from './places';

/** Puts the boats of Quillan Reach into an empty yard, through the API. @returns how many were added. */
export async function loadDemo(address: string, at = new Date()): Promise<number> {
  const { boats } = (await (await fetch(`${address}/api/boats`)).json()) as { boats: unknown[] };
  if (boats.length > 0) return 0;
  const files = readdirSync(examplesFolder)
    .filter((name) => name.endsWith('.json'))
    .sort();
  const jobs = files.map((file) => {
    const read = readJobText(readFileSync(join(examplesFolder, file), 'utf8'));
    if (!read.ok) throw new Error(`${file}: ${read.problems[0].path}: ${read.problems[0].message}`);
    return { file, job: read.job };
  });
  const laterMs = at.getTime() - LAST_STEP_AGO_MS - lastStepMs(jobs.map(({ job }) => job));
  for (const { file, job } of jobs) {
    const answer = await fetch(`${address}/api/boats/${job.boat.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
      body: JSON.stringify(stepsLater(job, laterMs)),
    });
    if (!answer.ok) throw new Error(`${file} was not accepted: ${await answer.text()}`);
  }
  const answer = await fetch(`${address}/api/stock`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ entries: demoStock(at) }),
  });
  if (!answer.ok) throw new Error(`The stock was not accepted: ${await answer.text()}`);
  await sendRecords(
    address,
    demoRecords(
      jobs.map(({ job }) => stepsLater(job, laterMs)),
      at,
    ),
  );
  return files.length;
}

/** The last step of the demo was done so long ago: the clocks of what cures run. */
const LAST_STEP_AGO_MS = 3 * 3600 * 1000;

function lastStepMs(jobs: readonly Job[]): number {
  const times = jobs.flatMap(({ circuits }) => circuits.flatMap(({ steps }) => Object.values(steps ?? {})));
  return Math.max(0, ...times.map(({ at }) => Date.parse(at)));
}

/** A job whose steps were all done later by the same time. */
function stepsLater(job: Job, laterMs: number): Job {
  const later = (at: string) => new Date(Date.parse(at) + laterMs).toISOString();
  return {
    ...job,
    circuits: job.circuits.map(({ steps, ...circuit }) =>
      steps === undefined
        ? circuit
        : {
            ...circuit,
            steps: Object.fromEntries(Object.entries(steps).map(([id, mark]) => [id, { ...mark, at: later(mark.at) }])),
          },
    ),
  };
}
