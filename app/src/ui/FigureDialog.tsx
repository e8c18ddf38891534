import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { DialogField } from './DialogField';
import { ModalDialog } from './ModalDialog';

/** Asks for one plain figure, of 0 or more where nothing else is said; left empty, it is none. */
export function FigureDialog({
  title,
  label,
  hint = 'Left empty: none',
  first,
  least = 0,
  most,
  onFigure,
  onClose,
}: {
  readonly title: string;
  readonly label: string;
  readonly hint?: string;
  readonly first: number | null;
  readonly least?: number;
  readonly most: number;
  readonly onFigure: (figure: number | null) => void;
  readonly onClose: () => void;
}) {
  const figure = z.string().transform((typed, context): number | null => {
    const text = typed.trim().replace(',', '.');
    if (text === '') return null;
    const value = /^\d+(\.\d+)?$/.test(text) ? Number(text) : NaN;
    if (value >= least && value <= most) return value;
    context.addIssue({ code: 'custom', message: `A figure from ${least} to ${most} is wanted, like 12.5.` });
    return z.NEVER;
  });
  const { control, handleSubmit } = useForm({
    resolver: zodResolver(z.object({ figure })),
    defaultValues: { figure: first === null ? '' : String(first) },
  });
  const submit = () => void handleSubmit(({ figure: read }) => onFigure(read))();
  return (
    <ModalDialog title={title} action="Set" onAction={submit} onClose={onClose}>
      <DialogField
        control={control}
        name="figure"
        label={label}
        hint={hint}
        onSubmit={submit}
        autoFocus={matchMedia('(pointer: fine)').matches}
      />
    </ModalDialog>
  );
}
