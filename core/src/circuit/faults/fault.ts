import type { NetConductor, Netlist, TerminalRef } from '../netlist';
import { isFloat, type Part } from '../parts';

/** Where a fault can sit: a part, a conductor, or a pair of conductors. */
export interface FaultSite {
  readonly id: string;
  /** What it is, in plain words: "manual and auto". */
  readonly about: string;
}

/** A number that says how bad a fault is. */
export interface FaultDegree {
  readonly unit: 'Ω' | 'A' | 'V';
  readonly usual: number;
  readonly least: number;
  readonly most: number;
}

/** A kind of fault as data: where it can sit and how it changes the netlist. */
export interface Fault {
  /** What it is called in a list. */
  readonly title: string;
  /** In words, as it is said of its site: "corroded". */
  readonly name: string;
  readonly degree?: FaultDegree;
  sites(netlist: Netlist): readonly FaultSite[];
  /** The netlist with the fault; the site is one of its own. */
  apply(netlist: Netlist, site: string, degree: number): Netlist;
}

/** Sites at every part that `fits`. */
export function partSites(fits: (part: Part) => boolean) {
  return ({ parts }: Netlist): FaultSite[] => parts.filter(fits).map(({ id }) => ({ id, about: id }));
}

/** Sites at every conductor. */
export function conductorSites({ conductors }: Netlist): FaultSite[] {
  return conductors.map(({ id }) => ({ id, about: id }));
}

/** The netlist with one part changed. */
export function withPart(netlist: Netlist, id: string, change: (part: Part) => Part): Netlist {
  return { ...netlist, parts: netlist.parts.map((part) => (part.id === id ? change(part) : part)) };
}

/** The netlist with one conductor changed. */
export function withConductor(netlist: Netlist, id: string, change: (wire: NetConductor) => NetConductor): Netlist {
  return { ...netlist, conductors: netlist.conductors.map((wire) => (wire.id === id ? change(wire) : wire)) };
}

/** The netlist with some ends of conductors moved. */
export function withEnds(netlist: Netlist, move: (end: TerminalRef, wire: NetConductor) => TerminalRef): Netlist {
  return {
    ...netlist,
    conductors: netlist.conductors.map((wire) => ({ ...wire, from: move(wire.from, wire), to: move(wire.to, wire) })),
  };
}

/** A part that water moves. */
export const floating = (part: Part) => isFloat(part);
