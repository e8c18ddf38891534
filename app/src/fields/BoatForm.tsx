import type { ReactNode } from 'react';
import type { Draft } from '../data/draft';
import { FieldBoatContext } from './FieldContext';

/**
 * Holds the fields of a boat. Each field is a form of its own, begun anew when its
 * boat changes from elsewhere: what is opened around it stays open.
 */
export function BoatForm({ draft, children }: { readonly draft: Draft; readonly children: ReactNode }) {
  return <FieldBoatContext.Provider value={draft.id}>{children}</FieldBoatContext.Provider>;
}
