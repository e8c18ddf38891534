import { defaults } from '../reference';
import {
  mapParts,
  solve,
  terminalName,
  type NetConductor,
  type Netlist,
  type OperatingPoint,
  type Setting,
  type SolverMemory,
  type TerminalRef,
} from '../circuit';

/** A rail above anything aboard, V. */
const RAIL_V = 24;
/** A point that a meter’s own current moves by less than this is held by what it is joined to, V. */
const HELD_V = 1e-4;

/**
 * What a voltmeter shows from point to point of one circuit in one setting, as far as that can be told without solving it
 * for every pair of points. It is solved bare, with every point pulled up to a rail of 24 V by a meter’s 10 MΩ, and with
 * every point pulled down to battery negative. What a point is joined to holds it where neither moves it: the rail is 9 V
 * off at least, so less than 0.1 mV says less than 120 Ω, and one meter alone moves it by no more. Everything else, an end
 * that hangs free, a lamp’s leak, a blocking diode, is left to a meter of its own.
 */
export class Touched {
  /** Pulled up, and pulled down; null where that is another state of a relay, or comes to no rest. */
  private readonly pulls: readonly [OperatingPoint, OperatingPoint] | null;

  /**
   * @param bare the circuit solved as it is in the same setting
   * @param railed the circuit with its rail, as `railed` makes it
   */
  constructor(
    private readonly bare: OperatingPoint,
    railed: Netlist,
    setting: Setting,
    memory: SolverMemory,
  ) {
    const pulledTo = (volts: number) => {
      const at = mapParts(railed, (part) => (part.id === RAIL ? { ...part, emfV: volts } : part));
      const point = solve(at, setting, memory);
      return railed.parts.every(({ id }) => point.latched(id) === bare.latched(id)) ? point : null;
    };
    try {
      const [up, down] = [pulledTo(RAIL_V), pulledTo(0)];
      this.pulls = up && down ? [up, down] : null;
    } catch {
      this.pulls = null;
    }
  }

  /** @returns volts, within 0.3 mV; null where only a meter on these two points can say */
  between(red: TerminalRef, black: TerminalRef): number | null {
    return this.isHeld(red) && this.isHeld(black) ? this.bare.voltsAt(red) - this.bare.voltsAt(black) : null;
  }

  private isHeld(end: TerminalRef): boolean {
    const volts = this.bare.voltsAt(end);
    return this.pulls?.every((point) => Math.abs(point.voltsAt(end) - volts) < HELD_V) ?? false;
  }
}

const RAIL = 'rail';

/** The circuit with each of these points joined by a meter’s load to a rail, which stands at 0 V. */
export function railed(netlist: Netlist, ends: readonly TerminalRef[]): Netlist {
  const plus: TerminalRef = { part: RAIL, terminal: 'plus' };
  const pulls = ends
    .filter((end) => terminalName(end) !== terminalName(netlist.ground))
    .map((end): NetConductor => ({ id: `pull ${terminalName(end)}`, from: plus, to: end, ohm: defaults.voltmeterOhm }));
  const minus: NetConductor = { id: 'rail minus', from: { part: RAIL, terminal: 'minus' }, to: netlist.ground, ohm: 0 };
  return {
    ...netlist,
    parts: [...netlist.parts, { kind: 'battery', id: RAIL, emfV: 0, internalOhm: 0 }],
    conductors: [...netlist.conductors, ...pulls, minus],
  };
}
