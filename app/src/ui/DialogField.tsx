import { Controller, type Control, type FieldValues, type Path } from 'react-hook-form';
import { View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';

/** A line of text that a dialog asks for, with its message in place. */
export function DialogField<Values extends FieldValues, Context, Out>({
  control,
  name,
  label,
  hint,
  onSubmit,
  autoFocus = false,
}: {
  readonly control: Control<Values, Context, Out>;
  readonly name: Path<Values>;
  readonly label: string;
  /** What stands for it when it is left empty. */
  readonly hint: string;
  readonly onSubmit: () => void;
  readonly autoFocus?: boolean;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState: { error } }) => (
        <View>
          <TextInput
            mode="outlined"
            label={label}
            accessibilityLabel={label}
            placeholder={hint}
            value={String(field.value)}
            onChangeText={field.onChange}
            onBlur={field.onBlur}
            error={error !== undefined}
            onSubmitEditing={onSubmit}
            autoFocus={autoFocus}
          />
          {error?.message ? (
            <HelperText type="error" role="alert">
              {error.message}
            </HelperText>
          ) : null}
        </View>
      )}
    />
  );
}
