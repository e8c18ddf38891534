import { boatFindings, withIdea } from '@harbor-latch/core/assess/index';
import type { Finding } from '@harbor-latch/core/findings/index';
import { useMemo } from 'react';
import { useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { useSay } from '../../ui/Said';
import { FindingCard } from '../size/FindingCard';

/** What is found of a boat that no circuit of hers can show. */
export function BoatFindings({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  const drafts = useDrafts();
  const say = useSay();
  const findings = useMemo(() => boatFindings(draft.job, { units }), [draft.job, units]);
  const fix = ({ fix: found }: Finding) => {
    if (!found) return;
    drafts.replace(draft.id, withIdea(draft.job, found));
    say(`Done: ${found.label}`, () => drafts.undo(draft.id));
  };
  return (
    <>
      {findings.map((finding) => (
        <FindingCard key={finding.id} finding={finding} onFix={fix} />
      ))}
    </>
  );
}
