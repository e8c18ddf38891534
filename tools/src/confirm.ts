import { createInterface } from 'node:readline/promises';
import { say } from './say';

/** Asks before something that cannot be undone; `--yes` answers for whoever cannot be asked. */
export async function confirm(what: string): Promise<boolean> {
  if (process.argv.includes('--yes')) return true;
  if (!process.stdin.isTTY) {
    say(`${what} Nobody can be asked here: add --yes to confirm.`);
    return false;
  }
  const question = createInterface({ input: process.stdin, output: process.stderr });
  const answer = await question.question(`${what} Type "yes" to go on: `);
  question.close();
  return answer.trim().toLowerCase() === 'yes';
}
