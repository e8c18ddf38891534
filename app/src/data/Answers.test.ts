import { newJob, type Job } from '@harbor-latch/core/job/index';
import { Answers, type Question } from './Answers';

const tern = newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern');
const named = (name: string): Job => ({ ...tern, boat: { ...tern.boat, name } });

/** Questions that are answered one after the other, by hand. */
function asking() {
  const asked: (readonly Question<string>[])[] = [];
  const open: ((answers: readonly (string | null)[]) => void)[] = [];
  const answers = new Answers<string>((some) => {
    asked.push(some);
    return new Promise((resolve) => open.push(resolve));
  }, 4);
  const answer = async (...of: (string | null)[]) => {
    open.shift()?.(of);
    await new Promise((resolve) => setTimeout(resolve));
  };
  return { answers, answer, names: () => asked.map((some) => some.map(({ job }) => job.boat.name)) };
}

describe('answers about boats', () => {
  it('asks once about a job that several want while it is being answered, and after', async () => {
    const { answers, answer, names } = asking();
    answers.want(tern, 'us');
    answers.want(tern, 'us');
    await answer('as she is');
    answers.want(tern, 'us');
    expect(names()).toEqual([['Tern']]);
    expect(answers.known(tern, 'us')).toEqual({ job: tern, answer: 'as she is', failed: false });
    expect(answers.working).toBe(false);
  });

  it('asks again where she was changed meanwhile, and where that was taken back', async () => {
    const { answers, answer, names } = asking();
    answers.want(tern, 'us');
    await answer('first');
    const other = named('Tern of Lowen');
    answers.want(other, 'us');
    // Back to what is known already, while the other is being answered.
    answers.want(tern, 'us');
    await answer('other');
    expect(answers.known(tern, 'us')?.answer).toBe('other');
    await answer('first again');
    expect(names()).toEqual([['Tern'], ['Tern of Lowen'], ['Tern']]);
    expect(answers.known(tern, 'us')).toEqual({ job: tern, answer: 'first again', failed: false });
  });

  it('keeps the last answer where none could be found, says so, and tries the next change anew', async () => {
    const { answers, answer } = asking();
    answers.want(tern, 'metric');
    await answer('good');
    const odd = named('Odd');
    answers.want(odd, 'metric');
    await answer(null);
    expect(answers.known(odd, 'metric')).toEqual({ job: odd, answer: 'good', failed: true });
    expect(answers.known(odd, 'us')).toBeNull();
    const mended = named('Mended');
    answers.want(mended, 'metric');
    await answer('well');
    expect(answers.known(mended, 'metric')).toEqual({ job: mended, answer: 'well', failed: false });
  });
});
