import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText } from '@harbor-latch/core';
import { examplesFolder } from './places';

/** Puts the boats of Quillan Reach into an empty yard, through the API. @returns how many were added. */
export async function loadDemo(address: string): Promise<number> {
  const { boats } = (await (await fetch(`${address}/api/boats`)).json()) as { boats: unknown[] };
  if (boats.length > 0) return 0;
  const files = readdirSync(examplesFolder)
    .filter((name) => name.endsWith('.json'))
    .sort();
  for (const file of files) {
    const read = readJobText(readFileSync(join(examplesFolder, file), 'utf8'));
    if (!read.ok) throw new Error(`${file}: ${read.problems[0].path}: ${read.problems[0].message}`);
    const answer = await fetch(`${address}/api/boats/${read.job.boat.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
      body: JSON.stringify(read.job),
    });
    if (!answer.ok) throw new Error(`${file} was not accepted: ${await answer.text()}`);
  }
  return files.length;
}
