import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Icon } from '../ui/Icon';
import { PressRow } from '../ui/PressRow';
import { stylesFor } from '../ui/stylesFor';
import { usePalette } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = stylesFor((palette) => {
  const more = {
    marginHorizontal: -14,
    marginBottom: -14,
    borderTopWidth: 1,
    borderColor: palette.line,
    backgroundColor: palette.raised,
  } as const;
  return {
    more,
    alone: { ...more, marginTop: -14, borderTopWidth: 0 },
    line: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 14, paddingVertical: 8 },
    words: { flex: 1, minWidth: 0 },
    opened: { padding: 14, paddingTop: 6, gap: 16 },
  };
});

/** What has a sensible default: summed up in a line, opened to change it. */
export function More({
  title,
  summary,
  alone = false,
  children,
}: {
  readonly title: string;
  readonly summary: string;
  /** True where nothing stands above it in its card. */
  readonly alone?: boolean;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  const styles = useStyles();
  const [open, setOpen] = useState(false);
  return (
    <View style={alone ? styles.alone : styles.more}>
      <PressRow onPress={() => setOpen(!open)} expanded={open} label={`${title}: ${summary}`} style={styles.line}>
        <View style={styles.words}>
          <Words kind="strong">{title}</Words>
          <Words kind="small" muted>
            {summary}
          </Words>
        </View>
        <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
      </PressRow>
      {open ? <View style={styles.opened}>{children}</View> : null}
    </View>
  );
}
