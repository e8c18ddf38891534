import type { Ground } from '../prove/ground';
import { inBilge } from './bilgeTests';
import { huntMinutes, type HuntTest } from './huntTest';
import { atPanel, ohmsAtPanel } from './panelTests';
import {
  acrossTests,
  bandOf,
  nameOf,
  pointTests,
  settingsOf,
  shown,
  wet,
  wetWords,
  type HuntSetting,
  type WaterStands,
} from './testPieces';

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

/** What is seen and heard without any instrument. */
function looks(ground: Ground, sets: readonly HuntSetting[], water: WaterStands): HuntTest[] {
  const outlet = sets.find(({ running, lifted }) => running && lifted === water) ?? sets.find(({ running }) => running);
  return [
    ...sets.map(({ key, positions, lifted, words }): HuntTest => ({
      id: `look-${key}`,
      place: 'panel',
      minutes: huntMinutes.look + wet(ground, lifted, water),
      text: `${wetWords(ground, lifted, water)}Fuse in, ${words}: look and listen.`,
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
            text: `${wetWords(ground, outlet.lifted, water)}Fuse in, ${outlet.words}: watch the outlet.`,
            instrument: 'eyes and ears',
            set: outlet.positions,
            byHand: false,
            reads: { kind: 'outlet' },
          } as const,
        ]
      : []),
  ];
}

/** Battery, isolator and fuses, and what stands at them. */
function atSource(ground: Ground, sets: readonly HuntSetting[], water: WaterStands): HuntTest[] {
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
