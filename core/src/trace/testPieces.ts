import {
  positionsOf,
  terminalName,
  terminalsOf,
  type FloatPosition,
  type Part,
  type SwitchPosition,
  type TerminalRef,
} from '../circuit';
import { pointWords, positionsFor, settingWords, type Ground, type Positions } from '../prove/ground';
import { pumpRuns } from '../prove/liveTests';
import { huntMinutes, type HuntInstrument, type HuntPlace, type HuntTest } from './huntTest';

/** Where the water stands while the fault shows: what lifts the float without a hand. */
export type WaterStands = FloatPosition;

/** Lever and float in a position. */
export interface HuntSetting {
  readonly key: string;
  readonly positions: Positions;
  readonly lifted: FloatPosition;
  readonly running: boolean;
  readonly words: string;
}

/** Lever and float in every position that there is. */
export function settingsOf(ground: Ground): HuntSetting[] {
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

const none: Positions = { switches: {}, floats: {}, fusesOut: [] };

/** What a test at the dry end takes more where the water stands otherwise. */
export const wet = (ground: Ground, lifted: FloatPosition, water: WaterStands) =>
  ground.floats.length > 0 && lifted !== water ? huntMinutes.bucket : 0;

/** What is done about the water before such a test, as a sentence begins; empty where it stands as it should. */
export const wetWords = (ground: Ground, lifted: FloatPosition, water: WaterStands): string => {
  if (wet(ground, lifted, water) === 0) return '';
  return lifted === 'up' ? 'First pour water in until it switches. ' : 'First bail the well until it switches off. ';
};

/** Something that is looked at, or tried by hand. */
export const shown = (
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
export function nameOf({ plan }: Ground, id: string): string {
  const name = plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  return name.charAt(0).toLowerCase() + name.slice(1);
}

/** Where a part stands. */
export function bandOf({ plan }: Ground, id: string): HuntPlace {
  return plan.parts.find(({ part }) => part.id === id)?.band ?? 'bilge';
}

/** Volts at the terminals of a place’s parts against battery negative, in every setting. */
export function pointTests(
  ground: Ground,
  sets: readonly HuntSetting[],
  water: WaterStands,
  place: HuntPlace,
): HuntTest[] {
  const { plan, netlist } = ground;
  return netlist.parts
    .filter(({ id, kind }) => bandOf(ground, id) === place && kind !== 'joint')
    .flatMap((part) => terminalsIn(ground, part))
    .flatMap((terminal) =>
      sets.map(({ key, positions, lifted, words, running }): HuntTest => ({
        id: `volts-${terminalName(terminal)}-${key}`,
        place,
        minutes: huntMinutes.volts + wet(ground, lifted, water),
        text: `${wetWords(ground, lifted, water)}Fuse in, ${words}: volts at ${pointWords(ground, terminal)}, against ${pointWords(ground, plan.ground)}.`,
        instrument: 'voltmeter',
        set: positions,
        byHand: false,
        between: [terminal, plan.ground],
        reads: { kind: 'volts', loaded: running },
      })),
    );
}

/** Terminals of a part at which something ends. */
export function terminalsIn({ netlist, plan }: Ground, part: Part): TerminalRef[] {
  return terminalsOf(part)
    .map((terminal) => ({ part: part.id, terminal }))
    .filter(
      (end) =>
        terminalName(end) !== terminalName(plan.ground) &&
        netlist.conductors.some(({ from, to }) => [from, to].some((one) => terminalName(one) === terminalName(end))),
    );
}

/** Volts across a part at the dry end, while the pump runs or should. */
export function acrossTests(
  ground: Ground,
  sets: readonly HuntSetting[],
  water: WaterStands,
  between: readonly [TerminalRef, TerminalRef],
): HuntTest[] {
  return sets
    .filter(({ running }) => running)
    .map(({ key, positions, lifted, words }): HuntTest => ({
      id: `across-${between.map(terminalName).join('-')}-${key}`,
      place: bandOf(ground, between[0].part),
      minutes: huntMinutes.volts + wet(ground, lifted, water),
      text: `${wetWords(ground, lifted, water)}Fuse in, ${words}: volts from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
      instrument: 'voltmeter',
      set: positions,
      byHand: false,
      between,
      reads: { kind: 'volts', loaded: true },
    }));
}
