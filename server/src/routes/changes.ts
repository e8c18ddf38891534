import { Router } from 'express';
import { pointIn, type ChangeStore } from '../db/changeStore';
import { Problem } from '../problem';

/** What changed since a point. */
export function changeRoutes(store: ChangeStore): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const { after, jobs, stock, records } = request.query;
    const point = after === undefined || after === '' ? null : typeof after === 'string' ? pointIn(after) : undefined;
    if (point === undefined || (point === null && typeof after === 'string' && after !== ''))
      throw new Problem(400, 'bad-point', '"after" is a point that this address gave out before, or left out.', {
        errors: [{ path: '$.after', message: 'Not a point.' }],
      });
    if (jobs !== undefined && jobs !== 'all')
      throw new Problem(400, 'bad-jobs', '"jobs" is "all", or left out.', {
        errors: [{ path: '$.jobs', message: 'Not "all".' }],
      });
    if (stock !== undefined && stock !== 'all')
      throw new Problem(400, 'bad-stock', '"stock" is "all", or left out.', {
        errors: [{ path: '$.stock', message: 'Not "all".' }],
      });
    if (records !== undefined && records !== 'all')
      throw new Problem(400, 'bad-records', '"records" is "all", or left out.', {
        errors: [{ path: '$.records', message: 'Not "all".' }],
      });
    response.json(
      await store.since(point, { jobs: jobs === 'all', stock: stock === 'all', records: records === 'all' }),
    );
  });
  return router;
}
