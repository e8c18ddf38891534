import { terminalName, type FloatPosition, type TerminalRef } from '../circuit';
import {
  fusesOutWords,
  leverPosts,
  pointWords,
  positionsFor,
  settingWords,
  type Ground,
  type Positions,
} from '../prove/ground';
import { huntMinutes, type HuntTest } from './huntTest';
import {
  acrossTests,
  bandOf,
  pointTests,
  shown,
  terminalsIn,
  wet,
  wetWords,
  type HuntSetting,
  type WaterStands,
} from './testPieces';

/** Amperes, volts, and from post to post: one of manual and auto carries the current, the other senses. */
export function atPanel(ground: Ground, sets: readonly HuntSetting[], water: WaterStands): HuntTest[] {
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
          text: `${wetWords(ground, lifted, water)}Fuse in, ${words}: volts from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
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
          text: `${wetWords(ground, lifted, water)}Fuse in, ${words}: amperes in the feed.`,
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
export function ohmsAtPanel(ground: Ground, water: WaterStands): HuntTest[] {
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
      text: `${wetWords(ground, lifted, water)}${fusesOutWords(ground)}, proved dead, ${settingWords(ground, set)}: ohms from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
      instrument: 'ohmmeter',
      set,
      byHand: false,
      between,
      reads: { kind: 'ohms' },
    }));
  });
}
