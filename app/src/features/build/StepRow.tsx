import type { StepNow } from '@harbor-latch/core/build/progress';
import type { BuildStep } from '@harbor-latch/core/build/steps';
import { format } from 'date-fns';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Icon, type IconName } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { Draft } from '../../data/draft';
import { Cautions } from './Cautions';
import { StepPhotographs } from './StepPhotographs';
import { placeWords, shortText } from './stepWords';

const marks: Readonly<Record<StepNow['standing']['kind'], { readonly icon: IconName; readonly word: string }>> = {
  done: { icon: 'check-circle', word: 'Done' },
  skipped: { icon: 'cancel', word: 'Left out' },
  open: { icon: 'play-circle', word: 'Can be done now' },
  cures: { icon: 'timer', word: 'Waits for a clock' },
  waits: { icon: 'dots-horizontal', word: 'Waits' },
};

function standingWords({ standing, step }: StepNow, all: readonly BuildStep[]): string {
  switch (standing.kind) {
    case 'done':
      return `${format(standing.atMs, 'd MMM, HH:mm')}${standing.by === null ? '' : ` · ${standing.by}`}`;
    case 'skipped':
      return `Left out: ${standing.reason ?? ''}`;
    case 'cures':
      return `${standing.what}, until ${format(standing.untilMs, 'EEE d MMM, HH:mm')}`;
    case 'waits':
      return `Waits for: ${standing.for.map((id) => shortText(all.find((one) => one.id === id))).join('; ')}`;
    case 'open':
      return `${placeWords[step.place]} · ${step.minutes} min`;
    default:
      return standing satisfies never;
  }
}

/** A step in the list: how it stands; opened, all of it and what can be done with it. */
export function StepRow({
  draft,
  circuitId,
  one,
  number,
  all,
  open,
  onToggle,
  onTick,
  onLeave,
  onOpenAgain,
}: {
  readonly draft: Draft;
  readonly circuitId: string;
  readonly one: StepNow;
  readonly number: number;
  readonly all: readonly BuildStep[];
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly onTick: (step: BuildStep) => void;
  readonly onLeave: (step: BuildStep) => void;
  readonly onOpenAgain: (step: BuildStep) => void;
}) {
  const palette = usePalette();
  const { step, standing } = one;
  const { icon, word } = marks[standing.kind];
  const ticked = standing.kind === 'done' || standing.kind === 'skipped';
  const ink = standing.kind === 'done' || standing.kind === 'open' ? palette.accent : palette.muted;
  return (
    <View style={{ borderTopWidth: number === 1 ? 0 : 1, borderColor: palette.line }}>
      <PressRow
        expanded={open}
        label={`Step ${number}, ${shortText(step)}: ${word}`}
        onPress={onToggle}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 10, paddingVertical: 10, paddingHorizontal: 14 }}
      >
        <Icon name={icon} color={ink} />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Words kind="strong">{shortText(step)}</Words>
          <Words kind="small" muted>
            {standingWords(one, all)}
          </Words>
        </View>
        <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
      </PressRow>
      {open ? (
        <View style={{ paddingHorizontal: 14, paddingBottom: 14, gap: 10 }}>
          <Words>{step.text}</Words>
          <Cautions step={step} />
          <StepPhotographs draft={draft} circuitId={circuitId} step={step} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {ticked ? (
              <BigButton mode="outlined" icon="undo" onPress={() => onOpenAgain(step)}>
                Open it again
              </BigButton>
            ) : (
              <>
                <BigButton mode="outlined" icon="check" onPress={() => onTick(step)}>
                  {standing.kind === 'open' ? 'Done' : 'Done all the same'}
                </BigButton>
                <BigButton mode="text" onPress={() => onLeave(step)}>
                  Leave it out
                </BigButton>
              </>
            )}
          </View>
        </View>
      ) : null}
    </View>
  );
}
