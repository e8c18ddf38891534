import type { AssessedAlarm, AssessedPump } from '../assess';
import {
  mapParts,
  terminalName,
  type FloatPosition,
  type Netlist,
  type Part,
  type Setting,
  type SolverMemory,
  type SwitchPosition,
  type TerminalRef,
} from '../circuit';
import { terminalInWords, type Plan } from '../schemes';
import { withSupply } from '../sizing';
import { spreads, type Corner } from './corners';
import type { ProveTest, ReadBattery } from './proveTest';
import { widened, windowAbout, type Expected, type ReadAs, type WindowRules } from './windows';

/** What every test of a circuit is made from. */
export interface Ground {
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly plan: Plan;
  readonly posts: Readonly<Record<string, string>> | undefined;
  readonly netlist: Netlist;
  readonly corners: readonly Corner[];
  readonly memory: SolverMemory;
  readonly battery: ReadBattery;
  /** How wide its windows are. */
  readonly rules: WindowRules;
  /** Names of the boat's other pump circuits. */
  readonly others: readonly string[];
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

/** A point that a meter touches, as a hand at the panel knows it. */
export function pointWords({ plan, posts, lever }: Ground, at: TerminalRef): string {
  if (terminalName(at) === terminalName(plan.ground)) return 'battery negative';
  if (at.part !== lever?.id) return terminalInWords(plan, at, posts);
  const printed = posts?.[terminalName(at)];
  return printed === undefined ? `the ${at.terminal} post` : `post ${printed} (${at.terminal})`;
}

/** The fuses that are pulled, as a sentence begins. */
export const fusesOutWords = ({ fuses }: Ground): string => (fuses.length > 1 ? 'All fuses out' : 'Fuse out');

/** How a circuit is set, in words. */
export function settingWords({ lever, pump, netlist }: Ground, { switches, floats }: Positions): string {
  const three = lever?.kind === 'three-way-switch';
  const feels = pump?.inside?.sensing === 'timer' || netlist.parts.some(({ kind }) => kind === 'probe-sensor');
  const stands = { up: feels ? 'sensor wet' : 'float up', down: feels ? 'sensor dry' : 'float down' };
  return [
    ...Object.values(switches).map((one) => (three ? `lever ${one}` : one === 'off' ? 'switch off' : 'switch on')),
    ...[...new Set(Object.values(floats))].map((one) => stands[one]),
  ].join(', ');
}

/** How the circuit is left to itself, and how it is run by hand, as a sentence begins. */
export const onItsOwn = ({ lever }: Ground): string =>
  lever === null ? 'Fuse in' : lever.kind === 'three-way-switch' ? 'Lever auto' : 'Switch off';
export const byHand = ({ lever, floats }: Ground): string =>
  lever === null && floats.length > 0 ? 'Float lifted' : lever?.kind === 'on-off-switch' ? 'Switch on' : 'Lever manual';

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
  { corners, rules }: Ground,
  nominal: number,
  as: ReadAs,
  valueOf: (netlist: Netlist) => number | null,
): { readonly expect: Expected; readonly widenedBy: readonly string[] } {
  const window = windowAbout(nominal, as, rules);
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
