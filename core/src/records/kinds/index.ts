import type { z } from 'zod';
import { check } from './check';
import type { Kind } from './kind';
import {
  alarm,
  cleaning,
  faultShare,
  interval,
  launch,
  layUp,
  note,
  photograph,
  rain,
  window,
  withdrawn,
} from './others';
import { proof } from './proof';
import { proofBegun } from './proofBegun';
import { reading } from './reading';
import { repair } from './repair';
import { runCount } from './runCount';
import { skipped } from './skipped';
import { traceBegun } from './traceBegun';
import { traceEnded } from './traceEnded';
import { traceReading } from './traceReading';

/** Every kind of entry; a new one is a file here and a line in this list. */
export const recordKinds = {
  proofBegun,
  reading,
  skipped,
  proof,
  check,
  runCount,
  repair,
  cleaning,
  rain,
  layUp,
  launch,
  alarm,
  note,
  photograph,
  withdrawn,
  interval,
  window,
  faultShare,
  traceBegun,
  traceReading,
  traceEnded,
} as const;

export type RecordKind = keyof typeof recordKinds;
/** What an entry of a kind says. */
export type BodyOf<K extends RecordKind> = Readonly<z.infer<(typeof recordKinds)[K]['schema']>>;

export function isKnownKind(kind: string): kind is RecordKind {
  return Object.hasOwn(recordKinds, kind);
}

/** A kind by its name; null for one of a later release. */
export function kindNamed(kind: string): Kind | null {
  return isKnownKind(kind) ? (recordKinds[kind] as unknown as Kind) : null;
}
