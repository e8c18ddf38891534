import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { DialogField } from './DialogField';
import { ModalDialog } from './ModalDialog';

/** Asks for one short text, which may be left empty. */
export function TextDialog({
  title,
  label,
  first,
  most,
  onText,
  onClose,
}: {
  readonly title: string;
  readonly label: string;
  readonly first: string;
  /** Characters at most. */
  readonly most: number;
  readonly onText: (text: string) => void;
  readonly onClose: () => void;
}) {
  const { control, handleSubmit } = useForm({
    resolver: zodResolver(
      z.object({
        text: z
          .string()
          .trim()
          .max(most, { error: `At most ${most} characters find room.` }),
      }),
    ),
    defaultValues: { text: first },
  });
  const submit = () => void handleSubmit(({ text }) => onText(text))();
  return (
    <ModalDialog title={title} action="Set" onAction={submit} onClose={onClose}>
      <DialogField control={control} name="text" label={label} hint="Left empty: nothing" onSubmit={submit} autoFocus />
    </ModalDialog>
  );
}
