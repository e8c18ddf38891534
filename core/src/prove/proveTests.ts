import type { AssessedAlarm, AssessedPump } from '../assess';
import { isFloat, SolverMemory, type Part } from '../circuit';
import { benchTests } from './benchTests';
import { cornersOf } from './corners';
import { deadTests, ohmTests } from './deadTests';
import type { Ground } from './ground';
import { fuseTests, liveTests, senseTests } from './liveTests';
import { alarmTests, neighbourTests, switchTests } from './aroundTests';
import { batteryTests, relayTests, sensorTests, timerTests } from './partTests';
import type { ProvePhase, ProveTest, ReadBattery } from './proveTest';
import { waterTests } from './waterTests';
import { rulesWith, type Windows } from './windows';

/** What is proved, and by what. */
export interface ProveAsked {
  readonly phase?: ProvePhase;
  readonly battery?: ReadBattery;
  /** Windows that were set otherwise for this boat. */
  readonly windows?: Windows;
  /** Names of the boat's other pump circuits. */
  readonly others?: readonly string[];
}

/** What the tests of a circuit are made from. */
export function groundOf(
  assessed: AssessedPump | AssessedAlarm,
  { battery = {}, others = [], windows = {} }: ProveAsked,
): Ground {
  const { plan, netlist, circuit } = assessed;
  return {
    assessed,
    plan,
    posts: circuit.panel?.posts,
    netlist,
    corners: cornersOf(netlist),
    memory: new SolverMemory(),
    battery,
    rules: rulesWith(windows),
    others,
    lever: netlist.parts.find(({ kind }) => kind === 'three-way-switch' || kind === 'on-off-switch') ?? null,
    floats: netlist.parts.filter(isFloat),
    pump: netlist.parts.find((part): part is Extract<Part, { kind: 'pump' }> => part.kind === 'pump') ?? null,
    fuses: netlist.parts.flatMap((part) => (part.kind === 'fuse' ? [part.id] : [])),
  };
}

/**
 * Every test of a circuit, made from what it is made of, each with the value that this circuit shows at this battery. In
 * an order that is safe and walks no way twice: what is dead first, from the source inward, then with the fuse in at the
 * panel, in the bilge, and at the source last. One that comes to no rest in a setting has no live test there.
 */
export function proveTests(assessed: AssessedPump | AssessedAlarm, asked: ProveAsked = {}): ProveTest[] {
  const ground = groundOf(assessed, asked);
  if (asked.phase === 'bench') return benchTests(ground);
  const battery = batteryTests(ground);
  const all = [
    ...battery.resting,
    ...deadTests(ground),
    ...ohmTests(ground),
    ...relayTests(ground),
    ...battery.running,
    ...liveTests(ground),
    ...senseTests(ground),
    ...switchTests(ground),
    ...alarmTests(ground),
    ...timerTests(ground),
    ...sensorTests(ground),
    ...waterTests(ground),
    ...neighbourTests(ground),
    ...fuseTests(ground),
  ];
  return all
    .map((test, index) => ({ test, index }))
    .sort((a, b) => rank(a.test) - rank(b.test) || a.index - b.index)
    .map(({ test }) => test);
}

const deadOrder = { bench: 0, source: 1, panel: 2, bilge: 3 } as const;
const liveOrder = { bench: 4, panel: 6, bilge: 7, source: 8 } as const;

function rank({ id, power, place }: ProveTest): number {
  if (power === 'dead') return deadOrder[place];
  // The battery under load: what runs is expected by it.
  return id === 'battery-running' ? 5 : liveOrder[place];
}
