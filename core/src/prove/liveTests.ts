import {
  doingWords,
  measureVolts,
  positionsOf,
  solve,
  turns,
  type FloatPosition,
  type Netlist,
  type OperatingPoint,
  type Setting,
  type SwitchPosition,
  type TerminalRef,
} from '../circuit';
import { terminalInWords } from '../schemes';
import {
  heldAt,
  leverPosts,
  positionsFor,
  settingOf,
  settingWords,
  widenedAt,
  type Ground,
  type Positions,
} from './ground';
import type { ProveTest } from './proveTest';
import { windowRules, type ReadAs } from './windows';

/** With the fuse in, in every position of lever and float: what the pump does, and what a meter shows there. */
export function liveTests(ground: Ground): ProveTest[] {
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
export function senseTests(ground: Ground): ProveTest[] {
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
