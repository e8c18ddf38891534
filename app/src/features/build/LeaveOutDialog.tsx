import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { DialogField } from '../../ui/DialogField';
import { ModalDialog } from '../../ui/ModalDialog';
import { Words } from '../../ui/Words';

const reasonForm = z.object({
  reason: z
    .string()
    .trim()
    .min(1, { error: 'Say why: whoever comes after you reads it.' })
    .max(400, { error: 'At most 400 characters fit here.' }),
});

/** Asks why a step is left out. */
export function LeaveOutDialog({
  step,
  onReason,
  onClose,
}: {
  readonly step: string;
  readonly onReason: (reason: string) => void;
  readonly onClose: () => void;
}) {
  const { control, handleSubmit } = useForm({ resolver: zodResolver(reasonForm), defaultValues: { reason: '' } });
  const take = () => void handleSubmit(({ reason }) => onReason(reason))();
  return (
    <ModalDialog title="Leave this step out" action="Leave it out" onAction={take} onClose={onClose}>
      <Words kind="small" muted>
        {step}
      </Words>
      <DialogField control={control} name="reason" label="Why" hint="Was there already" onSubmit={take} autoFocus />
    </ModalDialog>
  );
}
