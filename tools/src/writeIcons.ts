import { writeIcons } from './icons';
import { say } from './say';

writeIcons().catch((error: unknown) => {
  say(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
