import type { BuildProblem } from '@harbor-latch/core/build/buildList';
import { Notice } from '../../ui/Notice';

/** What of the building is refused or doubted, and what differs from the plan. */
export function Problems({
  problems,
  differences,
}: {
  readonly problems: readonly BuildProblem[];
  readonly differences: readonly string[];
}) {
  const refused = problems.filter((one) => one.refused);
  const doubted = problems.filter((one) => !one.refused);
  return (
    <>
      {refused.length > 0 ? (
        <Notice tone="stop" icon="alert-octagon">
          {refused.map(({ message }) => message).join('\n')}
        </Notice>
      ) : null}
      {doubted.length > 0 ? (
        <Notice tone="caution" icon="alert">
          {doubted.map(({ message }) => message).join('\n')}
        </Notice>
      ) : null}
      {differences.length > 0 ? (
        <Notice tone="note" icon="not-equal-variant">
          {['Built otherwise than planned; everything counts with it as built.', ...differences].join('\n')}
        </Notice>
      ) : null}
    </>
  );
}
