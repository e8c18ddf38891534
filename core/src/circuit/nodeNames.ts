import { assemble } from './assemble';
import { terminalName, type Netlist, type TerminalRef } from './netlist';
import { JoinedNumbers } from './joinedNumbers';
import { innerOf, terminalsOf, type Setting } from './parts';

/** The name of node 0. */
export const GROUND = '0';

/** Names of the nodes in one setting: terminals that ideal joints make one share a name. */
export interface NodeNames {
  /** Name of a numbered terminal's node: `[a-z0-9_]+`, or `0`. */
  nameOf(number: number): string;
  nameAt(terminal: TerminalRef): string;
  /** Every terminal of every part, with its node's name. */
  readonly terminals: ReadonlyMap<string, string>;
}

/** Names every node after the first terminal that belongs to it, in the netlist's order. */
export function nodeNames(netlist: Netlist, setting: Setting, latched: ReadonlySet<string>): NodeNames {
  const { elements, ground, count, numberOf } = assemble(netlist, setting, latched);
  const joined = new JoinedNumbers(count);
  for (const element of elements) if (element.kind === 'link') joined.join(element.a, element.b);
  const names = new Map<number, string>([[joined.rootOf(ground), GROUND]]);
  const taken = new Set<string>();
  const name = (number: number, wanted: string): string => {
    const root = joined.rootOf(number);
    const known = names.get(root);
    if (known !== undefined) return known;
    const plain = wanted.toLowerCase().replace(/[^a-z0-9]+/g, '_');
    let free = plain;
    for (let index = 2; taken.has(free); index += 1) free = `${plain}_${index}`;
    taken.add(free);
    names.set(root, free);
    return free;
  };
  const terminals = new Map<string, string>();
  for (const part of netlist.parts) {
    for (const terminal of terminalsOf(part)) {
      const at = { part: part.id, terminal };
      const number = numberOf(at);
      if (number < count) terminals.set(terminalName(at), name(number, terminalName(at)));
    }
    for (const inner of innerOf(part)) {
      const number = numberOf({ part: part.id, terminal: inner });
      if (number < count) name(number, `${part.id}_${inner}`);
    }
  }
  const nameOf = (number: number) => names.get(joined.rootOf(number)) ?? name(number, `node_${number}`);
  return { nameOf, nameAt: (terminal) => nameOf(numberOf(terminal)), terminals };
}
