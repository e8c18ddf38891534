import type { Plan } from '@harbor-latch/core/schemes/index';
import { faultOf, type BenchState } from '@harbor-latch/core/circuit/index';
import { useState } from 'react';
import { View } from 'react-native';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { stylesFor } from '../../ui/stylesFor';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { aboutSite } from './FaultPanel';

const useStyles = stylesFor(({ cautionSoft, caution }) => ({
  banner: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingRight: 4,
    paddingVertical: 6,
    backgroundColor: cautionSoft,
    borderLeftWidth: 4,
    borderColor: caution,
  },
  words: { flex: 1, minWidth: 0, gap: 2 },
  what: { fontFamily: fonts.medium },
  more: { justifyContent: 'center', paddingHorizontal: 10, borderRadius: 10 },
}));

/** So many sentences are shown before it is opened. */
const FIRST = 2;

/** What is otherwise than planned on the bench, and what that does: in sight with every tool. */
export function WrongBanner({
  state,
  plan,
  differences,
  rewired,
  sentences,
}: {
  readonly state: BenchState;
  readonly plan: Plan;
  /** How it is wired otherwise than planned, in words. */
  readonly differences: readonly string[];
  readonly rewired: boolean;
  /** What that makes of the circuit. */
  readonly sentences: readonly string[];
}) {
  const styles = useStyles();
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const planted = state.faults.map(({ code, at }) => `${aboutSite(plan, at)}: ${faultOf(code).name}`);
  const pulled = state.open.map((id) => `${aboutSite(plan, id)}: open`);
  const what = [...planted, ...pulled, ...(rewired ? ['Wired otherwise than planned'] : [])].join('. ');
  const all = [...sentences, ...differences];
  const shown = open ? all : all.slice(0, FIRST);
  return (
    <View style={styles.banner}>
      <Icon name="alert" size={22} color={palette.caution} />
      <View style={styles.words} role="status">
        <Words kind="small" style={styles.what}>
          {what}
        </Words>
        {shown.map((sentence) => (
          <Words key={sentence} kind="small">
            {sentence}
          </Words>
        ))}
      </View>
      {all.length > FIRST ? (
        <PressRow
          label={open ? 'Less of what is wrong' : `${all.length - FIRST} more of what is wrong`}
          expanded={open}
          onPress={() => setOpen(!open)}
          style={styles.more}
        >
          <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.text} />
        </PressRow>
      ) : null}
    </View>
  );
}
