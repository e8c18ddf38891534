import type { AssessedAlarm, AssessedPump } from '../assess';
import { isFloat, SolverMemory, type Part } from '../circuit';
import { cornersOf } from './corners';
import { deadTests, ohmTests } from './deadTests';
import type { Ground } from './ground';
import { liveTests, senseTests } from './liveTests';
import type { ProveTest, ReadBattery } from './proveTest';

/**
 * Every test of a circuit in the boat, made from what it is made of: dead tests first, then with the fuse in, each with the
 * value that this circuit shows at this battery. One that comes to no rest in a setting has no live test there.
 */
export function proveTests(assessed: AssessedPump | AssessedAlarm, battery: ReadBattery = {}): ProveTest[] {
  const { plan, netlist, circuit } = assessed;
  const ground: Ground = {
    plan,
    posts: circuit.panel?.posts,
    netlist,
    corners: cornersOf(netlist),
    memory: new SolverMemory(),
    battery,
    lever: netlist.parts.find(({ kind }) => kind === 'three-way-switch' || kind === 'on-off-switch') ?? null,
    floats: netlist.parts.filter(isFloat),
    pump: netlist.parts.find((part): part is Extract<Part, { kind: 'pump' }> => part.kind === 'pump') ?? null,
    fuses: netlist.parts.flatMap((part) => (part.kind === 'fuse' ? [part.id] : [])),
  };
  return [...deadTests(ground), ...ohmTests(ground), ...liveTests(ground), ...senseTests(ground)];
}
