import type { ReactNode } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { FieldDraftContext } from './FieldContext';

/** Holds the fields of a boat. Starts anew when the boat changes from elsewhere, or the units do. */
export function BoatForm({ draft, children }: { readonly draft: Draft; readonly children: ReactNode }) {
  const units = useUnits();
  return (
    <FieldDraftContext.Provider value={draft}>
      <OneForm key={`${draft.id}-${draft.reloads}-${units}`}>{children}</OneForm>
    </FieldDraftContext.Provider>
  );
}

function OneForm({ children }: { readonly children: ReactNode }) {
  const form = useForm<Record<string, string>>({ mode: 'onChange' });
  return <FormProvider {...form}>{children}</FormProvider>;
}
