import { readJob } from '@harbor-latch/core/file/index';
import { fieldInWords, mergeJobs, valueInWords, type Side } from '@harbor-latch/core/job/index';
import { useState } from 'react';
import { View } from 'react-native';
import type { StoredBoat } from '../data/api';
import { useDrafts } from '../data/boats';
import type { Draft } from '../data/draft';
import { useUnits } from '../data/settings';
import { BigButton } from '../ui/BigButton';
import { ChoiceRow } from '../ui/ChoiceRow';
import { DifferenceRow } from '../ui/DifferenceRow';
import { Notice } from '../ui/Notice';
import { Words } from '../ui/Words';
import { Differences } from './Differences';

/** Two copies of a boat: what only one side changed is brought together, the rest is asked field by field. */
export function ConflictCard({ draft, current }: { readonly draft: Draft; readonly current: StoredBoat }) {
  const drafts = useDrafts();
  const units = useUnits();
  const [sides, setSides] = useState<Readonly<Record<string, Side>>>({});
  const base = draft.base ?? current.job;
  const merged = mergeJobs(base, draft.job, current.job, (path) => sides[path.join('/')] ?? 'mine');
  const read = readJob(merged.job);
  return (
    <View style={{ gap: 10 }}>
      <Notice
        tone="caution"
        icon="call-split"
        actions={
          <>
            {read.ok ? (
              <BigButton onPress={() => drafts.takeMerged(draft.id, read.job)}>Save both together</BigButton>
            ) : null}
            <BigButton mode="outlined" onPress={() => drafts.keepMine(draft.id)}>
              Keep mine
            </BigButton>
            <BigButton mode="outlined" onPress={() => drafts.takeTheirs(draft.id)}>
              Take the other
            </BigButton>
          </>
        }
      >
        {`${draft.job.boat.name} was changed ${current.savedBy ? `by ${current.savedBy}` : 'elsewhere'} at ${new Date(current.savedAt).toLocaleTimeString()} while you worked on it. Both copies are kept: yours here, the other among the boat’s versions.`}
      </Notice>
      <View style={{ paddingHorizontal: 4, gap: 6 }}>
        {merged.conflicts.length > 0 ? (
          <Words kind="strong" level={2}>
            Changed on both sides
          </Words>
        ) : null}
        {merged.conflicts.map(({ path, mine, theirs }) => {
          const key = path.join('/');
          const what = fieldInWords(path, [draft.job, current.job]);
          return (
            <DifferenceRow key={key} what={what}>
              <ChoiceRow
                label={what}
                value={sides[key] ?? 'mine'}
                choices={[
                  { value: 'mine', label: `Mine: ${valueInWords(path, mine, units)}` },
                  { value: 'theirs', label: `Other: ${valueInWords(path, theirs, units)}` },
                ]}
                onChoose={(side) => setSides({ ...sides, [key]: side })}
              />
            </DifferenceRow>
          );
        })}
        <Words kind="strong" level={2}>
          What the other copy has
        </Words>
        <Differences before={draft.job} after={current.job} />
      </View>
    </View>
  );
}
