import {
  doingWords,
  type Doing,
  type Part,
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
import {
  heldAt,
  leverPosts,
  pointWords,
  positionsFor,
  pulled,
  settingOf,
  settingWords,
  widenedAt,
  type Ground,
  type Positions,
} from './ground';
import { seenOf, testOf, type ProveTest, type SeenPart } from './proveTest';
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
export function pumpRuns(ground: Ground, set: Positions): boolean | null {
  const point = pointIn(ground, ground.netlist, set, true);
  const doing = ground.pump && point ? point.doingOf(ground.pump.id) : null;
  return doing === null ? null : turns(doing);
}

/** A circuit with several fuses: what each of them alone, pulled, leaves running. */
export function fuseTests(ground: Ground): ProveTest[] {
  const { lever, fuses, plan } = ground;
  if (fuses.length < 2) return [];
  const position = lever ? (positionsOf(lever).find((one) => one !== 'off') ?? null) : null;
  const set = positionsFor(ground, 'up', position);
  if (pumpRuns(ground, set) !== true) return [];
  return fuses.flatMap((fuse) => {
    const out = { ...set, fusesOut: [fuse] };
    const name = plan.parts.find(({ part }) => part.id === fuse)?.name ?? 'Fuse';
    try {
      const point = solve(pulled(ground.netlist, [fuse]), settingOf(out), ground.memory);
      return [
        testOf({
          id: `fuse-out-${fuse}`,
          phase: 'commission',
          place: 'source',
          text: `${name} alone out, ${settingWords(ground, set)}: look and listen. Then put it back.`,
          set: out,
          at: fuse,
          expect: seenOf(seenParts(ground, point)),
        }),
      ];
    } catch {
      return [];
    }
  });
}

function testsIn(ground: Ground, set: Positions, key: string): ProveTest[] {
  const runs = pumpRuns(ground, set) ?? false;
  const point = pointIn(ground, ground.netlist, set, runs);
  if (!point) return [];
  const words = settingWords(ground, set);
  const state = testOf({
    id: `state-${key}`,
    phase: 'commission',
    place: 'panel',
    text: `Fuse in, ${words}: look and listen.`,
    set,
    at: ground.pump?.id ?? ground.plan.parts[0]?.part.id ?? '',
    expect: seenOf(seenParts(ground, point)),
  });
  return [...postVolts(ground, set, key, runs), state, ...(runs ? runningTests(ground, set, key) : [])];
}

/** What each kind of part may be seen or heard to do. */
const mayBe: Readonly<Partial<Record<Part['kind'], readonly Doing[]>>> = {
  pump: ['running', 'standing', 'humming', 'runningBackwards'],
  lamp: ['lit', 'dim', 'dark'],
  alarm: ['sounding', 'mutedLit', 'silent'],
};

/** What pumps, lights and alarms do at an operating point, and what they might do instead. */
export function seenParts({ netlist, plan }: Ground, point: OperatingPoint): SeenPart[] {
  return netlist.parts.flatMap((part) => {
    const may = mayBe[part.kind];
    const name = plan.parts.find((planned) => planned.part.id === part.id)?.name;
    const doing = may ? point.doingOf(part.id) : null;
    if (!may || doing === null || name === undefined) return [];
    const expected = doingWords[doing];
    return [{ name, expected, answers: [...new Set([expected, ...may.map((one) => doingWords[one])])] }];
  });
}

interface Wanted {
  readonly id: string;
  readonly place: ProveTest['place'];
  readonly text: string;
  readonly instrument: ProveTest['instrument'];
  readonly between?: readonly [TerminalRef, TerminalRef];
  readonly at?: string;
  readonly as: ReadAs;
  readonly needed: boolean;
  /** The value in a setting, with the battery as it was read. */
  readonly valueOf: (netlist: Netlist, setting: Setting) => number;
  readonly missHigh: string;
  readonly missLow: string;
}

/** A test of a value in a setting: solved as it is, and at the ends of what is not known. */
export function valueTest(ground: Ground, set: Positions, runs: boolean, wanted: Wanted): ProveTest[] {
  const { as, valueOf, needed, id, place, text, instrument, between, at, missHigh, missLow } = wanted;
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
      needed,
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
export const voltsBetween = (red: TerminalRef, black: TerminalRef) => (netlist: Netlist, setting: Setting) =>
  measureVolts(netlist, setting, { red, black });

/** Of all posts in all positions, those that a proof needs: each post where it should be live, and where it should not. */
const neededVolts: ReadonlySet<string> = new Set([
  'common-off-down',
  'manual-manual-down',
  'manual-auto-down',
  'auto-auto-down',
  'manual-auto-up',
  'in-off-down',
  'out-off-down',
  'out-manual-down',
  'out-off-up',
]);
/** And while it runs: its amperes by hand and by the float, and what its way loses, once. */
const neededAmps: ReadonlySet<string> = new Set(['manual-down', 'auto-up', 'off-up', 'float-up']);
const neededDrops: ReadonlySet<string> = new Set(['manual-down', 'float-up']);

/** Volts of the lever's posts against battery negative. */
function postVolts(ground: Ground, set: Positions, key: string, runs: boolean): ProveTest[] {
  return leverPosts(ground).flatMap((post) =>
    valueTest(ground, set, runs, {
      id: `volts-${post.terminal}-${key}`,
      needed: neededVolts.has(`${post.terminal}-${key}`),
      place: 'panel',
      text: `Fuse in, ${settingWords(ground, set)}: volts at ${pointWords(ground, post)}.`,
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
  const words = `Fuse in, ${settingWords(ground, set)}`;
  return [
    ...valueTest(ground, set, true, {
      id: `amps-${key}`,
      // Where hand and float feed it at once, it still draws one pump’s amperes.
      needed: neededAmps.has(key) || (key === 'manual-up' && ground.lever?.kind === 'on-off-switch'),
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
      needed: neededDrops.has(key),
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
      needed: neededDrops.has(key),
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
      needed: true,
      place: 'panel',
      text: `Fuse in, float lifted, lever ${on}: volts from ${pointWords(ground, red)} to ${pointWords(ground, black)}.`,
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
    return sensed.filter(
      ({ expect }) =>
        !('state' in expect) &&
        expect.nominal < windowRules.smallVolts.fromV &&
        expect.nominal >= windowRules.smallVolts.leastV,
    );
  });
}
