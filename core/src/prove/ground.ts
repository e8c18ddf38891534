import {
  mapParts,
  type FloatPosition,
  type Netlist,
  type Part,
  type Setting,
  type SolverMemory,
  type SwitchPosition,
  type TerminalRef,
} from '../circuit';
import type { Plan } from '../schemes';
import { withSupply } from '../sizing';
import { spreads, type Corner } from './corners';
import type { ProveTest, ReadBattery } from './proveTest';
import { widened, windowAbout, type Expected, type ReadAs } from './windows';

/** What every test of a circuit is made from. */
export interface Ground {
  readonly plan: Plan;
  readonly posts: Readonly<Record<string, string>> | undefined;
  readonly netlist: Netlist;
  readonly corners: readonly Corner[];
  readonly memory: SolverMemory;
  readonly battery: ReadBattery;
  readonly lever: Part | null;
  readonly floats: readonly Part[];
  readonly pump: Extract<Part, { kind: 'pump' }> | null;
  readonly fuses: readonly string[];
}

/** How lever, floats and fuses stand in a test. */
export type Positions = ProveTest['set'];

const only = (all: readonly Part[], position: FloatPosition): Record<string, FloatPosition> =>
  Object.fromEntries(all.map(({ id }) => [id, position]));

/** The setting that the solver takes. */
export const settingOf = ({ switches, floats }: Positions): Setting => ({ switches, floats });

/** The netlist with some fuses out. */
export function pulled(netlist: Netlist, out: readonly string[]): Netlist {
  if (out.length === 0) return netlist;
  return mapParts(netlist, (part) =>
    part.kind === 'fuse' && out.includes(part.id) ? { ...part, closed: false } : part,
  );
}

/** The battery held at the volts that were read, as far as they were. */
export function heldAt(netlist: Netlist, { restingV, runningV }: ReadBattery, running: boolean): Netlist {
  const volts = running ? runningV : restingV;
  if (volts !== undefined) return withSupply(netlist, volts);
  // Its own resistance goes on counting where only its rest was read.
  if (running && restingV !== undefined)
    return mapParts(netlist, (part) => (part.kind === 'battery' ? { ...part, emfV: restingV } : part));
  return netlist;
}

/** The posts of the switch panel's lever. */
export function leverPosts({ lever }: Ground): TerminalRef[] {
  if (!lever) return [];
  const names = lever.kind === 'three-way-switch' ? ['common', 'manual', 'auto'] : ['in', 'out'];
  return names.map((terminal) => ({ part: lever.id, terminal }));
}

/** How a circuit is set, in words. */
export const settingWords = ({ switches, floats }: Positions): string =>
  [
    ...Object.values(switches).map((position) => `lever ${position}`),
    ...[...new Set(Object.values(floats))].map((position) => `float ${position}`),
  ].join(', ');

/** Lever in a position, all floats in another, every fuse in. */
export function positionsFor(
  { lever, floats }: Ground,
  lifted: FloatPosition,
  position: SwitchPosition | null,
): Positions {
  return {
    switches: lever && position ? { [lever.id]: position } : {},
    floats: only(floats, lifted),
    fusesOut: [],
  };
}

/** A window about a value, widened to hold what the corners of the sound circuit show. */
export function widenedAt(
  { corners }: Ground,
  nominal: number,
  as: ReadAs,
  valueOf: (netlist: Netlist) => number | null,
): { readonly expect: Expected; readonly widenedBy: readonly string[] } {
  const window = windowAbout(nominal, as);
  const values = corners.flatMap(({ netlist, of }) => {
    const value = valueOf(netlist);
    return value === null ? [] : [{ value, of }];
  });
  const outside = values.filter(({ value }) => value < window.low || value > window.high);
  return {
    expect: widened(
      window,
      values.map(({ value }) => value),
    ),
    widenedBy: [...new Set(outside.map(({ of }) => spreads[of].what))],
  };
}
