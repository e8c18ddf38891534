import { schemeKeys, schemeOf } from '@harbor-latch/core/schemes/index';
import { View } from 'react-native';
import { SchemePicture } from '../drawing/SchemePicture';
import { Icon } from '../ui/Icon';
import { PressRow } from '../ui/PressRow';
import { rovingUnchosen } from '../ui/roving';
import { stylesFor } from '../ui/stylesFor';
import { fonts, usePalette } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = stylesFor(({ accentSoft, line, surface }) => {
  const row = {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 12,
    paddingVertical: 10,
    borderColor: line,
    backgroundColor: surface,
  } as const;
  return {
    frame: { borderWidth: 1, borderColor: line, borderRadius: 10, overflow: 'hidden' },
    row,
    further: { ...row, borderTopWidth: 1 },
    taken: { ...row, borderTopWidth: 1, backgroundColor: accentSoft },
    words: { flex: 1, minWidth: 0, gap: 4 },
    name: { fontFamily: fonts.regular },
    takenName: { fontFamily: fonts.medium },
  } as const;
});

/** Every scheme with its picture and when it is used; one is taken. */
export function SchemeList({
  label,
  taken,
  onTake,
}: {
  readonly label: string;
  readonly taken: string;
  readonly onTake: (scheme: string) => void;
}) {
  const styles = useStyles();
  const palette = usePalette();
  return (
    <View role="radiogroup" aria-label={label} style={styles.frame} {...rovingUnchosen}>
      {schemeKeys.map((key, index) => {
        const chosen = key === taken;
        return (
          <PressRow
            key={key}
            role="radio"
            selected={chosen}
            label={schemeOf({ scheme: key }).name}
            onPress={() => onTake(key)}
            style={chosen ? styles.taken : index === 0 ? styles.row : styles.further}
          >
            <SchemeInWords scheme={key} taken={chosen} />
            {chosen ? <Icon name="check" size={24} color={palette.accent} /> : null}
          </PressRow>
        );
      })}
    </View>
  );
}

/** The scheme that is taken, opened to all of them at a touch. */
export function SchemeTaken({ scheme, onOpen }: { readonly scheme: string; readonly onOpen: () => void }) {
  const styles = useStyles();
  const palette = usePalette();
  return (
    <View style={styles.frame}>
      <PressRow
        expanded={false}
        label={`Wired as: ${schemeOf({ scheme }).name}. Change`}
        onPress={onOpen}
        style={styles.row}
      >
        <SchemeInWords scheme={scheme} taken />
        <Icon name="chevron-down" size={24} color={palette.muted} />
      </PressRow>
    </View>
  );
}

function SchemeInWords({ scheme, taken }: { readonly scheme: string; readonly taken: boolean }) {
  const styles = useStyles();
  const { name, summary } = schemeOf({ scheme });
  return (
    <View style={styles.words}>
      <SchemePicture scheme={scheme} />
      <Words style={taken ? styles.takenName : styles.name}>{name}</Words>
      <Words kind="small" muted>
        {summary}
      </Words>
    </View>
  );
}
