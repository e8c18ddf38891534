import { jobFields } from '@harbor-latch/core/job/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { Button, Dialog, HelperText, TextInput } from 'react-native-paper';
import { z } from 'zod';
import { ModalDialog } from './ModalDialog';

const shape = z.object({ name: jobFields.name });

/** Asks for a name and nothing else. */
export function NameDialog({
  title,
  label,
  action,
  onName,
  onClose,
}: {
  readonly title: string;
  readonly label: string;
  readonly action: string;
  readonly onName: (name: string) => void;
  readonly onClose: () => void;
}) {
  const { control, handleSubmit } = useForm({ resolver: zodResolver(shape), defaultValues: { name: '' } });
  const submit = handleSubmit(({ name }) => onName(name));
  return (
    <ModalDialog title={title} onClose={onClose}>
      <Dialog.Content>
        <Controller
          control={control}
          name="name"
          render={({ field, fieldState: { error } }) => (
            <>
              <TextInput
                mode="outlined"
                label={label}
                accessibilityLabel={label}
                value={field.value}
                onChangeText={field.onChange}
                onBlur={field.onBlur}
                error={error !== undefined}
                onSubmitEditing={() => void submit()}
                autoFocus
              />
              {error?.message ? (
                <HelperText type="error" role="alert">
                  {error.message}
                </HelperText>
              ) : null}
            </>
          )}
        />
      </Dialog.Content>
      <Dialog.Actions>
        <Button onPress={onClose} contentStyle={{ minHeight: 48 }}>
          Cancel
        </Button>
        <Button mode="contained" onPress={() => void submit()} contentStyle={{ minHeight: 48, paddingHorizontal: 12 }}>
          {action}
        </Button>
      </Dialog.Actions>
    </ModalDialog>
  );
}
