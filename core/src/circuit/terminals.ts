import { resistance, type Element } from './element';
import type { NetConductor, Netlist, TerminalRef } from './netlist';

/** Numbers terminals, and the inner nodes of parts, in the order in which they are met. */
class TerminalNumbers {
  private readonly byPart = new Map<string, (terminal: string) => number>();
  private counted = 0;

  get count(): number {
    return this.counted;
  }

  numberOf({ part, terminal }: TerminalRef): number {
    return this.ofPart(part)(terminal);
  }

  /** Numbers of one part's terminals. */
  ofPart(part: string): (terminal: string) => number {
    const known = this.byPart.get(part);
    if (known) return known;
    const own = new Map<string, number>();
    const numberOf = (terminal: string) => {
      const number = own.get(terminal);
      if (number !== undefined) return number;
      own.set(terminal, this.counted);
      this.counted += 1;
      return this.counted - 1;
    };
    this.byPart.set(part, numberOf);
    return numberOf;
  }
}

/** A conductor that ends at a terminal: where it stands in the list, and whether it leads in (1) or out (−1). */
export interface ConductorEnd {
  readonly index: number;
  readonly sign: 1 | -1;
}

const NONE: readonly ConductorEnd[] = [];

/** What conductors join, whatever their resistance. */
class Joins {
  readonly numbers = new TerminalNumbers();
  /** Where each conductor stands in the list. */
  readonly indexes: ReadonlyMap<string, number>;
  private readonly ends = new Map<number, ConductorEnd[]>();

  constructor(conductors: readonly NetConductor[]) {
    this.indexes = new Map(conductors.map(({ id }, index) => [id, index]));
    conductors.forEach(({ from, to }, index) => {
      const [a, b] = [this.numbers.numberOf(from), this.numbers.numberOf(to)];
      if (a === b) return;
      this.addEnd(a, { index, sign: -1 });
      this.addEnd(b, { index, sign: 1 });
    });
  }

  /** The conductors that end at a terminal. One from a terminal to itself is left out. */
  endsAt(terminal: TerminalRef): readonly ConductorEnd[] {
    return this.ends.get(this.numbers.numberOf(terminal)) ?? NONE;
  }

  private addEnd(terminal: number, end: ConductorEnd): void {
    const known = this.ends.get(terminal);
    if (known) known.push(end);
    else this.ends.set(terminal, [end]);
  }
}

/** The conductors of a netlist as the solver sees them. */
export interface Wiring {
  readonly joins: Joins;
  /** One element a conductor, in the netlist's order. */
  readonly elements: readonly Element[];
}

const known = new WeakMap<readonly NetConductor[], Wiring>();

/**
 * The wiring of a netlist. A circuit is solved many times with the same
 * conductors (other supplies, other faults), so it is kept with their list for
 * as long as that lives.
 */
export function wiringOf({ conductors }: Netlist): Wiring {
  return known.get(conductors) ?? keep(conductors, new Joins(conductors));
}

function keep(conductors: readonly NetConductor[], joins: Joins): Wiring {
  const elements = conductors.map(({ from, to, ohm }) =>
    resistance(joins.numbers.numberOf(from), joins.numbers.numberOf(to), ohm),
  );
  const wiring = { joins, elements };
  known.set(conductors, wiring);
  return wiring;
}

/**
 * The netlist with other resistances in its conductors.
 * @param ohms by conductor, Ω; one that is not among them keeps its own
 */
export function withOhms(netlist: Netlist, ohms: ReadonlyMap<string, number>): Netlist {
  const conductors = netlist.conductors.map(({ id, from, to, ohm }) => ({ id, from, to, ohm: ohms.get(id) ?? ohm }));
  keep(conductors, wiringOf(netlist).joins);
  return { ...netlist, conductors };
}
