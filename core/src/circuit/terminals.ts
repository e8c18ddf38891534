import { resistance, type Element } from './element';
import type { NetConductor, Netlist, TerminalRef } from './netlist';
import { elementsOf, stateIn, type Part, type Setting } from './parts';

/** One part's terminals by number, and its elements between them. */
class PartTerminals {
  private readonly numbers = new Map<string, number>();
  private part: Part | null = null;
  /** As far as they were asked for, by where the part stands. */
  private readonly kept: (readonly Element[] | undefined)[] = [];

  constructor(private readonly nextNumber: () => number) {}

  readonly numberOf = (terminal: string): number => {
    const known = this.numbers.get(terminal);
    if (known !== undefined) return known;
    const number = this.nextNumber();
    this.numbers.set(terminal, number);
    return number;
  };

  /** A part's elements; those of the same part are made once for each way it can stand. */
  elementsOf(part: Part, setting: Setting, latched: boolean): readonly Element[] {
    if (part !== this.part) {
      this.part = part;
      this.kept.fill(undefined);
    }
    const state = stateIn(setting, part.id, latched);
    const place = 4 * PLACES[state.position ?? 'unset'] + (state.float === 'up' ? 2 : 0) + (latched ? 1 : 0);
    return (this.kept[place] ??= elementsOf(part, this.numberOf, state));
  }
}

const PLACES = { unset: 0, off: 1, auto: 2, manual: 3 } as const;

/** Numbers terminals, and the inner nodes of parts, in the order in which they are met. */
class TerminalNumbers {
  private readonly byPart = new Map<string, PartTerminals>();
  private counted = 0;

  get count(): number {
    return this.counted;
  }

  numberOf({ part, terminal }: TerminalRef): number {
    return this.ofPart(part).numberOf(terminal);
  }

  /** The terminals of one part. */
  ofPart(part: string): PartTerminals {
    const known = this.byPart.get(part);
    if (known) return known;
    const terminals = new PartTerminals(() => {
      this.counted += 1;
      return this.counted - 1;
    });
    this.byPart.set(part, terminals);
    return terminals;
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

interface Kept extends Wiring {
  readonly conductors: readonly NetConductor[];
}

const KEPT_AT_MOST = 16;

/**
 * The last lists of conductors met, with their wiring. Circuits are solved a few at a
 * time, over and over; held by a weak map, what was let go would outlive every quick collection.
 */
export class Wirings {
  private readonly latest: (Kept | undefined)[] = Array.from({ length: KEPT_AT_MOST });
  private next = 0;

  /** The wiring of a netlist: it is solved many times with the same conductors (other supplies, other faults). */
  of({ conductors }: Netlist): Wiring {
    return this.latest.find((kept) => kept?.conductors === conductors) ?? this.keep(conductors, new Joins(conductors));
  }

  /** Remembers conductors that join what others join. */
  keepAlike(conductors: readonly NetConductor[], as: Netlist): void {
    this.keep(conductors, this.of(as).joins);
  }

  private keep(conductors: readonly NetConductor[], joins: Joins): Wiring {
    const elements = conductors.map(({ from, to, ohm }) =>
      resistance(joins.numbers.numberOf(from), joins.numbers.numberOf(to), ohm),
    );
    const wiring = { conductors, joins, elements };
    this.latest[this.next] = wiring;
    this.next = (this.next + 1) % KEPT_AT_MOST;
    return wiring;
  }
}
