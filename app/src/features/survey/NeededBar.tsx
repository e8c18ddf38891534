import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { PressRow } from '../../ui/PressRow';
import { stylesFor } from '../../ui/stylesFor';
import { fonts } from '../../ui/theme';
import { Words } from '../../ui/Words';

const useStyles = stylesFor(({ accent, accentSoft, cautionSoft, surface }) => {
  const bar = {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    minHeight: 58,
    paddingLeft: 14,
    paddingRight: 5,
    borderRadius: 12,
    backgroundColor: cautionSoft,
    // Stays in sight while the page under it is scrolled.
    ...({ position: 'sticky', top: 0, zIndex: 2 } as object),
  } as const;
  return {
    bar,
    enough: { ...bar, backgroundColor: accentSoft },
    words: { fontFamily: fonts.medium },
    grows: { flex: 1, minWidth: 0, fontFamily: fonts.medium },
    chips: { gap: 6, paddingVertical: 5 },
    chip: {
      paddingHorizontal: 12,
      justifyContent: 'center',
      borderRadius: 10,
      borderWidth: 1,
      borderColor: accent,
      backgroundColor: surface,
    },
  };
});

/** What the survey still needs, always in sight; each leads to its field. Once there is enough it leads on to the sizes. */
export function NeededBar({
  assessed,
  onJump,
  onSize,
}: {
  readonly assessed: AssessedCircuit;
  /** Goes to a field by its path inside the circuit. */
  readonly onJump: (path: readonly string[]) => void;
  readonly onSize: () => void;
}) {
  const styles = useStyles();
  const needs = assessed.status === 'incomplete' ? assessed.needs : [];
  const [asked, setAsked] = useState(needs.length > 0);
  if (!asked && needs.length > 0) setAsked(true);
  if (needs.length > 0)
    return (
      <View style={styles.bar}>
        <Words role="status" style={styles.words}>
          {`${needs.length} needed`}
        </Words>
        <ScrollView horizontal style={{ flex: 1 }} contentContainerStyle={styles.chips}>
          {needs.map(({ path, label }) => (
            <PressRow key={path.join('/')} label={`Go to ${label}`} onPress={() => onJump(path)} style={styles.chip}>
              <Words>{label.split(',')[0] ?? label}</Words>
            </PressRow>
          ))}
        </ScrollView>
      </View>
    );
  if (!asked || assessed.status === 'incomplete') return null;
  return (
    <View style={styles.enough}>
      <Words role="status" style={styles.grows}>
        Enough for sizes
      </Words>
      <BigButton icon="arrow-right" onPress={onSize}>
        See the sizes
      </BigButton>
    </View>
  );
}
