import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import type { FoundFixes } from '../data/assessment';
import { FindingCard } from './FindingCard';
import { useStable } from './useStable';

/** Findings one under the other, each with what answers it. */
export function Findings({
  findings,
  fixes,
  onFix,
}: {
  readonly findings: readonly Finding[];
  readonly fixes: FoundFixes;
  readonly onFix: (fix: Fix) => void;
}) {
  const take = useStable((findingId: string) => fixes.take(findingId, onFix));
  return (
    <>
      {findings.map((finding) => (
        <FindingCard
          key={finding.id}
          finding={finding}
          fix={fixes.known?.[finding.id]}
          trying={fixes.known === null && finding.mayHaveFix}
          onFix={take}
        />
      ))}
    </>
  );
}
