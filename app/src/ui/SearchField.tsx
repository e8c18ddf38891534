import { useContext, useRef } from 'react';
import { TextInput, View } from 'react-native';
import { Icon } from './Icon';
import { holdsField } from './pageStyle';
import { useShortcut } from './Shortcuts';
import { fonts, usePalette } from './theme';
import { ToolButton } from './ToolButton';
import { TextScaleContext } from './Words';

/** One line to search with, cleared at a touch. */
export function SearchField({
  label,
  hint,
  text,
  onText,
}: {
  readonly label: string;
  readonly hint: string;
  readonly text: string;
  readonly onText: (text: string) => void;
}) {
  const palette = usePalette();
  const scale = useContext(TextScaleContext);
  const field = useRef<TextInput>(null);
  useShortcut({ keys: '/', shown: '/', does: label }, () => field.current?.focus());
  return (
    <View
      {...holdsField}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        height: 52,
        paddingLeft: 14,
        borderRadius: 10,
        borderWidth: 1,
        borderColor: palette.muted,
        backgroundColor: palette.surface,
      }}
    >
      <Icon name="magnify" color={palette.muted} />
      <TextInput
        ref={field}
        accessibilityLabel={label}
        value={text}
        onChangeText={onText}
        placeholder={hint}
        placeholderTextColor={palette.muted}
        style={{
          flex: 1,
          minWidth: 0,
          height: 48,
          paddingHorizontal: 10,
          fontFamily: fonts.regular,
          fontSize: 17 * scale,
          color: palette.text,
        }}
      />
      {text === '' ? null : <ToolButton icon="close" label="Clear the search" onPress={() => onText('')} />}
    </View>
  );
}
