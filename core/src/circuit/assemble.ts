import type { Element } from './element';
import type { Netlist, TerminalRef } from './netlist';
import type { Setting } from './parts';
import { Wirings } from './terminals';

/** A netlist in one setting as elements between numbered terminals. */
export interface Assembled {
  /** Those of the parts, then one a conductor in the netlist's order. */
  readonly elements: readonly Element[];
  /** The part of each element that is a part's. */
  readonly owners: readonly string[];
  readonly ground: number;
  /** How many terminals are numbered. */
  readonly count: number;
  numberOf(terminal: TerminalRef): number;
  /** The part or conductor that the element at an index belongs to. */
  ownerAt(index: number): string;
  /** Where the elements of the conductors begin. */
  readonly ofParts: number;
}

/**
 * The elements of every part and conductor.
 * @param latched relays pulled in and electronics at work
 */
export function assemble(
  netlist: Netlist,
  setting: Setting,
  latched: ReadonlySet<string>,
  wirings = new Wirings(),
): Assembled {
  const wiring = wirings.of(netlist);
  const { numbers } = wiring.joins;
  const elements: Element[] = [];
  const owners: string[] = [];
  for (const part of netlist.parts) {
    for (const element of numbers.ofPart(part.id).elementsOf(part, setting, latched.has(part.id))) {
      elements.push(element);
      owners.push(part.id);
    }
  }
  const ofParts = elements.length;
  for (const element of wiring.elements) elements.push(element);
  return {
    elements,
    owners,
    ground: numbers.numberOf(netlist.ground),
    count: numbers.count,
    numberOf: (terminal) => numbers.numberOf(terminal),
    ofParts,
    ownerAt: (index) => owners[index] ?? netlist.conductors[index - ofParts]?.id ?? '',
  };
}
