import { drillLoad } from './drillLoad';
import { drillSlowLink } from './drillSlowLink';
import { run } from './run';
import { say } from './say';

/** A long drill by its name: which tests it runs, and how many times as much as `npm test` does. */
const drills: Readonly<Record<string, { readonly tests: string; readonly env: Readonly<Record<string, string>> }>> = {
  volts: { tests: 'schemes/ngspice', env: { SHARE_OF_RUNS: '1' } },
  boats: { tests: 'wholeBoats', env: { SHARE_OF_RUNS: '8' } },
  badinput: { tests: 'routes/(boats|badRequests)', env: { SHARE_OF_RUNS: '8' } },
  proofs: { tests: 'prove/coverage', env: { DRAWS: '1000' } },
  hunts: { tests: 'trace/(hunt|predictions).test', env: { HUNTS: '96', SCHEMES: 'all' } },
  search: { tests: 'trace/search.test', env: { SCHEMES: 'all' } },
  trainees: { tests: 'trace/drill.test', env: { TRAINEE_SEEDS: '60' } },
  kills: { tests: 'crash', env: { KILLS: '500' } },
  offline: { tests: 'offline', env: { CHANGES: '500' } },
};

/** `npm run drill [-- volts | boats | badinput | proofs | hunts | search | trainees | kills | offline | load | slowlink]`: all but the last two without a name. */
async function main(): Promise<void> {
  const [name] = process.argv.slice(2);
  if (name === 'load') return drillLoad();
  if (name === 'slowlink') process.exit((await drillSlowLink()) ? 0 : 1);
  if (name !== undefined && !(name in drills)) {
    say(`Drills: ${[...Object.keys(drills), 'load', 'slowlink'].join(', ')}`);
    process.exit(2);
  }
  const chosen = Object.entries(drills).filter(([one]) => name === undefined || one === name);
  let good = true;
  for (const [what, { tests, env }] of chosen) {
    const args = ['--testPathPattern', tests];
    good = (await run({ what: `Drill: ${what}`, script: 'jest/bin/jest.js', args, env })) && good;
  }
  process.exit(good ? 0 : 1);
}

main().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
