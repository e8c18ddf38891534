import { defaults } from '../../reference';
import { resistance, source, type Element } from '../element';
import type { PartKind } from './part';

/**
 * A high-water alarm with a light of its own. Fed from the circuit it sounds
 * while it has volts; with a battery of its own it sounds while its two terminals
 * are joined, whichever way round. Mute stops the sound and keeps the light.
 */
export interface AlarmPart {
  readonly kind: 'alarm';
  readonly id: string;
  /** Volts of its own battery; left out: fed from the circuit. */
  readonly ownV?: number;
  /** Of its sounder; left out: the default. */
  readonly ohm?: number;
  /** Its sounder is dead: it never sounds. */
  readonly broken?: boolean;
}

export const alarm: PartKind<AlarmPart> = {
  entry: 'plus',
  /** Muted is "manual", since a hand has put it there. */
  positions: ['off', 'manual'],
  terminals: () => ['plus', 'minus'],
  elements: ({ ownV, ohm: sounderOhm = defaults.alarmOhm }, node, { position }) => {
    const muted = position === 'manual';
    const [plus, minus] = [node('plus'), node('minus')];
    if (ownV !== undefined) {
      // Sounder and light stand in the loop with its battery, so muting makes the loop draw less.
      const ohm = muted ? defaults.alarmLightOhm : parallelOhm(sounderOhm, defaults.alarmLightOhm);
      return [source(plus, minus, ownV, ohm)];
    }
    return loads(plus, minus, muted, sounderOhm);
  },
  doing: ({ ownV, broken = false }, { position, volts, amps }) => {
    const muted = position === 'manual';
    const across = Math.abs(volts('plus') - volts('minus'));
    const calls = ownV === undefined ? across >= defaults.alarmSoundsV : Math.abs(amps) >= ALARM_TRIPS_A;
    if (!calls) return muted ? 'silentMuted' : 'silent';
    return muted || broken ? 'mutedLit' : 'sounding';
  },
};

const ALARM_TRIPS_A = 0.002;

function loads(plus: number, minus: number, muted: boolean, sounderOhm: number): Element[] {
  return [resistance(plus, minus, defaults.alarmLightOhm), ...(muted ? [] : [resistance(plus, minus, sounderOhm)])];
}

function parallelOhm(one: number, other: number): number {
  return (one * other) / (one + other);
}
