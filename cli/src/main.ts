import { latch } from './latch';

const { status, stdout, stderr } = await latch(process.argv.slice(2));
process.stdout.write(stdout);
process.stderr.write(stderr);
process.exitCode = status;
