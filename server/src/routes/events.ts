import { Router, type Response } from 'express';
import type { Live } from '../live/live';
import { Problem } from '../problem';

/** So many pages are told at once by one process. */
const MOST_STREAMS = 500;
const BEAT_MS = 15_000;

/** The stream that tells an open page that there is something new. */
export function eventRoutes(live: Live | undefined): Router {
  const router = Router();
  const open = new Set<Response>();
  router.get('/', (request, response) => {
    if (!live) throw new Problem(404, 'no-such-address', 'This server tells of no changes.');
    if (open.size >= MOST_STREAMS) throw new Problem(503, 'too-many-streams', 'Too many pages are open at once.');
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    response.write('retry: 2000\n\nevent: change\ndata: \n\n');
    open.add(response);
    const end = live.onChange(() => response.write('event: change\ndata: \n\n'));
    const beat = setInterval(() => response.write(': here\n\n'), BEAT_MS);
    request.on('close', () => {
      clearInterval(beat);
      end();
      open.delete(response);
    });
  });
  return router;
}
