import type { ProtectionKind } from '../reference';
import type { Choices } from './schema';

/** The kind of protection that is chosen for a circuit: a blade fuse where nobody chose. */
export function protectionKindOf({ protection }: Choices): ProtectionKind {
  return protection?.kind ?? 'blade';
}
