import { measureOhms, measureVolts, positionsOf, solve, type Netlist, type Part } from '../circuit';
import { batteryChemistry, defaults, levelSensors, restingEmfV } from '../reference';
import { schemeOf } from '../schemes';
import { sensorOf } from '../water';
import { onItsOwn, positionsFor, pulled, settingOf, settingWords, widenedAt, type Ground } from './ground';
import { pumpRuns, valueTest, voltsBetween } from './liveTests';
import { seen, testOf, type ProveTest } from './proveTest';
import { windowRules, type Expected } from './windows';

/** Over this a battery is on charge, V. */
const CHARGING_V = 14.8;

/** Step nought: the battery, by which every other value goes. */
export function batteryTests(ground: Ground): { readonly resting: ProveTest[]; readonly running: ProveTest[] } {
  const { assessed, battery, netlist, lever } = ground;
  const own = netlist.parts.find((part) => part.kind === 'battery');
  if (!own) return { resting: [], running: [] };
  const chemistry = assessed.facts.battery.chemistry ?? 'lead-acid';
  const low = restingEmfV(chemistry, batteryChemistry[chemistry].usableTo);
  const posts = [
    { part: own.id, terminal: 'plus' },
    { part: own.id, terminal: 'minus' },
  ] as const;
  const common = { phase: 'commission', place: 'source', instrument: 'voltmeter', between: posts } as const;
  const resting = testOf({
    ...common,
    id: 'battery-resting',
    power: 'dead',
    text: 'Volts at the battery’s posts, nothing running, no charger on.',
    expect: { nominal: battery.restingV ?? own.emfV, low, high: CHARGING_V, unit: 'V' },
    missHigh: 'A charger or the engine is on: turn it off, wait some minutes, read again.',
    missLow: 'It is too far down: charge it first. What is read on a flat battery proves nothing.',
  });
  const position = lever ? (positionsOf(lever).find((one) => one === 'manual') ?? null) : null;
  const set = positionsFor(ground, position ? 'down' : 'up', position);
  const running = valueTest(ground, set, true, {
    ...common,
    id: 'battery-running',
    needed: true,
    text: `Fuse in, ${settingWords(ground, set)}: volts at the battery’s posts while the pump runs.`,
    as: 'loaded',
    valueOf: voltsBetween(...posts),
    missHigh: 'A charger is on, or the pump draws less than it should.',
    missLow: 'The battery gives way under a load that small: it is old, flat, or its clamps are corroded.',
  });
  return { resting: [resting], running: pumpRuns(ground, set) === true ? running : [] };
}

/** A relay: its coil, what holds it, and that it lets go. */
export function relayTests(ground: Ground): ProveTest[] {
  const { netlist, lever, fuses, battery } = ground;
  const relay = netlist.parts.find((part): part is Extract<Part, { kind: 'relay' }> => part.kind === 'relay');
  if (!relay) return [];
  const coil = [
    { part: relay.id, terminal: '86' },
    { part: relay.id, terminal: '85' },
  ] as const;
  const [red, black] = coil;
  const off = { ...positionsFor(ground, 'down', 'off'), fusesOut: fuses };
  const ohms = (one: Netlist) => measureOhms(pulled(one, fuses), settingOf(off), { red, black });
  const read = ohms(netlist);
  const at = { phase: 'commission', place: 'panel', between: coil } as const;
  const on = positionsFor(ground, 'up', lever ? 'auto' : null);
  const holds = valueTest(ground, on, true, {
    ...at,
    id: 'coil-volts',
    needed: true,
    text: `Fuse in, ${settingWords(ground, on)}: volts across the relay’s coil, 86 to 85.`,
    instrument: 'voltmeter',
    as: 'loaded',
    valueOf: (one, setting) => measureVolts(one, setting, { red, black }),
    missHigh: 'The battery is on charge: read it again.',
    missLow: 'Float, joints or coil wire lose too much: it may not pull in when the battery is low.',
  }).map((test): ProveTest => {
    if ('state' in test.expect) return test;
    // Pulled in with a fifth in hand when the battery has 12.0 V.
    const share = (battery.runningV ?? battery.restingV ?? test.expect.nominal) / 12;
    const least = windowRules.coilReserve.factor * relay.pullInV * Math.max(1, share);
    return {
      ...test,
      expect: { ...test.expect, low: Math.min(test.expect.nominal, Math.max(test.expect.low, least)) },
    };
  });
  return [
    ...(read.kind === 'ohms'
      ? [
          testOf({
            ...at,
            id: 'coil-ohms',
            power: 'dead',
            text: 'Fuses out, lever off: ohms of the relay’s coil, 86 to 85.',
            set: off,
            instrument: 'ohmmeter',
            ...widenedAt(ground, read.ohm, 'ohms', (one) => {
              const other = ohms(one);
              return other.kind === 'ohms' ? other.ohm : null;
            }),
            missHigh: 'The coil or a joint on its way is open.',
            missLow: 'The coil is shorted in part, or its diode is the wrong way round or broken through.',
          }),
        ]
      : []),
    ...holds,
    testOf({
      ...at,
      id: 'drop-out',
      text: 'Fuse in, lever auto: lift the float and let it down again. The relay clicks twice and the pump stops at once.',
      expect: seen('lets go cleanly', ['hangs', 'buzzes']),
    }),
  ];
}

/** Seconds, by a watch in the hand. */
const about = (nominal: number, byS: number): Expected => ({
  nominal,
  low: Math.max(0, nominal - byS),
  high: nominal + byS,
  unit: 's',
});

/** An electronic sensor: which way round it hangs, what it draws, and when it starts and stops. */
export function sensorTests(ground: Ground): ProveTest[] {
  const { assessed, netlist } = ground;
  const { circuit } = assessed;
  const kind = sensorOf(schemeOf(circuit).senses, circuit.water?.float);
  if (kind === null || kind === 'timer' || !levelSensors[kind].electronic) return [];
  const sensor = netlist.parts.find((part) => part.kind === 'probe-sensor');
  const { onDelayS, runOnS } = levelSensors[kind];
  const delays = {
    onDelayS: circuit.water?.float?.onDelayS ?? onDelayS,
    runOnS: circuit.water?.float?.runOnS ?? runOnS,
  };
  const dry = positionsFor(ground, 'down', ground.lever ? 'auto' : null);
  const draws = netlist.parts.some((part) => part.kind === 'fuse')
    ? Math.abs(solve(netlist, settingOf(dry), ground.memory).partA(ground.fuses[0] ?? ''))
    : 0;
  const by = draws * windowRules.standing.share + windowRules.standing.plusA;
  return [
    testOf({
      id: 'sensor-polarity',
      phase: 'commission',
      place: 'bilge',
      power: 'dead',
      text: 'Before it is joined: the sensor’s supply lead goes to auto, its negative to negative, its output to the pump. Read the leads, not their colours.',
      at: sensor?.id ?? '',
      expect: seen('as the maker says', ['the wrong way round', 'not to be told']),
    }),
    testOf({
      id: 'sensor-bridged',
      phase: 'commission',
      place: 'bilge',
      text: `${onItsOwn(ground)}: lay a wet cloth over the sensor’s pads. The pump starts after its delay; dry them, and it stops.`,
      at: sensor?.id ?? '',
      set: positionsFor(ground, 'up', ground.lever ? 'auto' : null),
      expect: seen('starts and stops', ['does not start', 'does not stop']),
    }),
    testOf({
      id: 'sensor-on-delay',
      phase: 'commission',
      place: 'bilge',
      text: 'Seconds from wet pads to the pump’s start.',
      instrument: 'watch',
      expect: about(delays.onDelayS, ground.rules.delay.byS),
      missHigh: 'Its pads are dirty, or it is another kind of sensor.',
      missLow: 'It has no delay: slop will start the pump. Another kind of sensor?',
    }),
    testOf({
      id: 'sensor-run-on',
      phase: 'commission',
      place: 'bilge',
      text: 'Seconds from dry pads to the pump’s stop.',
      instrument: 'watch',
      expect: about(delays.runOnS, ground.rules.delay.byS),
      missHigh: 'Its pads are still wet: wipe them. Else another kind of sensor.',
      missLow: 'It has no run-on, or another one: the pump will start oftener.',
    }),
    ...(draws > 0 && draws < 0.5
      ? [
          testOf({
            id: 'standing-draw',
            phase: 'commission',
            place: 'source',
            text: `Milliammeter in place of the fuse, ${settingWords(ground, dry)}: what it draws while it waits, in amperes.`,
            set: dry,
            instrument: 'milliammeter',
            at: ground.fuses[0] ?? '',
            expect: { nominal: draws, low: Math.max(0, draws - by), high: draws + by, unit: 'A' },
            missHigh: 'A leak in a wet joint, a light that never goes out, or a sensor that is going.',
            missLow: 'The sensor has no supply: try it with a wet cloth.',
          }),
        ]
      : []),
  ];
}

/** A pump that wakes by itself: its period, and what it does dry and wet. */
export function timerTests(ground: Ground): ProveTest[] {
  const { circuit } = ground.assessed;
  if (sensorOf(schemeOf(circuit).senses, circuit.water?.float) !== 'timer') return [];
  const period = circuit.water?.float?.periodS ?? defaults.sensingPeriodS;
  const byS = period * ground.rules.period.share;
  return [
    testOf({
      id: 'timer-period',
      phase: 'commission',
      place: 'panel',
      text: `${onItsOwn(ground)}, well dry: seconds from one waking to the next.`,
      instrument: 'watch',
      waitS: 2 * period,
      expect: about(period, byS),
      missHigh: 'It is set otherwise, or does not feel: write down what it does.',
      missLow: 'It is set otherwise, or its supply is broken again and again.',
    }),
    testOf({
      id: 'timer-dry',
      phase: 'commission',
      place: 'bilge',
      waitS: period,
      text: `${onItsOwn(ground)}, well dry: it wakes, feels for about a second, and stops.`,
      expect: seen('feels and stops', ['runs on', 'does not wake']),
    }),
    testOf({
      id: 'timer-wet',
      phase: 'commission',
      place: 'bilge',
      waitS: period,
      text: `${onItsOwn(ground)}, water in the well: at its next waking it runs, and stops once it has lost its prime.`,
      expect: seen('runs while wet, then stops', ['stops though wet', 'runs on dry', 'does not wake']),
    }),
  ];
}
