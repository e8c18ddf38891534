import { assemble, type Assembled } from './assemble';
import { CircuitError } from './circuitError';
import { elementA } from './curved';
import { isIdeal } from './element';
import { idealCurrents } from './idealCurrents';
import type { Netlist, TerminalRef } from './netlist';
import { numberNodes, rowOf, voltsOver, type Nodes } from './nodes';
import { settle, type Settled } from './operatingPoint';
import {
  canLatch,
  countedAt,
  doingOf,
  doingWords,
  latchOf,
  stateIn,
  type Doing,
  type Part,
  type Setting,
} from './parts';
import { SolverMemory } from './solverMemory';

/** So many changes of a relay's state mean that it chatters. */
const CHATTER_CHANGES = 10;

/** The DC operating point of a netlist in one setting. */
export interface OperatingPoint {
  /** Volts of a terminal against battery negative. */
  voltsAt(terminal: TerminalRef): number;
  /** Volts between a part's two terminals. */
  voltsAcross(part: string, plus: string, minus: string): number;
  /** Amperes through a conductor from its `from` to its `to` end; 0 where there is none of that id. */
  conductorA(id: string): number;
  /** Amperes into a part at a terminal, from the conductors that end there. */
  terminalA(terminal: TerminalRef): number;
  /** A part's own current, A: what a battery delivers, a pump draws, a contact carries. 0 for a part that has none. */
  partA(id: string): number;
  /** A part's own current, A, and what it is doing. */
  readingOf(part: Part): { readonly amps: number; readonly doing: Doing };
  /** What a part is doing; null where there is none of that id. */
  doingOf(id: string): Doing | null;
  /** The same in a word or two; nothing where there is none of that id. */
  wordOf(id: string): string;
  /** Whether a relay is pulled in, or a part's electronics are at work. */
  latched(id: string): boolean;
  /** Number of the node a terminal belongs to, −1 for node 0 or one that nothing conducting touches. */
  nodeOf(terminal: TerminalRef): number;
  /** Steps of the iteration, all states of the relays together. */
  readonly iterations: number;
}

/**
 * Solves a netlist by modified nodal analysis; motors start standing, relays
 * released, and relays change state until all rest.
 * @param memory what is remembered from other solves; left out, nothing is
 * @throws CircuitError `singular` for ideal sources that nothing limits, `not-settled`, or `chatter` for a relay that
 * comes to no rest.
 */
export function solve(netlist: Netlist, setting: Setting, memory = new SolverMemory()): OperatingPoint {
  const likely = setting.likely && solveAsLikely(netlist, setting, new Set(setting.likely), memory);
  if (likely) return likely;
  let latched: ReadonlySet<string> = new Set<string>();
  let iterations = 0;
  const changes = new Map<string, number>();
  for (;;) {
    const solved = solveOnce(netlist, setting, latched, memory);
    iterations += solved.settled.iterations;
    const next = nextLatched(netlist.parts, solved, latched, setting);
    const changed = netlist.parts.filter(({ id }) => latched.has(id) !== next.has(id));
    if (changed.length === 0) return pointOf(netlist, solved, setting, latched, iterations, memory);
    for (const { id } of changed) {
      const count = (changes.get(id) ?? 0) + 1;
      if (count >= CHATTER_CHANGES) throw chatter(id);
      changes.set(id, count);
    }
    latched = next;
  }
}

/**
 * The point with relays where they are likely to be, if each of them would have
 * pulled in from rest at these volts: pulling in takes volts away and gives none,
 * so from rest they had at least as many. Null otherwise.
 */
function solveAsLikely(
  netlist: Netlist,
  setting: Setting,
  likely: ReadonlySet<string>,
  memory: SolverMemory,
): OperatingPoint | null {
  const solved = solveOnce(netlist, setting, likely, memory);
  const fromRest = nextLatched(netlist.parts, solved, new Set(), setting);
  const same = fromRest.size === likely.size && [...likely].every((id) => fromRest.has(id));
  return same ? pointOf(netlist, solved, setting, likely, solved.settled.iterations, memory) : null;
}

/** Amperes into a part's own elements at one of its terminals; null where an ideal one hides them. */
function intoOwnElements(
  { elements, owners }: Assembled,
  part: string,
  terminal: number,
  ampsOf: (place: number) => number,
): number | null {
  let sum = 0;
  for (let place = owners.indexOf(part); place >= 0 && owners[place] === part; place += 1) {
    const element = elements[place];
    if (!element) break;
    const starts = element.a === terminal;
    if (!starts && element.b !== terminal) continue;
    if (isIdeal(element)) return null;
    sum += starts ? ampsOf(place) : -ampsOf(place);
  }
  return sum;
}

function idealLoop(id: string): CircuitError {
  return new CircuitError(
    'singular',
    `“${id}” has no internal resistance and is closed on itself through conductors without resistance, or stands in a loop with another such source. Give it, or what it is joined by, its resistance.`,
    id,
  );
}

function chatter(id: string): CircuitError {
  return new CircuitError(
    'chatter',
    `“${id}” chatters: pulled in, it takes away the volts that hold it; released, it gets them back. Its feed is too weak for what it switches.`,
    id,
  );
}

interface Solved {
  readonly assembled: Assembled;
  readonly nodes: Nodes;
  readonly settled: Settled;
  voltsAt(terminal: TerminalRef): number;
}

function solveOnce(
  netlist: Netlist,
  setting: Setting,
  latched: ReadonlySet<string>,
  { wirings, topologies }: SolverMemory,
): Solved {
  const assembled = assemble(netlist, setting, latched, wirings);
  const nodes = numberNodes(assembled.elements, assembled.count, assembled.ground, topologies);
  if (nodes.loop) throw idealLoop(assembled.ownerAt(assembled.elements.indexOf(nodes.loop)));
  const settled = settle(nodes);
  const voltsAt = (terminal: TerminalRef) => {
    const number = assembled.numberOf(terminal);
    return number < assembled.count ? (settled.volts[rowOf(nodes, number)] ?? 0) : 0;
  };
  return { assembled, nodes, settled, voltsAt };
}

function nextLatched(
  parts: readonly Part[],
  { voltsAt }: Solved,
  latched: ReadonlySet<string>,
  setting: Setting,
): ReadonlySet<string> {
  const next = new Set<string>();
  for (const part of parts) {
    if (!canLatch(part)) continue;
    const volts = (terminal: string) => voltsAt({ part: part.id, terminal });
    if (latchOf(part, volts, stateIn(setting, part.id, latched.has(part.id)))) next.add(part.id);
  }
  return next;
}

function pointOf(
  netlist: Netlist,
  { assembled, nodes, settled, voltsAt }: Solved,
  setting: Setting,
  latched: ReadonlySet<string>,
  iterations: number,
  { wirings }: SolverMemory,
): OperatingPoint {
  const { joins } = wirings.of(netlist);
  let ideal: Float64Array | undefined;
  const ampsOf = (place: number) => {
    const element = assembled.elements[place];
    if (!element) return 0;
    if (!isIdeal(element)) return elementA(element, voltsOver(nodes.topology, place, settled.volts));
    ideal ??= idealCurrents(nodes, settled.volts, assembled.count);
    return ideal[place] ?? 0;
  };
  const conductorA = (id: string) => {
    const index = joins.indexes.get(id);
    return index === undefined ? 0 : ampsOf(assembled.ofParts + index);
  };
  const terminalA = (terminal: TerminalRef) => {
    let sum = 0;
    for (const { index, sign } of joins.endsAt(terminal)) sum += sign * ampsOf(assembled.ofParts + index);
    return sum;
  };
  const ampsThrough = (part: Part) => {
    const counted = countedAt(part);
    if (!counted) return 0;
    const at = { part: part.id, terminal: counted.terminal };
    return counted.sign * (intoOwnElements(assembled, part.id, assembled.numberOf(at), ampsOf) ?? terminalA(at));
  };
  const readingOf = (part: Part) => {
    const amps = ampsThrough(part);
    const volts = (terminal: string) => voltsAt({ part: part.id, terminal });
    return { amps, doing: doingOf(part, { volts, amps, ...stateIn(setting, part.id, latched.has(part.id)) }) };
  };
  const partOf = (id: string) => netlist.parts.find((candidate) => candidate.id === id);
  const partA = (id: string) => {
    const part = partOf(id);
    return part ? ampsThrough(part) : 0;
  };
  const doing = (id: string) => {
    const part = partOf(id);
    return part ? readingOf(part).doing : null;
  };
  return {
    iterations,
    voltsAt,
    voltsAcross: (part, plus, minus) => voltsAt({ part, terminal: plus }) - voltsAt({ part, terminal: minus }),
    conductorA,
    terminalA,
    partA,
    readingOf,
    latched: (id) => latched.has(id),
    nodeOf: (terminal) => rowOf(nodes, assembled.numberOf(terminal)),
    doingOf: doing,
    wordOf: (id) => {
      const known = doing(id);
      return known === null ? '' : doingWords[known];
    },
  };
}
