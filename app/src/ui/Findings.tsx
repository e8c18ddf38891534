import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import { FindingCard } from './FindingCard';
import { useStable } from './useStable';

/** Findings one under the other, each with what answers it. */
export function Findings({
  findings,
  fixes,
  main = true,
  onTake,
}: {
  readonly findings: readonly Finding[];
  /** By finding; null while they are being tried for the first time. */
  readonly fixes: Readonly<Record<string, Fix>> | null;
  /** Whether the first fix is the main action of its page: no page has two. */
  readonly main?: boolean;
  readonly onTake: (findingId: string) => void;
}) {
  const take = useStable(onTake);
  const first = main ? findings.find(({ id }) => fixes?.[id])?.id : undefined;
  return (
    <>
      {findings.map((finding) => (
        <FindingCard
          key={finding.id}
          finding={finding}
          fix={fixes?.[finding.id]}
          main={finding.id === first}
          trying={fixes === null && finding.mayHaveFix}
          onFix={take}
        />
      ))}
    </>
  );
}
