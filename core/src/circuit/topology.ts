import type { Element } from './element';
import { planElimination, type Elimination } from './elimination';
import type { IdealPlan } from './idealPlan';
import { JoinedNumbers } from './joinedNumbers';

/** How a circuit hangs together, whatever its volts and ohms are. */
export interface Topology {
  /** How many rows its nodes take. */
  readonly count: number;
  /** Row of each terminal, −1 for node 0 and for one that no element touches. */
  readonly rows: Int32Array;
  /** Rows at the two ends of each element, two by two; a link's are the same. */
  readonly ends: Int32Array;
  /** Places of the motors that are not open. */
  readonly motors: readonly number[];
  readonly diodes: readonly number[];
  /** Groups of rows that nothing conducting joins to node 0, with every diode taken as conducting. */
  readonly islands: readonly (readonly number[])[];
  readonly ties: Ties;
  readonly elimination: Elimination;
  /** What every solve fills anew. */
  readonly work: Work;
  /** Islands by which diodes conduct, as they are met. */
  readonly islandsWhen: Map<number, readonly (readonly number[])[]>;
  /** In what order the currents of its ideal elements follow, once that was asked. */
  idealPlan: IdealPlan | null;
}

/** The arrays of one system of equations, kept from solve to solve since large ones are dear to make. */
interface Work {
  readonly diagonal: Float64Array;
  readonly entries: Float64Array;
  readonly right: Float64Array;
  readonly aboveV: Float64Array;
  /** One for each motor and diode. */
  readonly fedIn: readonly Float64Array[];
}

/** What ideal sources fix: they tie the volts of a row to another's, or to node 0. */
export interface Ties {
  /** How many volts stay unknown. */
  readonly unknowns: number;
  /** Which unknown the volts of a row go with, −1 for none. */
  readonly unknownOf: Int32Array;
  /** Of each ideal source, its place among the elements, and how far it lifts each row above its unknown, V per V. */
  readonly lifts: readonly { readonly place: number; readonly perV: Float64Array }[];
  /** Place of an ideal source that is shorted or closes a loop of such; −1 for none. */
  readonly loop: number;
}

const KEPT_AT_MOST = 400;

/** How circuits hang together, as they are met: they are solved over and over in the same few settings. */
export class Topologies {
  private readonly byKey = new Map<number, { readonly key: Int32Array; readonly topology: Topology }[]>();
  private kept = 0;
  /** Where the next key is written. */
  private scratch = new Int32Array(512);

  /**
   * How elements between numbered terminals hang together.
   * @param count how many terminals are numbered
   * @param ground the terminal that is node 0
   */
  of(elements: readonly Element[], count: number, ground: number): Topology {
    const length = 2 + 3 * elements.length;
    if (length > this.scratch.length) this.scratch = new Int32Array(2 * length);
    const key = writeKey(this.scratch.subarray(0, length), elements, count, ground);
    const hash = hashOf(key);
    const known = this.byKey.get(hash)?.find((other) => sameKey(other.key, key));
    if (known) return known.topology;
    const topology = findTopology(elements, count, ground);
    if (this.kept >= KEPT_AT_MOST) {
      this.byKey.clear();
      this.kept = 0;
    }
    this.kept += 1;
    this.byKey.set(hash, [...(this.byKey.get(hash) ?? []), { key: key.slice(), topology }]);
    return topology;
  }
}

/** Everything a topology depends on: which terminals are joined, ideally or at all, and by what kind. */
function writeKey(key: Int32Array, elements: readonly Element[], count: number, ground: number): Int32Array {
  key[0] = count;
  key[1] = ground;
  let at = 2;
  for (const element of elements) {
    key[at] = kindCode(element);
    key[at + 1] = element.a;
    key[at + 2] = element.b;
    at += 3;
  }
  return key;
}

function kindCode(element: Element): number {
  switch (element.kind) {
    case 'link':
      return 2;
    case 'source':
      return element.ohm === 0 ? 3 : 1;
    case 'diode':
      return 4;
    case 'motor':
      return element.condition === 'open' ? 0 : 5;
    case 'sink':
      return 0;
    case 'resistor':
      return 1;
    default:
      return element satisfies never;
  }
}

/** FNV-1a over the words of a key. */
function hashOf(key: Int32Array): number {
  let hash = 0x811c9dc5;
  for (let at = 0; at < key.length; at += 1) hash = Math.imul(hash ^ (key[at] ?? 0), 0x01000193);
  return hash;
}

function sameKey(one: Int32Array, other: Int32Array): boolean {
  if (one.length !== other.length) return false;
  for (let at = 0; at < one.length; at += 1) if (one[at] !== other[at]) return false;
  return true;
}

function findTopology(elements: readonly Element[], count: number, ground: number): Topology {
  const joined = new JoinedNumbers(count);
  for (const element of elements) if (element.kind === 'link') joined.join(element.a, element.b);
  const ofRoot = new Int32Array(count).fill(-2);
  ofRoot[joined.rootOf(ground)] = -1;
  let rowCount = 0;
  const rowOf = (terminal: number): number => {
    const root = joined.rootOf(terminal);
    if (ofRoot[root] === -2) {
      ofRoot[root] = rowCount;
      rowCount += 1;
    }
    return ofRoot[root] ?? -1;
  };
  const ends = new Int32Array(2 * elements.length);
  elements.forEach(({ kind, a, b }, place) => {
    if (kind === 'link') return;
    ends[2 * place] = rowOf(a);
    ends[2 * place + 1] = rowOf(b);
  });
  const rows = new Int32Array(count);
  for (let terminal = 0; terminal < count; terminal += 1) {
    // A terminal that only links touch has no row: it carries nothing, and reads as node 0.
    rows[terminal] = Math.max(-1, ofRoot[joined.rootOf(terminal)] ?? -1);
  }
  elements.forEach(({ kind, a }, place) => {
    if (kind === 'link') ends.fill(rows[a] ?? -1, 2 * place, 2 * place + 2);
  });
  const ties = tiesOf(elements, ends, rowCount);
  const elimination = planElimination(
    ties.unknowns,
    ends.map((row) => ties.unknownOf[row] ?? -1),
  );
  const placesOf = (wanted: Element['kind']) =>
    elements.flatMap((element, place) => (element.kind === wanted && conducts(element) ? [place] : []));
  const [motors, diodes] = [placesOf('motor'), placesOf('diode')];
  return {
    count: rowCount,
    rows,
    ends,
    motors,
    diodes,
    islands: islandsOf(ends, rowCount, (place) => conducts(elements[place])),
    ties,
    elimination,
    work: {
      diagonal: new Float64Array(ties.unknowns),
      entries: new Float64Array(elimination.beside.length),
      right: new Float64Array(ties.unknowns),
      aboveV: new Float64Array(rowCount),
      fedIn: [...motors, ...diodes].map(() => new Float64Array(ties.unknowns)),
    },
    islandsWhen: new Map(),
    idealPlan: null,
  };
}

/** Joins the rows at the two sides of each ideal source. */
function tiesOf(elements: readonly Element[], ends: Int32Array, count: number): Ties {
  const ideal = elements.flatMap((element, place) => (element.kind === 'source' && element.ohm === 0 ? [place] : []));
  // Row −1 is node 0; here it has the place after the last row.
  const leader = Int32Array.from({ length: count + 1 }, (_, row) => row);
  const lifts = ideal.map((place) => ({ place, perV: new Float64Array(count + 1) }));
  let loop = -1;
  for (const [index, place] of ideal.entries()) {
    const [plus, minus] = [2 * place, 2 * place + 1].map((at) => ((ends[at] ?? -1) < 0 ? count : (ends[at] ?? -1)));
    if (plus === undefined || minus === undefined) continue;
    const [one, other] = [leader[plus] ?? plus, leader[minus] ?? minus];
    if (one === other) {
      loop = place;
      continue;
    }
    // The plus side's leader stands above the minus side's by this much; node 0 always leads.
    const moved = one === count ? other : one;
    const kept = one === count ? one : other;
    const sign = one === count ? -1 : 1;
    const steps = lifts.map(
      ({ perV }, source) => sign * ((perV[minus] ?? 0) + (source === index ? 1 : 0) - (perV[plus] ?? 0)),
    );
    for (let row = 0; row <= count; row += 1) {
      if (leader[row] !== moved) continue;
      leader[row] = kept;
      lifts.forEach(({ perV }, source) => {
        perV[row] = (perV[row] ?? 0) + (steps[source] ?? 0);
      });
    }
  }
  return { ...numberLeaders(leader, count), lifts, loop };
}

/** Leaders take numbers in the order of their rows. */
function numberLeaders(leader: Int32Array, count: number): Pick<Ties, 'unknowns' | 'unknownOf'> {
  const unknownOf = new Int32Array(count);
  let unknowns = 0;
  for (let row = 0; row < count; row += 1) {
    if (leader[row] !== row) continue;
    unknownOf[row] = unknowns;
    unknowns += 1;
  }
  for (let row = 0; row < count; row += 1) {
    const leading = leader[row] ?? row;
    if (leading !== row) unknownOf[row] = leading === count ? -1 : (unknownOf[leading] ?? -1);
  }
  return { unknowns, unknownOf };
}

/**
 * Groups of rows that nothing joins to node 0.
 * @param ends rows at the two ends of each element
 * @param joins whether the element at a place joins its two ends
 */
export function islandsOf(ends: Int32Array, count: number, joins: (place: number) => boolean): number[][] {
  // Number 0 is node 0 here, and each row one above its own number.
  const joined = new JoinedNumbers(count + 1);
  for (let place = 0; 2 * place < ends.length; place += 1)
    if (joins(place)) joined.join((ends[2 * place] ?? -1) + 1, (ends[2 * place + 1] ?? -1) + 1);
  const main = joined.rootOf(0);
  const islands = new Map<number, number[]>();
  for (let row = 0; row < count; row += 1) {
    const root = joined.rootOf(row + 1);
    if (root === main) continue;
    const island = islands.get(root);
    if (island) island.push(row);
    else islands.set(root, [row]);
  }
  return [...islands.values()];
}

/** Whether an element can carry a current that depends on its volts. */
export function conducts(element: Element | undefined): boolean {
  return (
    element !== undefined && element.kind !== 'sink' && !(element.kind === 'motor' && element.condition === 'open')
  );
}
