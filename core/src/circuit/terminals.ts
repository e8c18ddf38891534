import type { NetConductor, Netlist, TerminalRef } from './netlist';

/** Numbers the terminals of a netlist, and the inner nodes of its parts, in the order in which they are met. */
class TerminalNumbers {
  private readonly byPart = new Map<string, Map<string, number>>();
  private counted = 0;

  get count(): number {
    return this.counted;
  }

  numberOf({ part, terminal }: TerminalRef): number {
    let own = this.byPart.get(part);
    if (!own) this.byPart.set(part, (own = new Map<string, number>()));
    const known = own.get(terminal);
    if (known !== undefined) return known;
    own.set(terminal, this.counted);
    this.counted += 1;
    return this.counted - 1;
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
