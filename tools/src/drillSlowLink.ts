import { buildAll } from './build';
import { run } from './run';
import { withThrowawayServer } from './throwaway';

/** `npm run drill -- slowlink`: a phone that opens without a server, then 200 edits over a slow link. @returns whether it held */
export async function drillSlowLink(): Promise<boolean> {
  await buildAll();
  return withThrowawayServer(async ({ address }) =>
    run({
      what: 'Drill: slowlink',
      script: '@playwright/test/cli.js',
      args: [
        'test',
        '--config',
        'e2e/playwright.config.ts',
        'aboard',
        '-g',
        'edits one after the other',
        '--retries=0',
      ],
      env: { LATCH_ADDRESS: address, EDITS: '200' },
    }),
  );
}
