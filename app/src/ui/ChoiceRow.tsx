import { View } from 'react-native';
import { PressRow } from './PressRow';
import { fonts, usePalette } from './theme';
import { Words } from './Words';

export interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
}

/** A few choices side by side, one of them taken. */
export function ChoiceRow<T extends string>({
  label,
  choices,
  value,
  onChoose,
}: {
  readonly label: string;
  readonly choices: readonly Choice<T>[];
  readonly value: T;
  readonly onChoose: (value: T) => void;
}) {
  const palette = usePalette();
  return (
    <View role="radiogroup" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      {choices.map((choice) => {
        const taken = choice.value === value;
        return (
          <PressRow
            key={choice.value}
            role="radio"
            selected={taken}
            label={choice.label}
            onPress={() => onChoose(choice.value)}
            style={{
              justifyContent: 'center',
              maxWidth: '100%',
              paddingVertical: 6,
              paddingHorizontal: 16,
              borderRadius: 10,
              borderWidth: taken ? 2 : 1,
              borderColor: taken ? palette.accent : palette.line,
              backgroundColor: taken ? palette.accentSoft : palette.surface,
            }}
          >
            <Words style={{ fontFamily: taken ? fonts.medium : fonts.regular }}>{choice.label}</Words>
          </PressRow>
        );
      })}
    </View>
  );
}
