import { resistance, type Element } from './element';
import type { NetConductor, Netlist, TerminalRef } from './netlist';

/** Numbers the terminals of a netlist, and the inner nodes of its parts, in the order in which they are met. */
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

const known = new WeakMap<readonly NetConductor[], TerminalNumbers>();

/**
 * The numbers of a netlist's terminals. A circuit is solved many times with the
 * same wiring (other supplies, other faults), so the numbers are kept with its
 * list of conductors for as long as that lives.
 */
export function terminalNumbers({ conductors }: Netlist): TerminalNumbers {
  const numbers = known.get(conductors) ?? new TerminalNumbers();
  known.set(conductors, numbers);
  return numbers;
}

const knownElements = new WeakMap<readonly NetConductor[], readonly Element[]>();

/** The conductors of a netlist as elements in its order, kept with it. */
export function conductorElements(netlist: Netlist): readonly Element[] {
  const { conductors } = netlist;
  const known = knownElements.get(conductors);
  if (known) return known;
  const numbers = terminalNumbers(netlist);
  const elements = conductors.map(({ from, to, ohm }) => resistance(numbers.numberOf(from), numbers.numberOf(to), ohm));
  knownElements.set(conductors, elements);
  return elements;
}

const knownIndexes = new WeakMap<readonly NetConductor[], ReadonlyMap<string, number>>();

/** Where each conductor stands in the netlist's list, kept with it. */
export function conductorIndexes({ conductors }: Netlist): ReadonlyMap<string, number> {
  const indexes = knownIndexes.get(conductors) ?? new Map(conductors.map(({ id }, index) => [id, index]));
  knownIndexes.set(conductors, indexes);
  return indexes;
}
