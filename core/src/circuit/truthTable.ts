import { CircuitError } from './circuitError';
import { everySetting, type Netlist } from './netlist';
import type { Setting } from './parts';
import { solve, type OperatingPoint } from './solve';
import { SolverMemory } from './solverMemory';

/** Whether two settings are the same; a switch not named is off, a float not named hangs down. */
export function sameSetting(one: Setting, other: Setting): boolean {
  const same = (
    these: Readonly<Record<string, string>>,
    those: Readonly<Record<string, string>>,
    resting: string,
  ): boolean =>
    Object.keys(these).every((key) => (these[key] ?? resting) === (those[key] ?? resting)) &&
    Object.keys(those).every((key) => (these[key] ?? resting) === (those[key] ?? resting));
  return same(one.switches, other.switches, 'off') && same(one.floats, other.floats, 'down');
}

/** What a circuit does in one setting of its switches and floats. */
export type TruthRow =
  | { readonly setting: Setting; readonly point: OperatingPoint; readonly trouble: null }
  /** A setting without an answer, such as one in which a relay chatters. */
  | { readonly setting: Setting; readonly point: null; readonly trouble: CircuitError };

/** The circuit solved in one setting; what has no answer is said, not thrown. */
export function truthRow(netlist: Netlist, setting: Setting, memory?: SolverMemory): TruthRow {
  try {
    return { setting, point: solve(netlist, setting, memory), trouble: null };
  } catch (error) {
    if (error instanceof CircuitError) return { setting, point: null, trouble: error };
    throw error;
  }
}

/**
 * The circuit solved in every combination of its switches and floats. Other
 * circuits on the same feed take volts and give none, so they are left off.
 * @param likely settings solved before, with the relays that were then pulled in
 */
export function truthTable(netlist: Netlist, likely: readonly Setting[] = [], memory = new SolverMemory()): TruthRow[] {
  const own = { parts: netlist.parts.filter(({ kind }) => kind !== 'shared-load') };
  return everySetting(own).map((setting) => {
    const known = likely.find((other) => sameSetting(other, setting))?.likely;
    if (!known) return truthRow(netlist, setting, memory);
    // Where to look first is no part of the answer.
    const asked = { switches: setting.switches, floats: setting.floats, likely: known };
    return { ...truthRow(netlist, asked, memory), setting };
  });
}
