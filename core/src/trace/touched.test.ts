import {
  measureVolts,
  solve,
  SolverMemory,
  type Netlist,
  type NetConductor,
  type Setting,
  type TerminalRef,
} from '../circuit';
import { railed, Touched } from './touched';

const at = (part: string, terminal: string): TerminalRef => ({ part, terminal });
const REST: Setting = { switches: {}, floats: {} };
const plus = at('battery', 'plus');
const minus = at('battery', 'minus');
const near = at('post', 'near');
const far = at('post', 'far');
const loose = at('loose', 'one');
const wire = (id: string, from: TerminalRef, to: TerminalRef, ohm: number): NetConductor => ({ id, from, to, ohm });

/** A battery of 12 V, a post joined to its plus by so many ohms, and a wire that hangs free. */
const withPostBehind = (ohm: number): Netlist => ({
  ground: minus,
  parts: [{ kind: 'battery', id: 'battery', emfV: 12, internalOhm: 0 }],
  conductors: [wire('near', plus, near, 0), wire('way', near, far, ohm), wire('hanging', loose, at('loose', 'two'), 0)],
});

function touched(netlist: Netlist) {
  const memory = new SolverMemory();
  return new Touched(solve(netlist, REST, memory), railed(netlist, [plus, far, loose]), REST, memory);
}

describe('what a voltmeter shows, told without solving it for every pair', () => {
  it('is the circuit’s own volts where the points are held: by hand, up to 83 ohms', () => {
    // 12 V from the rail through 10 MΩ: 0.1 mV over 83.3 Ω.
    const held = withPostBehind(82);
    expect(touched(held).between(far, minus)).toBeCloseTo(12, 6);
    expect(touched(held).between(plus, far)).toBeCloseTo(0, 6);
    expect(measureVolts(held, REST, { red: far, black: minus })).toBeCloseTo(12 - (12 * 82) / 1e7, 6);
  });

  it('is left to a meter of its own where the meter moves them', () => {
    expect(touched(withPostBehind(85)).between(far, minus)).toBeNull();
    expect(touched(withPostBehind(1e6)).between(far, minus)).toBeNull();
    // Another point of the same circuit is told all the same.
    expect(touched(withPostBehind(1e6)).between(plus, minus)).toBeCloseTo(12, 6);
  });

  it('is left to a meter of its own where an end hangs free', () => {
    const netlist = withPostBehind(0.01);
    expect(touched(netlist).between(loose, minus)).toBeNull();
    expect(touched(netlist).between(plus, loose)).toBeNull();
  });
});
