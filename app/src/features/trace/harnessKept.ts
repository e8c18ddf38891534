import { z } from 'zod';

const keptSchema = z.object({
  wires: z.number().int().min(2).max(5).nullable(),
  readings: z
    .array(
      z.object({
        a: z.number().int(),
        b: z.number().int(),
        lifted: z.enum(['down', 'up']),
        reads: z.enum(['none', 'some', 'beeps']),
      }),
    )
    .max(40),
  /** The colour of each wire, in words; empty where nobody said. */
  colours: z.array(z.string()),
});

/** A harness that is being told apart on this device. */
export type KeptHarness = z.infer<typeof keptSchema>;

const nothing: KeptHarness = { wires: null, readings: [], colours: [] };
const keyOf = (circuit: string) => `latch.harness.${circuit}`;

/** What was read of a circuit’s harness on this device. */
export function harnessKept(circuit: string): KeptHarness {
  try {
    return keptSchema.parse(JSON.parse(window.localStorage.getItem(keyOf(circuit)) ?? ''));
  } catch {
    return nothing;
  }
}

/** Keeps what was read; where nothing may be stored it is known while the page is open. */
export function keepHarness(circuit: string, kept: KeptHarness | null): void {
  try {
    if (kept) window.localStorage.setItem(keyOf(circuit), JSON.stringify(kept));
    else window.localStorage.removeItem(keyOf(circuit));
  } catch {
    // No room: it goes on while the page is open.
  }
}
