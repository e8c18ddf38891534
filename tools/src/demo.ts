import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText, type Job } from '@harbor-latch/core';
import { demoRecords, sendRecords } from './demoRecords';
import { demoStock } from './demoStock';
import { examplesFolder } from './places';

/** Puts the boats of Quillan Reach into an empty yard with their years, through the API. @returns how many were added. */
export async function loadDemo(address: string, at = new Date()): Promise<number> {
  const added = await loadDemoBoats(address, at);
  if (added > 0) await loadDemoYears(address, at);
  return added;
}

/** The demo's boats as they stand at a time. */
function demoJobs(at: Date): Job[] {
  const jobs = readdirSync(examplesFolder)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .map((file) => {
      const read = readJobText(readFileSync(join(examplesFolder, file), 'utf8'));
      if (!read.ok) throw new Error(`${file}: ${read.problems[0].path}: ${read.problems[0].message}`);
      return read.job;
    });
  const laterMs = at.getTime() - LAST_STEP_AGO_MS - lastStepMs(jobs);
  return jobs.map((job) => stepsLater(job, laterMs));
}

/** The years of records of the demo's boats, which lie there already. */
export async function loadDemoYears(address: string, at: Date): Promise<void> {
  await sendRecords(address, demoRecords(demoJobs(at), at));
}

/** The boats and the stock, without any records. @returns how many boats were added */
export async function loadDemoBoats(address: string, at: Date): Promise<number> {
  const { boats } = (await (await fetch(`${address}/api/boats`)).json()) as { boats: unknown[] };
  if (boats.length > 0) return 0;
  const jobs = demoJobs(at);
  for (const job of jobs) {
    const answer = await fetch(`${address}/api/boats/${job.boat.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
      body: JSON.stringify(job),
    });
    if (!answer.ok) throw new Error(`${job.boat.name} was not accepted: ${await answer.text()}`);
  }
  const answer = await fetch(`${address}/api/stock`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ entries: demoStock(at) }),
  });
  if (!answer.ok) throw new Error(`The stock was not accepted: ${await answer.text()}`);
  return jobs.length;
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
