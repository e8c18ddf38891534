import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import { FindingCard } from './FindingCard';
import { useStable } from './useStable';

/** Findings one under the other, each with what answers it. */
export function Findings({
  findings,
  fixes,
  onTake,
}: {
  readonly findings: readonly Finding[];
  /** By finding; null while they are being tried for the first time. */
  readonly fixes: Readonly<Record<string, Fix>> | null;
  readonly onTake: (findingId: string) => void;
}) {
  const take = useStable(onTake);
  return (
    <>
      {findings.map((finding) => (
        <FindingCard
          key={finding.id}
          finding={finding}
          fix={fixes?.[finding.id]}
          trying={fixes === null && finding.mayHaveFix}
          onFix={take}
        />
      ))}
    </>
  );
}
