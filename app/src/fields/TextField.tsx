import { memo, useContext } from 'react';
import { TextInput, View } from 'react-native';
import type { JobPath } from '../data/jobPath';
import { fonts, usePalette } from '../ui/theme';
import { TextScaleContext, Words } from '../ui/Words';
import { useField, useRound } from './FieldContext';
import { sameProps } from './sameProps';
import { useTextAhead } from './textAhead';
import { useTyped } from './typed';

interface TextFieldProps {
  readonly path: JobPath;
  readonly label: string;
  readonly needed?: boolean;
  readonly lines?: number;
}

/** A text of the job; left empty it is not entered, unless it must have one. */
export const TextField = memo(function TextField(props: TextFieldProps) {
  const round = useRound(props.path);
  return <OneText key={round} {...props} name={round} />;
}, sameProps);

function OneText({ name, path, label, needed = false, lines = 1 }: TextFieldProps & { readonly name: string }) {
  const field = useField(path);
  const palette = usePalette();
  const scale = useContext(TextScaleContext);
  const valueOf = (text: string) => (text.trim() === '' && !needed ? undefined : text);
  const {
    field: form,
    fieldState: { error },
  } = useTyped(name, field.typed ?? (typeof field.value === 'string' ? field.value : ''), (text) =>
    field.check(valueOf(text)),
  );
  const enter = (text: string) => {
    form.onChange(text);
    const problem = field.check(valueOf(text));
    field.keep(problem === null ? null : text);
    if (problem === null) field.take(valueOf(text));
  };
  const typing = useTextAhead(form.value ?? '', enter, form.onBlur);
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">{label}</Words>
      <TextInput
        accessibilityLabel={label}
        {...typing}
        multiline={lines > 1}
        numberOfLines={lines}
        style={{
          minHeight: 52,
          paddingHorizontal: 14,
          paddingVertical: lines > 1 ? 12 : 0,
          borderRadius: 10,
          borderWidth: error ? 2 : 1,
          borderColor: error ? palette.stop : palette.muted,
          backgroundColor: palette.surface,
          color: palette.text,
          fontFamily: fonts.regular,
          fontSize: 17 * scale,
        }}
      />
      {error?.message ? (
        <Words kind="small" color={palette.stop} role="alert">
          {error.message}
        </Words>
      ) : null}
    </View>
  );
}
