import { defaults } from '../reference';
import { JoinedNumbers } from './joinedNumbers';
import { assemble } from './assemble';
import { terminalName, type NetConductor, type Netlist, type TerminalRef } from './netlist';
import { filamentDoing, type Setting } from './parts';
import { solve } from './solve';
import { SolverMemory } from './solverMemory';

/** The two points touched. */
export interface Probes {
  readonly red: TerminalRef;
  readonly black: TerminalRef;
}

const METER = 'meter';

/**
 * What a voltmeter shows between two terminals, V; it loads the circuit with its 10 MΩ.
 * @param memory what is remembered from other solves; left out, nothing is
 * @throws CircuitError as `solve`
 */
export function measureVolts(netlist: Netlist, setting: Setting, probes: Probes, memory = new SolverMemory()): number {
  const metered = withMeter(netlist, probes, { ohm: defaults.voltmeterOhm });
  return solve(metered, setting, memory).voltsAcross(METER, 'red', 'black');
}

export interface TestLampReading {
  readonly volts: number;
  readonly amps: number;
  readonly doing: 'lit' | 'dim' | 'dark';
}

/** What a test lamp shows between two terminals: it is a load of 30 Ω, so a corroded way gives itself away. */
export function measureTestLamp(netlist: Netlist, setting: Setting, probes: Probes): TestLampReading {
  const point = solve(withMeter(netlist, probes, { ohm: defaults.testLampOhm }), setting);
  const volts = point.voltsAcross(METER, 'red', 'black');
  return { volts, amps: point.partA(METER), doing: filamentDoing(volts) };
}

export type OhmReading =
  | { readonly kind: 'ohms'; readonly ohm: number }
  /** More than the meter's 2 V can drive a current through. */
  | { readonly kind: 'open' }
  /** A live circuit, with the terminal that is live. */
  | { readonly kind: 'live'; readonly at: TerminalRef; readonly message: string };

/** Below this current an ohmmeter shows no reading, A: 20 MΩ at its 2 V. */
const OPEN_BELOW_A = 1e-7;

/**
 * What an ohmmeter shows between two terminals: volts at its 1 mA, or amperes at
 * its 2 V. Refused while a battery's positive still reaches either probe.
 * @param memory what is remembered from other solves; left out, nothing is
 */
export function measureOhms(
  netlist: Netlist,
  setting: Setting,
  probes: Probes,
  memory = new SolverMemory(),
): OhmReading {
  const live = liveEnd(netlist, setting, probes);
  if (live) {
    const message = `“${terminalName(live)}” is still joined to a battery’s positive. Pull the fuse, prove it dead, then measure ohms: a live circuit gives a wrong reading and can harm the meter.`;
    return { kind: 'live', at: live, message };
  }
  const held = solve(withMeter(netlist, probes, { heldV: defaults.ohmmeterLimitV }), setting, memory);
  const heldA = -held.partA(METER);
  if (heldA < OPEN_BELOW_A) return { kind: 'open' };
  if (heldA <= defaults.ohmmeterA) return { kind: 'ohms', ohm: held.voltsAcross(METER, 'red', 'black') / heldA };
  const fed = solve(withMeter(netlist, probes, { fedA: defaults.ohmmeterA }), setting, memory);
  return { kind: 'ohms', ohm: fed.voltsAcross(METER, 'red', 'black') / defaults.ohmmeterA };
}

function withMeter(
  netlist: Netlist,
  { red, black }: Probes,
  what: { readonly ohm: number } | { readonly fedA: number } | { readonly heldV: number },
): Netlist {
  const lead = (colour: 'red' | 'black', to: TerminalRef): NetConductor => ({
    id: `probe-${colour}`,
    from: { part: METER, terminal: colour },
    to,
    ohm: 0,
  });
  return {
    ...netlist,
    parts: [...netlist.parts, { kind: 'meter', id: METER, ...what }],
    conductors: [...netlist.conductors, lead('red', red), lead('black', black)],
  };
}

/** The probe that a battery's positive reaches through anything but a battery, or null. */
function liveEnd(netlist: Netlist, setting: Setting, { red, black }: Probes): TerminalRef | null {
  const { elements, ownerAt, count, numberOf } = assemble(netlist, setting, new Set());
  const sources = new Set(netlist.parts.filter(({ kind }) => kind === 'battery').map(({ id }) => id));
  const joined = new JoinedNumbers(count);
  elements.forEach((element, index) => {
    const open = element.kind === 'sink' || (element.kind === 'motor' && element.condition === 'open');
    if (!open && !sources.has(ownerAt(index)) && element.kind !== 'source') joined.join(element.a, element.b);
  });
  const live = elements.flatMap((element) => (element.kind === 'source' ? [joined.rootOf(element.a)] : []));
  return [red, black].find((end) => live.includes(joined.rootOf(numberOf(end)))) ?? null;
}
