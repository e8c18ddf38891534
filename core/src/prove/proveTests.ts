import type { AssessedAlarm, AssessedPump } from '../assess';
import {
  doingWords,
  isFloat,
  mapParts,
  measureOhms,
  measureVolts,
  positionsOf,
  solve,
  SolverMemory,
  turns,
  type FloatPosition,
  type Netlist,
  type OperatingPoint,
  type Part,
  type Setting,
  type SwitchPosition,
  type TerminalRef,
} from '../circuit';
import { terminalInWords, type Plan } from '../schemes';
import { withSupply } from '../sizing';
import { cornersOf, spreads, type Corner } from './corners';
import { widened, windowAbout, windowRules, type Expected, type ReadAs } from './windows';

/** What is asked of a circuit, once it is in the boat. */
export interface ProveTest {
  /** The same for the same test of the same circuit, whatever its values. */
  readonly id: string;
  readonly phase: 'commission';
  readonly place: 'source' | 'panel' | 'bilge';
  /** `dead`: the fuse is out, and nothing may be live; these come first. */
  readonly power: 'dead' | 'live';
  readonly text: string;
  readonly set: {
    readonly switches: Readonly<Record<string, SwitchPosition>>;
    readonly floats: Readonly<Record<string, FloatPosition>>;
    /** Fuses that are out. */
    readonly fusesOut: readonly string[];
  };
  readonly instrument: 'voltmeter' | 'ohmmeter' | 'clamp' | 'eyes and ears';
  readonly between?: readonly [TerminalRef, TerminalRef];
  /** The conductor or part it is read at. */
  readonly at?: string;
  readonly expect: Expected | { readonly state: string };
  /** What of a sound circuit widens the window beyond the meter's own. */
  readonly widenedBy: readonly string[];
  /** What a reading on either side suggests; empty where a state says it all. */
  readonly missHigh: string;
  readonly missLow: string;
}

/** The battery as it was read; left out, as it was surveyed. */
export interface ReadBattery {
  readonly restingV?: number;
  readonly runningV?: number;
}

interface Ground {
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

type Positions = ProveTest['set'];

const only = (all: readonly Part[], position: FloatPosition): Record<string, FloatPosition> =>
  Object.fromEntries(all.map(({ id }) => [id, position]));

const settingOf = ({ switches, floats }: Positions): Setting => ({ switches, floats });

/** The netlist with some fuses out. */
function pulled(netlist: Netlist, out: readonly string[]): Netlist {
  if (out.length === 0) return netlist;
  return mapParts(netlist, (part) =>
    part.kind === 'fuse' && out.includes(part.id) ? { ...part, closed: false } : part,
  );
}

/** The battery held at the volts that were read, as far as they were. */
function heldAt(netlist: Netlist, { restingV, runningV }: ReadBattery, running: boolean): Netlist {
  const volts = running ? runningV : restingV;
  if (volts !== undefined) return withSupply(netlist, volts);
  // Its own resistance goes on counting where only its rest was read.
  if (running && restingV !== undefined)
    return mapParts(netlist, (part) => (part.kind === 'battery' ? { ...part, emfV: restingV } : part));
  return netlist;
}

/**
 * Every test of a circuit in the boat, made from what it is made of: dead tests first, then with the fuse in, each with the
 * value that this circuit shows at this battery. One that comes to no rest in a setting has no live test there.
 */
export function proveTests(assessed: AssessedPump | AssessedAlarm, battery: ReadBattery = {}): ProveTest[] {
  const { plan, netlist, circuit } = assessed;
  const ground: Ground = {
    plan,
    posts: circuit.panel?.posts,
    netlist,
    corners: cornersOf(netlist),
    memory: new SolverMemory(),
    battery,
    lever: netlist.parts.find(({ kind }) => kind === 'three-way-switch' || kind === 'on-off-switch') ?? null,
    floats: netlist.parts.filter(isFloat),
    pump: netlist.parts.find((part): part is Extract<Part, { kind: 'pump' }> => part.kind === 'pump') ?? null,
    fuses: netlist.parts.flatMap((part) => (part.kind === 'fuse' ? [part.id] : [])),
  };
  return [...deadTests(ground), ...ohmTests(ground), ...liveTests(ground), ...senseTests(ground)];
}

/** The posts of the switch panel's lever. */
function leverPosts({ lever }: Ground): TerminalRef[] {
  if (!lever) return [];
  const names = lever.kind === 'three-way-switch' ? ['common', 'manual', 'auto'] : ['in', 'out'];
  return names.map((terminal) => ({ part: lever.id, terminal }));
}

const settingWords = ({ switches, floats }: Positions): string =>
  [
    ...Object.values(switches).map((position) => `lever ${position}`),
    ...[...new Set(Object.values(floats))].map((position) => `float ${position}`),
  ].join(', ');

function positionsFor({ lever, floats }: Ground, lifted: FloatPosition, position: SwitchPosition | null): Positions {
  return {
    switches: lever && position ? { [lever.id]: position } : {},
    floats: only(floats, lifted),
    fusesOut: [],
  };
}

/** With the fuse out nothing may be live, the float lifted and the lever in every position. */
function deadTests(ground: Ground): ProveTest[] {
  const { lever, fuses, plan } = ground;
  if (!lever || fuses.length === 0) return [];
  return leverPosts(ground).map((post): ProveTest => {
    const set = { ...positionsFor(ground, 'up', positionsOf(lever)[0] ?? null), fusesOut: fuses };
    return {
      id: `dead-${post.terminal}`,
      phase: 'commission',
      place: 'panel',
      power: 'dead',
      text: `Fuse out, float lifted: ${terminalInWords(plan, post, ground.posts)} to negative shows nothing, with the lever in every position.`,
      set,
      instrument: 'voltmeter',
      between: [post, plan.ground],
      expect: windowAbout(0, 'unloaded'),
      widenedBy: [],
      missHigh:
        'It is live from somewhere else: another feed, another circuit, a wrong wire. Find it before a hand goes in.',
      missLow: 'The probes are the wrong way round, or something feeds it backwards. Find it before a hand goes in.',
    };
  });
}

interface OhmCase {
  readonly id: string;
  readonly between: readonly [TerminalRef, TerminalRef];
  readonly set: Positions;
  readonly missHigh: string;
  readonly missLow: string;
}

/** With the fuse out: the way through the pump, and the way through the float, down and up. */
function ohmTests(ground: Ground): ProveTest[] {
  const { lever, plan, fuses, pump } = ground;
  if (lever?.kind !== 'three-way-switch' || !pump) return [];
  const [manual, auto] = [
    { part: lever.id, terminal: 'manual' },
    { part: lever.id, terminal: 'auto' },
  ];
  const at = (lifted: FloatPosition): Positions => ({ ...positionsFor(ground, lifted, 'off'), fusesOut: fuses });
  const throughFloat = pump.inside === undefined && ground.floats.length > 0;
  const cases: OhmCase[] = [
    {
      id: 'ohms-manual-negative',
      between: [manual, plan.ground],
      set: at('down'),
      missHigh: 'A joint, the winding or the negative is open or corroded on the manual way.',
      missLow: 'Shorted: chafed cable, or a lead on the wrong post.',
    },
    ...(throughFloat
      ? (['down', 'up'] as const).map((lifted) => ({
          id: `ohms-manual-auto-${lifted}`,
          between: [manual, auto] as const,
          set: at(lifted),
          missHigh: 'The float does not close, or a joint of its leads is open.',
          missLow: 'The float never opens, or auto and manual touch.',
        }))
      : []),
  ];
  return cases.flatMap((one) => ohmTest(ground, one) ?? []);
}

function ohmTest(ground: Ground, { id, between, set, missHigh, missLow }: OhmCase): ProveTest | null {
  const { plan, posts } = ground;
  const [red, black] = between;
  const read = (netlist: Netlist) => measureOhms(pulled(netlist, set.fusesOut), settingOf(set), { red, black });
  const nominal = read(ground.netlist);
  if (nominal.kind === 'live') return null;
  const common = {
    id,
    phase: 'commission',
    place: 'panel',
    power: 'dead',
    text: `Fuse out, ${settingWords(set)}: ohms from ${terminalInWords(plan, red, posts)} to ${terminalInWords(plan, black, posts)}.`,
    set,
    instrument: 'ohmmeter',
    between,
    missHigh,
    missLow,
  } as const;
  if (nominal.kind === 'open') return { ...common, expect: { state: 'open' }, widenedBy: [] };
  const { expect, widenedBy } = widenedAt(ground, nominal.ohm, 'ohms', (netlist) => {
    const other = read(netlist);
    return other.kind === 'ohms' ? other.ohm : null;
  });
  return nominal.ohm < windowRules.closedOhm && id !== 'ohms-manual-negative'
    ? { ...common, expect: { state: 'closed' }, widenedBy: [] }
    : { ...common, expect, widenedBy };
}

/** A window about a value, widened to hold what the corners of the sound circuit show. */
function widenedAt(
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

/** With the fuse in, in every position of lever and float: what the pump does, and what a meter shows there. */
function liveTests(ground: Ground): ProveTest[] {
  const { lever, floats } = ground;
  const positions: readonly (SwitchPosition | null)[] = lever ? positionsOf(lever) : [null];
  const lifts: readonly FloatPosition[] = floats.length > 0 ? ['down', 'up'] : ['down'];
  return positions.flatMap((position) =>
    lifts.flatMap((lifted) =>
      testsIn(ground, positionsFor(ground, lifted, position), `${position ?? 'float'}-${lifted}`),
    ),
  );
}

function pointIn(ground: Ground, netlist: Netlist, set: Positions, running: boolean): OperatingPoint | null {
  try {
    return solve(heldAt(netlist, ground.battery, running), settingOf(set), ground.memory);
  } catch {
    return null;
  }
}

/** What the pump does in a setting; null where there is none, or the circuit comes to no rest. */
function pumpRuns(ground: Ground, set: Positions): boolean | null {
  const point = pointIn(ground, ground.netlist, set, true);
  const doing = ground.pump && point ? point.doingOf(ground.pump.id) : null;
  return doing === null ? null : turns(doing);
}

function testsIn(ground: Ground, set: Positions, key: string): ProveTest[] {
  const runs = pumpRuns(ground, set) ?? false;
  const point = pointIn(ground, ground.netlist, set, runs);
  if (!point) return [];
  const states = ground.netlist.parts
    .filter(({ kind }) => kind === 'pump' || kind === 'lamp' || kind === 'alarm')
    .flatMap((part) => {
      const doing = point.doingOf(part.id);
      const name = ground.plan.parts.find((planned) => planned.part.id === part.id)?.name;
      return doing === null || name === undefined ? [] : [`${name} ${doingWords[doing]}`];
    });
  const words = settingWords(set);
  const state: ProveTest = {
    id: `state-${key}`,
    phase: 'commission',
    place: 'panel',
    power: 'live',
    text: `Fuse in, ${words}: look and listen.`,
    set,
    instrument: 'eyes and ears',
    at: ground.pump?.id ?? ground.plan.parts[0]?.part.id ?? '',
    expect: { state: states.join(', ') },
    widenedBy: [],
    missHigh: '',
    missLow: '',
  };
  return [...postVolts(ground, set, key, runs), state, ...(runs ? runningTests(ground, set, key) : [])];
}

interface Wanted {
  readonly id: string;
  readonly place: ProveTest['place'];
  readonly text: string;
  readonly instrument: ProveTest['instrument'];
  readonly between?: readonly [TerminalRef, TerminalRef];
  readonly at?: string;
  readonly as: ReadAs;
  /** The value in a setting, with the battery as it was read. */
  readonly valueOf: (netlist: Netlist, setting: Setting) => number;
  readonly missHigh: string;
  readonly missLow: string;
}

/** A test of a value in a setting: solved as it is, and at the ends of what is not known. */
function valueTest(ground: Ground, set: Positions, runs: boolean, wanted: Wanted): ProveTest[] {
  const { as, valueOf, id, place, text, instrument, between, at, missHigh, missLow } = wanted;
  const read = (netlist: Netlist): number | null => {
    try {
      return valueOf(heldAt(netlist, ground.battery, runs), settingOf(set));
    } catch {
      // A relay that comes to no rest shows no value.
      return null;
    }
  };
  const nominal = read(ground.netlist);
  if (nominal === null) return [];
  const { expect, widenedBy } = widenedAt(ground, nominal, as, read);
  return [
    {
      id,
      phase: 'commission',
      place,
      power: 'live',
      text,
      set,
      instrument,
      ...(between ? { between } : {}),
      ...(at === undefined ? {} : { at }),
      expect,
      widenedBy,
      missHigh,
      missLow,
    },
  ];
}

/** What the meter shows, which is a load of its own: an end that hangs free reads nothing. */
const voltsBetween = (red: TerminalRef, black: TerminalRef) => (netlist: Netlist, setting: Setting) =>
  measureVolts(netlist, setting, { red, black });

/** Volts of the lever's posts against battery negative. */
function postVolts(ground: Ground, set: Positions, key: string, runs: boolean): ProveTest[] {
  return leverPosts(ground).flatMap((post) =>
    valueTest(ground, set, runs, {
      id: `volts-${post.terminal}-${key}`,
      place: 'panel',
      text: `Fuse in, ${settingWords(set)}: volts at ${terminalInWords(ground.plan, post, ground.posts)}.`,
      instrument: 'voltmeter',
      between: [post, ground.plan.ground],
      as: runs ? 'loaded' : 'unloaded',
      valueOf: voltsBetween(post, ground.plan.ground),
      missHigh: 'It is fed from where it should not be: a float or contact that is closed, or a wrong post.',
      missLow: 'Something before it is open or corroded: fuse, feed, lever, or the negative of the meter.',
    }),
  );
}

/** While the pump runs: amperes, volts across it, and what the way back loses. */
function runningTests(ground: Ground, set: Positions, key: string): ProveTest[] {
  const { pump, plan } = ground;
  if (!pump) return [];
  const [plus, minus] = [
    { part: pump.id, terminal: 'plus' },
    { part: pump.id, terminal: 'minus' },
  ];
  const words = `Fuse in, ${settingWords(set)}`;
  return [
    ...valueTest(ground, set, true, {
      id: `amps-${key}`,
      place: 'panel',
      text: `${words}: amperes in the feed.`,
      instrument: 'clamp',
      at: plan.ids?.afterFuse ?? pump.id,
      as: 'amps',
      valueOf: (netlist, setting) => solve(netlist, setting, ground.memory).partA(pump.id),
      missHigh: 'Debris in the impeller, a bearing, a winding shorted in part, or another load on the feed.',
      missLow: 'It runs dry, or a joint, contact or brush holds its current back.',
    }),
    ...valueTest(ground, set, true, {
      id: `pump-volts-${key}`,
      place: 'bilge',
      text: `${words}: volts across the pump’s leads.`,
      instrument: 'voltmeter',
      between: [plus, minus],
      as: 'loaded',
      valueOf: voltsBetween(plus, minus),
      missHigh: 'The pump draws less than it should: compare the amperes.',
      missLow: 'A joint or contact on the way loses them: read each in turn.',
    }),
    ...valueTest(ground, set, true, {
      id: `negative-drop-${key}`,
      place: 'bilge',
      text: `${words}: volts from the pump’s negative lead to battery negative.`,
      instrument: 'voltmeter',
      between: [minus, plan.ground],
      as: 'loaded',
      valueOf: voltsBetween(minus, plan.ground),
      missHigh: 'The negative joint or the bus is corroded.',
      missLow: 'The pump draws less than it should: compare the amperes.',
    }),
  ];
}

/**
 * The sense test: with the float up only one of manual and auto carries the current, so the other post is an unloaded lead to
 * the joint at the pump. Nothing is opened for it.
 */
function senseTests(ground: Ground): ProveTest[] {
  const { lever, pump, floats } = ground;
  if (lever?.kind !== 'three-way-switch' || !pump || pump.inside || floats.length === 0) return [];
  const post = (terminal: string): TerminalRef => ({ part: lever.id, terminal });
  return (['auto', 'manual'] as const).flatMap((on) => {
    const set = positionsFor(ground, 'up', on);
    if (pumpRuns(ground, set) !== true) return [];
    const [red, black] = [post(on), post(on === 'auto' ? 'manual' : 'auto')];
    const sensed = valueTest(ground, set, true, {
      id: `sense-${on}`,
      place: 'panel',
      text: `Fuse in, float lifted, lever ${on}: volts from ${terminalInWords(ground.plan, red, ground.posts)} to ${terminalInWords(ground.plan, black, ground.posts)}.`,
      instrument: 'voltmeter',
      between: [red, black],
      as: 'loaded',
      valueOf: voltsBetween(red, black),
      missHigh:
        on === 'auto'
          ? 'The auto conductor, its joint, the float or the pump’s joint loses too much.'
          : 'The manual conductor or the pump’s joint loses too much.',
      missLow: 'The pump draws less than it should, or the float does not close.',
    });
    // Where nothing joins the other post to the pump it senses nothing.
    return sensed.filter(({ expect }) => !('state' in expect) && expect.nominal < windowRules.smallVolts.fromV);
  });
}
