import { Image, View } from 'react-native';
import type { Shown } from '../device/Pictures';
import { Icon } from '../ui/Icon';
import { stylesFor } from '../ui/stylesFor';
import { usePalette } from '../ui/theme';
import { Words } from '../ui/Words';
import { usePicture } from './usePicture';

const useStyles = stylesFor(({ raised, line }) => ({
  place: {
    flex: 1,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 4,
    padding: 6,
    backgroundColor: raised,
    borderWidth: 1,
    borderColor: line,
  },
  picture: { flex: 1 },
  words: { textAlign: 'center' },
}));

const words: Readonly<Record<Exclude<Shown['kind'], 'here'>, { readonly short: string; readonly whole: string }>> = {
  away: { short: 'No signal', whole: 'The whole picture is on the server. It is shown when that can be reached.' },
  missing: {
    short: 'Not here yet',
    whole: 'The picture has not reached the server yet: it still lies on the device it was added with.',
  },
};

/** A picture in the room it is given; where it cannot be shown, why. */
export function Picture({
  id,
  small = false,
  says,
  fit = 'cover',
}: {
  readonly id: string;
  readonly small?: boolean;
  /** What is to be seen, for who cannot see it; left out where words beside it say so. */
  readonly says?: string;
  readonly fit?: 'cover' | 'contain';
}) {
  const styles = useStyles();
  const palette = usePalette();
  const shown = usePicture(id, small);
  if (shown?.kind === 'here') {
    return (
      <Image
        source={{ uri: shown.url }}
        style={styles.picture}
        resizeMode={fit}
        {...(says === undefined ? { 'aria-hidden': true } : { accessibilityLabel: says })}
      />
    );
  }
  return (
    <View style={styles.place}>
      <Icon name="image-outline" color={palette.muted} />
      {shown ? (
        <Words kind="small" muted style={styles.words}>
          {small ? words[shown.kind].short : words[shown.kind].whole}
        </Words>
      ) : null}
    </View>
  );
}
