import {
  positionsOf,
  terminalName,
  terminalsOf,
  type FloatPosition,
  type Part,
  type SwitchPosition,
  type TerminalRef,
} from '../circuit';
import {
  fusesOutWords,
  leverPosts,
  pointWords,
  positionsFor,
  settingWords,
  type Ground,
  type Positions,
} from '../prove/ground';
import { pumpRuns } from '../prove/liveTests';
import { cautions } from '../reference';
import type { HuntInstrument, HuntPlace, HuntTest, Reads } from './huntTest';
import { huntMinutes } from './huntTest';

/** Where the water stands while the fault shows: what lifts the float without a hand. */
export type WaterStands = FloatPosition;

interface Set {
  readonly key: string;
  readonly positions: Positions;
  readonly lifted: FloatPosition;
  readonly running: boolean;
  readonly words: string;
}

/** Lever and float in every position that there is. */
function settingsOf(ground: Ground): Set[] {
  const { lever, floats } = ground;
  const positions: readonly (SwitchPosition | null)[] = lever ? positionsOf(lever) : [null];
  const lifts: readonly FloatPosition[] = floats.length > 0 ? ['down', 'up'] : ['down'];
  return positions.flatMap((position) =>
    lifts.map((lifted) => {
      const set = positionsFor(ground, lifted, position);
      return {
        key: `${position ?? 'float'}-${lifted}`,
        positions: set,
        lifted,
        running: pumpRuns(ground, set) === true,
        words: settingWords(ground, set),
      };
    }),
  );
}

/**
 * Every test that can be done without piercing insulation, a larger fuse, or a hand at the impeller with auto armed: from
 * posts, positions, floats and joints alone. Ohms only with every fuse out.
 * @param water where it stands while the fault shows; a test that wants it otherwise takes a bucket more
 */
export function huntTests(ground: Ground, water: WaterStands): HuntTest[] {
  const sets = settingsOf(ground);
  return [
    ...looks(ground, sets, water),
    ...atSource(ground, sets, water),
    ...atPanel(ground, sets, water),
    ...ohmsAtPanel(ground, water),
    ...inBilge(ground, sets),
  ];
}

const none: Positions = { switches: {}, floats: {}, fusesOut: [] };

/** What a test at the dry end takes more where the water stands otherwise. */
const wet = (ground: Ground, lifted: FloatPosition, water: WaterStands) =>
  ground.floats.length > 0 && lifted !== water ? huntMinutes.bucket : 0;

/** What is seen and heard without any instrument. */
function looks(ground: Ground, sets: readonly Set[], water: WaterStands): HuntTest[] {
  const outlet = sets.find(({ running, lifted }) => running && lifted === water) ?? sets.find(({ running }) => running);
  return [
    ...sets.map(({ key, positions, lifted, words }): HuntTest => ({
      id: `look-${key}`,
      place: 'panel',
      minutes: huntMinutes.look + wet(ground, lifted, water),
      text: `Fuse in, ${words}: look and listen.`,
      instrument: 'eyes and ears',
      set: positions,
      byHand: false,
      reads: { kind: 'seen' },
    })),
    ...(outlet && ground.pump
      ? [
          {
            id: 'outlet',
            place: 'panel',
            minutes: huntMinutes.outlet + wet(ground, outlet.lifted, water),
            text: `Fuse in, ${outlet.words}: watch the outlet.`,
            instrument: 'eyes and ears',
            set: outlet.positions,
            byHand: false,
            reads: { kind: 'outlet' },
          } as const,
        ]
      : []),
  ];
}

const shown = (
  id: string,
  place: HuntPlace,
  minutes: number,
  text: string,
  sound: string,
  instrument: HuntInstrument = 'eyes and ears',
): HuntTest => ({
  id,
  place,
  minutes,
  text,
  instrument,
  set: none,
  byHand: false,
  reads: { kind: 'shown', sound },
});

/** A part’s name as it goes on in a sentence. */
function nameOf({ plan }: Ground, id: string): string {
  const name = plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  return name.charAt(0).toLowerCase() + name.slice(1);
}

function bandOf({ plan }: Ground, id: string): HuntPlace {
  return plan.parts.find(({ part }) => part.id === id)?.band ?? 'bilge';
}

/** Battery, isolator and fuses, and what stands at them. */
function atSource(ground: Ground, sets: readonly Set[], water: WaterStands): HuntTest[] {
  const { netlist, fuses } = ground;
  const isolator = netlist.parts.find(({ kind }) => kind === 'isolator');
  return [
    ...fuses.flatMap((fuse) => [
      shown(
        `fuse-look-${fuse}`,
        bandOf(ground, fuse),
        huntMinutes.fuseLook,
        `Take the ${nameOf(ground, fuse)} out and look at it and its clips.`,
        'whole',
      ),
      shown(
        `fuse-swap-${fuse}`,
        bandOf(ground, fuse),
        huntMinutes.fuseSwap,
        `Where the ${nameOf(ground, fuse)} is blown: one more of the same rating, once, with an ammeter, in every position of the lever. Never a larger one.`,
        'it was not blown',
        'a spare fuse',
      ),
    ]),
    ...(isolator ? [shown('isolator-look', 'source', huntMinutes.isolatorLook, 'Look at the isolator.', 'on')] : []),
    shown(
      'tug-source',
      'source',
      huntMinutes.tug,
      'Look at every terminal at the source, and tug at it.',
      'all tight and clean',
      'hands',
    ),
    ...pointTests(ground, sets, water, 'source'),
    ...fuses.flatMap((fuse) =>
      acrossTests(ground, sets, water, [
        { part: fuse, terminal: 'source' },
        { part: fuse, terminal: 'load' },
      ]),
    ),
  ];
}

/** Volts across a part at the dry end, while the pump runs or should. */
function acrossTests(
  ground: Ground,
  sets: readonly Set[],
  water: WaterStands,
  between: readonly [TerminalRef, TerminalRef],
): HuntTest[] {
  return sets
    .filter(({ running }) => running)
    .map(({ key, positions, lifted, words }): HuntTest => ({
      id: `across-${between.map(terminalName).join('-')}-${key}`,
      place: bandOf(ground, between[0].part),
      minutes: huntMinutes.volts + wet(ground, lifted, water),
      text: `Fuse in, ${words}: volts from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
      instrument: 'voltmeter',
      set: positions,
      byHand: false,
      between,
      reads: { kind: 'volts', loaded: true },
    }));
}

/** Volts at the terminals of a place’s parts against battery negative, in every setting. */
function pointTests(ground: Ground, sets: readonly Set[], water: WaterStands, place: HuntPlace): HuntTest[] {
  const { plan, netlist } = ground;
  return netlist.parts
    .filter(({ id, kind }) => bandOf(ground, id) === place && kind !== 'joint')
    .flatMap((part) => terminalsIn(ground, part))
    .flatMap((terminal) =>
      sets.map(({ key, positions, lifted, words, running }): HuntTest => ({
        id: `volts-${terminalName(terminal)}-${key}`,
        place,
        minutes: huntMinutes.volts + wet(ground, lifted, water),
        text: `Fuse in, ${words}: volts at ${pointWords(ground, terminal)}, against ${pointWords(ground, plan.ground)}.`,
        instrument: 'voltmeter',
        set: positions,
        byHand: false,
        between: [terminal, plan.ground],
        reads: { kind: 'volts', loaded: running },
      })),
    );
}

/** Terminals of a part at which something ends. */
function terminalsIn({ netlist, plan }: Ground, part: Part): TerminalRef[] {
  return terminalsOf(part)
    .map((terminal) => ({ part: part.id, terminal }))
    .filter(
      (end) =>
        terminalName(end) !== terminalName(plan.ground) &&
        netlist.conductors.some(({ from, to }) => [from, to].some((one) => terminalName(one) === terminalName(end))),
    );
}

/** Amperes, volts, and from post to post: one of manual and auto carries the current, the other senses. */
function atPanel(ground: Ground, sets: readonly Set[], water: WaterStands): HuntTest[] {
  const posts = leverPosts(ground);
  const pairs = posts.flatMap((one, at) => posts.slice(at + 1).map((other) => [one, other] as const));
  const relay = ground.netlist.parts.find(({ kind }) => kind === 'relay');
  const coil: readonly (readonly [TerminalRef, TerminalRef])[] = relay
    ? [
        [
          { part: relay.id, terminal: '86' },
          { part: relay.id, terminal: '85' },
        ],
      ]
    : [];
  return [
    shown(
      'tug-panel',
      'panel',
      huntMinutes.tug,
      'Look at every terminal behind the panel, and tug at it.',
      'all tight and clean',
      'hands',
    ),
    shown(
      'wiring-look',
      'panel',
      huntMinutes.wiringLook,
      'Compare every conductor behind the panel with the drawing: which one is on which post.',
      'as drawn',
    ),
    ...pointTests(ground, sets, water, 'panel'),
    ...panelJoints(ground).flatMap((between) => acrossTests(ground, sets, water, between)),
    ...(relay
      ? acrossTests(ground, sets, water, [
          { part: relay.id, terminal: '30' },
          { part: relay.id, terminal: '87' },
        ])
      : []),
    ...[...pairs, ...coil].flatMap((between) =>
      sets
        .filter(({ running }) => running)
        .map(({ key, positions, lifted, words }): HuntTest => ({
          id: `between-${between.map(terminalName).join('-')}-${key}`,
          place: 'panel',
          minutes: huntMinutes.sense + wet(ground, lifted, water),
          text: `Fuse in, ${words}: volts from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
          instrument: 'voltmeter',
          set: positions,
          byHand: false,
          between,
          reads: { kind: 'volts', loaded: true },
        })),
    ),
    ...(ground.pump
      ? sets.map(({ key, positions, lifted, words }): HuntTest => ({
          id: `amps-${key}`,
          place: 'panel',
          minutes: huntMinutes.amps + wet(ground, lifted, water),
          text: `Fuse in, ${words}: amperes in the feed.`,
          instrument: 'clamp',
          set: positions,
          byHand: false,
          reads: { kind: 'amps' },
        }))
      : []),
  ];
}

/** Every two ways of every joint behind the panel. */
function panelJoints(ground: Ground): (readonly [TerminalRef, TerminalRef])[] {
  return ground.netlist.parts
    .filter(({ id, kind }) => kind === 'joint' && bandOf(ground, id) === 'panel')
    .flatMap((joint) => {
      const ends = terminalsIn(ground, joint);
      return ends.flatMap((one, at) => ends.slice(at + 1).map((other) => [one, other] as const));
    });
}

/** With every fuse out and the circuit proved dead: ohms from post to post and to negative. */
function ohmsAtPanel(ground: Ground, water: WaterStands): HuntTest[] {
  const { lever, fuses, plan, floats } = ground;
  if (!lever || fuses.length === 0) return [];
  const posts = leverPosts(ground).filter(({ terminal }) => terminal !== 'common' && terminal !== 'in');
  const pairs = [
    ...posts.map((post) => [post, plan.ground] as const),
    ...posts.flatMap((one, at) => posts.slice(at + 1).map((other) => [one, other] as const)),
  ];
  const lifts: readonly FloatPosition[] = floats.length > 0 ? ['down', 'up'] : ['down'];
  return lifts.flatMap((lifted) => {
    const set: Positions = { ...positionsFor(ground, lifted, 'off'), fusesOut: fuses };
    return pairs.map((between): HuntTest => ({
      id: `ohms-${between.map(terminalName).join('-')}-${lifted}`,
      place: 'panel',
      minutes: huntMinutes.ohms + wet(ground, lifted, water),
      text: `${fusesOutWords(ground)}, proved dead, ${settingWords(ground, set)}: ohms from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
      instrument: 'ohmmeter',
      set,
      byHand: false,
      between,
      reads: { kind: 'ohms' },
    }));
  });
}

/** With the bilge open: the float by hand, the pump, its hose, and volts at and across every splice. */
function inBilge(ground: Ground, sets: readonly Set[]): HuntTest[] {
  const { netlist, pump, floats, plan } = ground;
  const joints = netlist.parts.filter((part) => part.kind === 'joint' && bandOf(ground, part.id) === 'bilge');
  const ways = joints.map((joint) => terminalsIn(ground, joint));
  const pumpEnds = pump ? terminalsIn(ground, pump) : [];
  const pairs: (readonly [TerminalRef, TerminalRef])[] = [
    ...(pump
      ? [
          [
            { part: pump.id, terminal: 'plus' },
            { part: pump.id, terminal: 'minus' },
          ] as const,
        ]
      : []),
    ...ways.flatMap((ends) => ends.flatMap((one, at) => ends.slice(at + 1).map((other) => [one, other] as const))),
    ...floats.flatMap((float) => {
      const [one, other] = terminalsIn(ground, float);
      return one && other && float.kind !== 'pump' ? [[one, other] as const] : [];
    }),
  ];
  const points = [...pumpEnds, ...ways.flat()];
  const volts = (
    between: readonly [TerminalRef, TerminalRef],
    id: string,
    { key, positions, words, running }: Set,
  ): HuntTest => ({
    id: `${id}-${key}`,
    place: 'bilge',
    minutes: huntMinutes.bilgeVolts,
    text: `Fuse in, ${words}: volts from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
    instrument: 'voltmeter',
    set: positions,
    byHand: true,
    between,
    reads: { kind: 'volts', loaded: running },
  });
  return [
    shown(
      'cable-look',
      'bilge',
      huntMinutes.cable,
      'Lever off. Follow every cable through the bilge: chafe, cuts, green ends, heat.',
      'whole all along',
      'hands',
    ),
    ...(floats.some(({ kind }) => kind !== 'pump')
      ? [
          shown(
            'float-look',
            'bilge',
            huntMinutes.liftFloat,
            'Lever off. Lift the float and let it go: how it moves, what it hangs on, how it is mounted.',
            'moves freely, as mounted',
            'hands',
          ),
        ]
      : []),
    ...(pump
      ? [
          shown(
            'leads-look',
            'bilge',
            huntMinutes.leadsLook,
            'Look which lead of the pump is joined to which conductor.',
            'as drawn',
          ),
        ]
      : []),
    ...(floats.length > 0 ? sets.map((set) => lifted(set)) : []),
    ...(pump
      ? [
          shown(
            'strainer',
            'bilge',
            huntMinutes.strainer,
            `Fuse out, proved dead: open the strainer, look at the impeller and turn it. ${cautions.autoStart}`,
            'clean, whole, turns',
            'hands',
          ),
          shown(
            'hose',
            'bilge',
            huntMinutes.hose,
            'Lever off. Follow the hose from the pump to its outlet, and loosen it at the pump.',
            'whole, no kink, water stands in it',
            'hands',
          ),
        ]
      : []),
    ...sets.flatMap((set) => [
      ...pairs.map((between) => volts(between, `across-${between.map(terminalName).join('-')}`, set)),
      ...points.map((point) => volts([point, plan.ground], `volts-${terminalName(point)}`, set)),
    ]),
  ];
}

/** The float moved by hand, and what then runs. */
const lifted = ({ key, positions, words }: Set): HuntTest => ({
  id: `lift-${key}`,
  place: 'bilge',
  minutes: huntMinutes.liftFloat,
  text: `Fuse in, ${words}, the float moved by hand: look and listen.`,
  instrument: 'hands',
  set: positions,
  byHand: true,
  reads: { kind: 'seen' },
});

export type { HuntTest, Reads };
