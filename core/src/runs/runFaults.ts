/** What a fault does to a pump in a long run. */
interface RunFaultEffect {
  readonly name: string;
  /** Where its float stays, whatever the water does. */
  readonly floatStuck?: 'up' | 'down';
  /** Its rotor does not turn; its device opens or not. */
  readonly locked?: boolean;
  /** Debris holds the check valve open. */
  readonly checkValveOpen?: boolean;
  /** Nothing feeds it. */
  readonly dead?: boolean;
}

/** Faults that can be planted in a long run; a new one is an entry here. */
export const runFaults = {
  'float-stuck-down': { name: 'Float stuck down', floatStuck: 'down' },
  'float-stuck-up': { name: 'Float stuck up', floatStuck: 'up' },
  'pump-locked': { name: 'Pump locked', locked: true },
  'check-valve-jammed': { name: 'Check valve jammed', checkValveOpen: true },
  'fuse-out': { name: 'Fuse out', dead: true },
} as const satisfies Readonly<Record<string, RunFaultEffect>>;

export type RunFault = keyof typeof runFaults;

export const runFaultKeys = Object.keys(runFaults) as RunFault[];

/** What a fault does; nothing where there is none. */
export function effectOfFault(fault: RunFault | undefined): Omit<RunFaultEffect, 'name'> {
  return fault === undefined ? {} : runFaults[fault];
}
