import { jsonPath } from '@harbor-latch/core/file/index';
import { stockEntriesSchema } from '@harbor-latch/core/wire/index';
import { Router } from 'express';
import type { StockStore } from '../db/stockStore';
import { Problem } from '../problem';
import { writerOf } from './writer';

/** Entries of the yard's stock; they come back with what changed. */
export function stockRoutes(store: StockStore): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const writer = writerOf(request);
    const read = stockEntriesSchema.safeParse(request.body);
    if (!read.success) {
      const errors = read.error.issues.slice(0, 20).map(({ path, message }) => ({ path: jsonPath(path), message }));
      const [first] = errors;
      throw new Problem(400, 'bad-entry', `${first?.path ?? '$'}: ${first?.message ?? 'Not an entry.'}`, { errors });
    }
    response.json({ taken: await store.add(read.data.entries, writer.device) });
  });
  return router;
}
