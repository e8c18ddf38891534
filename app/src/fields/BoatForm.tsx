import { useMemo, type ReactNode } from 'react';
import type { Draft } from '../data/draft';
import { FieldBoatContext } from './FieldContext';
import { TypedContext, useTypedForm } from './typed';

/**
 * Holds the fields of a boat and the one form of their texts. A field begins anew when
 * its value changes from elsewhere: what is opened around it stays open.
 */
export function BoatForm({ draft, children }: { readonly draft: Draft; readonly children: ReactNode }) {
  const { control, trigger } = useTypedForm();
  const form = useMemo(() => ({ control, trigger }), [control, trigger]);
  return (
    <FieldBoatContext.Provider value={draft.id}>
      <TypedContext.Provider value={form}>{children}</TypedContext.Provider>
    </FieldBoatContext.Provider>
  );
}
