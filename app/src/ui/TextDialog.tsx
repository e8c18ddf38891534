import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { DialogField } from './DialogField';
import { ModalDialog } from './ModalDialog';

/** Asks for one short text. */
export function TextDialog({
  title,
  label,
  first,
  most,
  least = 0,
  onText,
  onClose,
}: {
  readonly title: string;
  readonly label: string;
  readonly first: string;
  /** Characters at most. */
  readonly most: number;
  /** Characters at least; nought: it may be left empty. */
  readonly least?: number;
  readonly onText: (text: string) => void;
  readonly onClose: () => void;
}) {
  const { control, handleSubmit } = useForm({
    resolver: zodResolver(
      z.object({
        text: z
          .string()
          .trim()
          .min(least, { error: 'Write something.' })
          .max(most, { error: `At most ${most} characters find room.` }),
      }),
    ),
    defaultValues: { text: first },
  });
  const submit = () => void handleSubmit(({ text }) => onText(text))();
  return (
    <ModalDialog title={title} action="Set" onAction={submit} onClose={onClose}>
      <DialogField
        control={control}
        name="text"
        label={label}
        hint={least === 0 ? 'Left empty: nothing' : ''}
        onSubmit={submit}
        autoFocus
      />
    </ModalDialog>
  );
}
