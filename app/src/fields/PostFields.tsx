import { terminalName, terminalsOf } from '@harbor-latch/core/circuit/index';
import type { Battery, Circuit } from '@harbor-latch/core/job/index';
import { outlinePlan, terminalInWords } from '@harbor-latch/core/schemes/index';
import { Words } from '../ui/Words';
import { TextField } from './TextField';

/** What is printed at each post of the real panel; from then on it is called that. */
export function PostFields({
  index,
  circuit,
  battery,
}: {
  readonly index: number;
  readonly circuit: Circuit;
  readonly battery: Battery;
}) {
  const plan = outlinePlan(circuit, battery);
  const posts = plan.parts
    .filter(({ band, part }) => band === 'panel' && part.kind !== 'joint' && part.kind !== 'shared-load')
    .flatMap(({ part }) => terminalsOf(part).map((terminal) => ({ part: part.id, terminal })));
  return (
    <>
      <Words kind="small" muted>
        Write what is printed at the posts: the drawing and every list then use it. Posts without print: pull the fuse,
        put an ohmmeter between the common and each other post, and move the lever; the post that reads near nothing on
        manual is manual, on auto is auto. On many toggles the lever up closes the lower pair.
      </Words>
      {posts.map((post) => (
        <TextField
          key={terminalName(post)}
          path={['circuits', index, 'panel', 'posts', terminalName(post)]}
          label={terminalInWords(plan, post)}
        />
      ))}
    </>
  );
}
