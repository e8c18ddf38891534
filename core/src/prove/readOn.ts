import { measureOhms, measureVolts, solve, type Netlist } from '../circuit';
import { heldAt, pulled, settingOf, type Ground } from './ground';
import { seenParts } from './liveTests';
import { inWords, type ProveTest } from './proveTest';
import { windowRules } from './windows';

/** What a test reads: a figure in its unit, or words; `unsteady` where the circuit comes to no rest. */
export type ReadOn = number | string;

/**
 * What a test reads on a circuit that may be another than the one it was made for: with a fault in it, or changed since.
 * @returns null for a test that the circuit alone does not answer, like a look or a bucket
 */
export function readOn(ground: Ground, test: ProveTest, netlist: Netlist): ReadOn | null {
  const { between, instrument, set, at, id } = test;
  const setting = settingOf(set);
  const stands = pulled(netlist, set.fusesOut);
  try {
    if (between && instrument === 'ohmmeter') {
      const read = measureOhms(stands, setting, { red: between[0], black: between[1] });
      if (read.kind !== 'ohms') return read.kind;
      return 'state' in test.expect ? (read.ohm < windowRules.closedOhm ? 'closed' : 'some ohms') : read.ohm;
    }
    const volts = (running: boolean) => heldAt(stands, ground.battery, running);
    const running = runsIn(ground, stands, test);
    if (between && instrument === 'voltmeter' && isSolved(test))
      return measureVolts(volts(running), setting, { red: between[0], black: between[1] });
    if (instrument === 'clamp' || instrument === 'milliammeter')
      return Math.abs(
        solve(volts(running), setting, ground.memory).partA(
          instrument === 'clamp' ? (ground.pump?.id ?? '') : (at ?? ''),
        ),
      );
    if (id.startsWith('state-') || id.startsWith('fuse-out-'))
      return inWords(
        seenParts({ ...ground, netlist: stands }, solve(volts(running), setting, ground.memory)).map(
          ({ name, expected }) => [name, expected] as const,
        ),
      );
    return null;
  } catch {
    return 'unsteady';
  }
}

/** Whether a reading in volts follows from this circuit’s netlist alone. */
const isSolved = ({ id }: ProveTest) => id !== 'alarm-battery' && id !== 'battery-resting';

/** Whether the sound pump runs in a test’s setting: it is at those volts that the battery was read. */
function runsIn({ pump, memory }: Ground, netlist: Netlist, { set, power }: ProveTest): boolean {
  if (power === 'dead' || !pump) return false;
  return Math.abs(solve(netlist, settingOf(set), memory).partA(pump.id)) > LEAST_A;
}

/** Less is no pump that runs. */
const LEAST_A = 0.05;
