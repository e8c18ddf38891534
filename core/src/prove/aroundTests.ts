import type { FloatPosition } from '../circuit';
import { defaults } from '../reference';
import { positionsFor, type Ground } from './ground';
import { seen, testOf, type ProveTest } from './proveTest';
import { windowAbout, windowRules, type Expected } from './windows';

/** An alarm: how soon it sounds, and what mute leaves. */
export function alarmTests(ground: Ground): ProveTest[] {
  const alarm = ground.netlist.parts.find((part) => part.kind === 'alarm');
  if (!alarm) return [];
  const at = { phase: 'commission', place: 'panel', at: alarm.id } as const;
  const up = (float: FloatPosition) => positionsFor(ground, float, ground.lever ? 'off' : null);
  const ownBattery = ground.pump === null;
  return [
    testOf({
      ...at,
      id: 'alarm-sounds',
      text: 'Lift its float: seconds until the alarm sounds.',
      set: up('up'),
      instrument: 'watch',
      expect: { nominal: 1, low: 0, high: windowRules.alarmSounds.withinS, unit: 's' },
      missHigh: 'Its own battery is going, a joint is open, or the float hangs.',
    }),
    testOf({
      ...at,
      id: 'alarm-mute',
      text: 'Float still up: mute it.',
      set: up('up'),
      expect: seen('silent, light on', ['silent and dark', 'sounds on']),
    }),
    ...(ownBattery
      ? [
          testOf({
            ...at,
            id: 'alarm-battery',
            text: 'Volts of the alarm’s own battery while it sounds. Write the day of its change on it.',
            set: up('up'),
            instrument: 'voltmeter',
            expect: ownBatteryWindow(ground.assessed.circuit.alarm?.ownV ?? defaults.alarmOwnBatteryV),
            missLow: 'Change it now: it sounds today and not in a year.',
            missHigh: 'Another kind of battery than was surveyed.',
          }),
        ]
      : []),
  ];
}

/** A cell that sounds an alarm keeps nine tenths of its volts. */
function ownBatteryWindow(volts: number): Expected {
  return { nominal: volts, low: 0.9 * volts, high: 1.1 * volts, unit: 'V' };
}

/** The lever let go, and the isolator turned off. */
export function switchTests(ground: Ground): ProveTest[] {
  const { lever, pump, assessed } = ground;
  const { circuit } = assessed;
  const at = { phase: 'commission' } as const;
  const isolated = circuit.source?.feed === 'isolator';
  return [
    ...(lever && pump
      ? [
          testOf({
            ...at,
            id: 'manual-released',
            place: 'panel',
            text: `Fuse in: push the ${lever.kind === 'three-way-switch' ? 'lever to manual' : 'switch on'} and let it go.`,
            at: lever.id,
            expect:
              circuit.manual === 'momentary'
                ? seen('springs back, the pump stops', ['holds'])
                : seen('holds', ['springs back, the pump stops']),
          }),
        ]
      : []),
    ...(pump
      ? [
          testOf({
            ...at,
            id: 'isolator-off',
            place: 'source',
            text: `Isolator off, ${ground.floats.length > 0 ? 'float lifted' : 'switch on'}: ${
              isolated
                ? 'the circuit is dead, as was wanted.'
                : 'the pump still runs, as was wanted. Only the fuse makes it dead.'
            }`,
            expect: isolated ? seen('dead', ['still runs']) : seen('still runs', ['dead']),
          }),
        ]
      : []),
  ];
}

/** Another pump at work may leave nothing on this one. */
export function neighbourTests(ground: Ground): ProveTest[] {
  const { pump, assessed, others } = ground;
  const { facts } = assessed;
  if (!pump || others.length === 0) return [];
  const set = positionsFor(ground, 'down', ground.lever ? 'off' : null);
  const names = others.join(' or ');
  return [
    testOf({
      id: 'neighbour-leaves-nothing',
      phase: 'commission',
      place: 'bilge',
      text: `${names} running, this one at rest: volts across this pump’s leads.`,
      set,
      instrument: 'voltmeter',
      between: [
        { part: pump.id, terminal: 'plus' },
        { part: pump.id, terminal: 'minus' },
      ],
      expect: windowAbout(0, 'unloaded', ground.rules),
      missHigh: 'They feed each other: a shared float, a light or an alarm tap without a diode.',
      missLow: 'They feed each other the wrong way round.',
    }),
    ...('duty' in facts && facts.duty === 'backup'
      ? [
          testOf({
            id: 'primary-fuse-out',
            phase: 'commission',
            place: 'source',
            text: `${names}: fuse out, water raised or this float lifted.`,
            set: positionsFor(ground, 'up', ground.lever ? 'off' : null),
            expect: seen('alarm, then this pump', ['this pump alone', 'alarm alone', 'nothing']),
          }),
        ]
      : []),
  ];
}
