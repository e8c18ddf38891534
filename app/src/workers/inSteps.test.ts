import { inSteps } from './inSteps';

/** Work of so many steps, each of which takes so long by the clock. */
function* steps(count: number, eachMs: number, done: string[]): Generator<undefined, string> {
  for (let step = 1; step <= count; step += 1) {
    clock += eachMs;
    done.push(`step ${step}`);
    yield undefined;
  }
  return 'all';
}

let clock: number;
beforeEach(() => {
  clock = 1000;
  jest.spyOn(performance, 'now').mockImplementation(() => clock);
});
afterEach(() => jest.restoreAllMocks());

describe('work in steps', () => {
  it.each([
    ['at least 8 ms lets through what was asked meanwhile', 8, ['step 1', 'other', 'step 2', 'step 3']],
    ['less than 8 ms goes on', 2.6, ['step 1', 'step 2', 'step 3', 'other']],
    ['together at least 8 ms lets it through then', 4, ['step 1', 'step 2', 'other', 'step 3']],
  ])('that takes %s', async (_what, eachMs, order) => {
    const done: string[] = [];
    const other = new Promise((resolve) => setTimeout(() => resolve(done.push('other')), 0));
    expect(await inSteps(steps(3, eachMs, done))).toBe('all');
    await other;
    expect(done).toEqual(order);
  });

  it('tells what went wrong in it', async () => {
    const failing = (function* (): Generator<undefined, string> {
      yield undefined;
      throw new Error('No such circuit.');
    })();
    await expect(inSteps(failing)).rejects.toThrow('No such circuit.');
  });
});
