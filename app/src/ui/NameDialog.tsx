import { jobFields } from '@harbor-latch/core/job/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { DialogField } from './DialogField';
import { ModalDialog } from './ModalDialog';

/** A name as it is typed; left empty it is the suggested one. */
const nameOr = (suggested: string) =>
  z.preprocess((typed) => (typeof typed === 'string' && typed.trim() === '' ? suggested : typed), jobFields.name);

/** Asks for a name and nothing else. */
export function NameDialog({
  title,
  label,
  suggested,
  action,
  onName,
  onClose,
}: {
  readonly title: string;
  readonly label: string;
  /** What it is called when nothing is typed. */
  readonly suggested: string;
  readonly action: string;
  readonly onName: (name: string) => void;
  readonly onClose: () => void;
}) {
  const shape = z.object({ name: nameOr(suggested) });
  const { control, handleSubmit } = useForm({ resolver: zodResolver(shape), defaultValues: { name: '' } });
  const submit = () => void handleSubmit(({ name }) => onName(name))();
  return (
    <ModalDialog title={title} action={action} onAction={submit} onClose={onClose}>
      <DialogField control={control} name="name" label={label} hint={suggested} onSubmit={submit} autoFocus />
    </ModalDialog>
  );
}
