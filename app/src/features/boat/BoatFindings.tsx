import { withIdea } from '@harbor-latch/core/assess/withIdea';
import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import { useFixes } from '../../data/assessment';
import { useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { Findings } from '../../ui/Findings';
import { useSayChange } from '../../useSayChange';

/** What is found of a boat that no circuit of hers can show. */
export function BoatFindings({ draft, findings }: { readonly draft: Draft; readonly findings: readonly Finding[] }) {
  const drafts = useDrafts();
  const sayChange = useSayChange();
  const fixes = useFixes(draft.job, null, findings);
  const onFix = (fix: Fix) => {
    drafts.replace(draft.id, withIdea(draft.job, fix));
    sayChange(draft.id, `Done: ${fix.label}`);
  };
  return <Findings main={false} findings={findings} fixes={fixes.known} onTake={(id) => fixes.take(id, onFix)} />;
}
