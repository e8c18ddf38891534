import type { StepNow } from '@harbor-latch/core/build/progress';
import type { BuildStep } from '@harbor-latch/core/build/steps';
import { format } from 'date-fns';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { Draft } from '../../data/draft';
import { Cautions } from './Cautions';
import { StepPhotographs } from './StepPhotographs';
import { placeWords, shortText } from './stepWords';

/** The step that can be done now, large, with its caution where the hand is. */
export function NextStep({
  draft,
  circuitId,
  one: { step },
  of,
  left,
  onDone,
  onLeave,
  onShow,
}: {
  readonly draft: Draft;
  readonly circuitId: string;
  readonly one: StepNow;
  readonly of: number;
  readonly left: number;
  readonly onDone: (step: BuildStep) => void;
  readonly onLeave: (step: BuildStep) => void;
  readonly onShow: (id: string) => void;
}) {
  return (
    <Card>
      <View style={{ padding: 14, gap: 10 }}>
        <Words kind="small" muted>
          {`Next · ${placeWords[step.place].toLowerCase()} · ${step.minutes} min · ${of - left} of ${of} done`}
        </Words>
        <Words kind="heading" level={2}>
          {shortText(step)}
        </Words>
        <Words>{step.text}</Words>
        <Cautions step={step} />
        {step.waitFor ? (
          <Words kind="small">{`Then a clock: ${step.waitFor.toLowerCase()}, ${step.waitHours} h at 20 °C.`}</Words>
        ) : null}
        <StepPhotographs draft={draft} circuitId={circuitId} step={step} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <BigButton icon="check" onPress={() => onDone(step)}>
            Done
          </BigButton>
          <BigButton mode="outlined" onPress={() => onLeave(step)}>
            Leave it out
          </BigButton>
          {step.at[0] !== undefined ? (
            <BigButton mode="text" onPress={() => onShow(step.at[0] ?? '')}>
              Show where
            </BigButton>
          ) : null}
        </View>
      </View>
    </Card>
  );
}

/** Nothing can be done just now: all is done, or everything waits for a clock. */
export function NothingNow({ left }: { readonly left: readonly StepNow[] }) {
  const palette = usePalette();
  const soonest = left
    .flatMap(({ standing }) => (standing.kind === 'cures' ? [standing.untilMs] : []))
    .sort((a, b) => a - b)[0];
  return (
    <Card>
      <View style={{ padding: 14, flexDirection: 'row', gap: 10, alignItems: 'center' }}>
        <Icon name={left.length === 0 ? 'check-circle' : 'timer'} color={palette.accent} />
        <Words kind="heading" level={2} style={{ flex: 1, minWidth: 0 }}>
          {left.length === 0
            ? 'Every step is done or left out with a reason.'
            : soonest === undefined
              ? 'Nothing can be done now.'
              : `Everything left waits for a clock, the first until ${format(soonest, 'EEE d MMM, HH:mm')}.`}
        </Words>
      </View>
    </Card>
  );
}
