import type { BuildStep } from '@harbor-latch/core/build/steps';
import { useState } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { PhotographViewer } from '../../photographs/PhotographViewer';
import { Picture } from '../../photographs/Picture';
import { usePhotographs } from '../../photographs/usePhotographs';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';
import { PressRow } from '../../ui/PressRow';
import { Words } from '../../ui/Words';

const SIDE = 72;

/** The photographs of a step: what is worth one, those that were taken, and the way to take another. */
export function StepPhotographs({
  draft,
  circuitId,
  step,
}: {
  readonly draft: Draft;
  readonly circuitId: string;
  readonly step: BuildStep;
}) {
  const photographs = usePhotographs(draft, circuitId, step.id);
  const [opened, setOpened] = useState<string | null>(null);
  const { list, making, problems, choose } = photographs;
  if (!step.picture && list.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      {step.picture ? <Words kind="small">{`Worth a photograph: ${step.picture}`}</Words> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        {list.map((one, index) => (
          <PressRow
            key={one.id}
            label={`Open photograph ${index + 1} of this step`}
            onPress={() => setOpened(one.id)}
            style={{ width: SIDE, height: SIDE, borderRadius: 10, overflow: 'hidden' }}
          >
            <Picture id={one.small} small />
          </PressRow>
        ))}
        <BigButton mode="outlined" icon="camera-plus-outline" label="Add a photograph to this step" onPress={choose}>
          {making > 0 ? 'Making it ready' : 'Photograph'}
        </BigButton>
      </View>
      {problems.length > 0 ? (
        <Notice
          tone="stop"
          icon="file-alert-outline"
          actions={
            <BigButton mode="outlined" onPress={photographs.dismiss}>
              Dismiss
            </BigButton>
          }
        >
          {problems.join('\n')}
        </Notice>
      ) : null}
      {opened === null ? null : (
        <PhotographViewer photographs={photographs} at={opened} onAt={setOpened} onClose={() => setOpened(null)} />
      )}
    </View>
  );
}
