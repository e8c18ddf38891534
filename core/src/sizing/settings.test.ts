import { CircuitError, everySetting, type Netlist, type Part, type RelayPart, type Setting } from '../circuit';
import { battery, end, inSeries, motor, sound } from './netlists.fixture';
import { wired } from './question.fixture';
import {
  conductorsOnly,
  everySolved,
  heldIn,
  leastBy,
  leastPumpV,
  ownFeedOnly,
  runningSettings,
  some,
  solveIn,
  withPump,
  withSupply,
} from './settings';

const relay: RelayPart = {
  kind: 'relay',
  id: 'relay',
  coilOhm: 90,
  pullInV: 7.2,
  dropOutV: 1.2,
  contactOhm: 0.005,
  suppression: 'none',
};
const probe: Part = { kind: 'probe-sensor', id: 'probe', contactOhm: 0.01, drawA: 0.005 };
const floatPump: Part = { ...sound, id: 'float-pump', inside: { sensing: 'float', contactOhm: 0.01 } };
const neighbour: Part = { kind: 'neighbour', id: 'neighbour', motor, feedOhm: 0.05 };

const loose = (...parts: Part[]): Netlist => ({ ground: end('battery', 'minus'), parts, conductors: [] });
const partsOf = ({ parts }: Netlist) => Object.fromEntries(parts.map((part) => [part.id, part]));

/** A relay that is fed through its own released contact: it pulls in, cuts itself off and falls back. */
const chattering: Netlist = {
  ground: end('battery', 'minus'),
  parts: [battery, relay, sound],
  conductors: [
    { id: 'out', from: end('battery', 'plus'), to: end('relay', '30'), ohm: 0.01 },
    { id: 'loop', from: end('relay', '87a'), to: end('relay', '86'), ohm: 0 },
    { id: 'coil', from: end('relay', '85'), to: end('battery', 'minus'), ohm: 0 },
    { id: 'tail', from: end('relay', '87'), to: end('pump', 'plus'), ohm: 0 },
    { id: 'back', from: end('pump', 'minus'), to: end('battery', 'minus'), ohm: 0.01 },
  ],
};
const resting: Setting = { switches: {}, floats: {} };

describe('a netlist changed for one question', () => {
  it('holds the volts at the posts and nothing else', () => {
    expect(withSupply(loose(battery, sound), 13.6).parts).toEqual([
      { kind: 'battery', id: 'battery', emfV: 13.6, internalOhm: 0 },
      sound,
    ]);
  });

  it('puts the pump in a condition and leaves a neighbour’s alone', () => {
    expect(withPump(loose(neighbour, sound), 'locked').parts).toEqual([neighbour, { ...sound, condition: 'locked' }]);
  });

  it('holds relays and electronics at work, in a pump’s housing as well', () => {
    const held = partsOf(heldIn(loose(battery, relay, probe, floatPump, sound)));
    expect(held.relay).toEqual({ ...relay, held: true });
    expect(held.probe).toEqual({ ...probe, held: true });
    expect(held['float-pump']).toEqual({
      ...floatPump,
      inside: { sensing: 'float', contactOhm: 0.01, held: true },
    });
    expect([held.battery, held.pump]).toEqual([battery, sound]);
  });
});

describe('conductors only', () => {
  const only = (part: Part) => partsOf(conductorsOnly(loose(part), 7))[part.id];

  it('knows no lights, alarms, diodes and neighbours', () => {
    const lamp: Part = { kind: 'lamp', id: 'lamp', lamp: 'led', shows: 'running' };
    const alarm: Part = { kind: 'alarm', id: 'alarm' };
    const diode: Part = { kind: 'diode', id: 'diode' };
    expect(conductorsOnly(loose(lamp, alarm, diode, neighbour, battery), 7).parts).toEqual([battery]);
  });

  it('has fixed currents for motors: design current for the pump, the label’s for others', () => {
    const shared: Part = { kind: 'shared-load', id: 'shared', motor: { ...motor, labelA: 3 } };
    expect(only(sound)).toEqual({ ...sound, sinkA: 7 });
    expect(only(shared)).toEqual({ ...shared, sinkA: 3 });
    expect(only(floatPump)).toEqual({
      ...floatPump,
      sinkA: 7,
      inside: { sensing: 'float', contactOhm: 0, held: true },
    });
  });

  it.each<Part>([
    { kind: 'fuse', id: 'fuse', family: 'blade', ratingA: 10, closed: true },
    { kind: 'joint', id: 'joint', ways: ['a', 'b'], ohm: 0.001 },
  ])('has an ideal $kind', (part) => {
    expect(only(part)).toEqual({ ...part, ohm: 0 });
  });

  it.each<Part>([relay, probe])('has a $kind at work, with an ideal contact', (part) => {
    expect(only(part)).toEqual({ ...part, contactOhm: 0, held: true });
  });

  it.each<Part>([
    { kind: 'float-switch', id: 'float', contactOhm: 0.01 },
    { kind: 'through-float', id: 'float', contactOhm: 0.01 },
    { kind: 'isolator', id: 'isolator', closed: true, contactOhm: 0.005 },
    { kind: 'on-off-switch', id: 'switch', momentary: false, contactOhm: 0.005 },
    { kind: 'three-way-switch', id: 'switch', momentaryManual: false, contactOhm: 0.005 },
  ])('has an ideal contact in a $kind', (part) => {
    expect(only(part)).toEqual({ ...part, contactOhm: 0 });
  });

  it('leaves battery and bus as they are', () => {
    const bus: Part = { kind: 'negative-bus', id: 'bus', studs: ['battery', 'stud'] };
    expect([only(battery), only(bus)]).toEqual([battery, bus]);
  });
});

describe('settings solved', () => {
  const lamp: Part = { kind: 'lamp', id: 'lamp', lamp: 'filament', shows: 'running', ohm: 3 };

  it('give the volts at the pump, worked by hand for a stalled one', () => {
    // 12 V over 0.01 + 3 + 0.48 + 0.01 Ω: 3.4286 A, 1.6457 V at the motor.
    const netlist = withPump(withSupply(inSeries(lamp, 'plus', 'minus'), 12), 'locked');
    const [one] = solveIn(netlist, [resting], 'pump');
    expect(one?.pumpV).toBeCloseTo((12 / 3.5) * 0.48, 6);
    expect(one?.point.conductorA('out')).toBeCloseTo(12 / 3.5, 6);
    expect(one?.setting).toBe(resting);
  });

  it('leave out one in which a relay chatters', () => {
    expect(solveIn(chattering, [resting], 'pump')).toEqual([]);
    expect(everySolved(chattering)).toEqual([]);
  });

  it('throw any other trouble', () => {
    // Two batteries that hold different volts at the same post.
    const other = { ...battery, id: 'other', emfV: 12.1 };
    const ideal = withSupply(inSeries(lamp, 'plus', 'minus'), 12);
    const against: Netlist = {
      ...ideal,
      parts: [...ideal.parts, { ...other, internalOhm: 0 }],
      conductors: [
        ...ideal.conductors,
        { id: 'plus', from: end('battery', 'plus'), to: end('other', 'plus'), ohm: 0 },
        { id: 'minus', from: end('battery', 'minus'), to: end('other', 'minus'), ohm: 0 },
      ],
    };
    expect(() => solveIn(against, [resting], 'pump')).toThrow(CircuitError);
  });

  it('are every position where no pump is asked about', () => {
    const { netlist } = wired();
    expect(everySolved(netlist).map(({ setting, pumpV }) => [setting, pumpV])).toEqual(
      everySetting(netlist).map((setting) => [setting, 0]),
    );
  });
});

describe('the own feed only', () => {
  it('is the netlist itself where no other circuit touches it', () => {
    const { netlist } = wired();
    expect(ownFeedOnly(netlist)).toBe(netlist);
  });

  it('takes a neighbour away with every conductor that ends at it, on either side', () => {
    const touching: Netlist = {
      ...loose(battery, neighbour, sound),
      conductors: [
        { id: 'own', from: end('battery', 'plus'), to: end('pump', 'plus'), ohm: 0.01 },
        { id: 'to', from: end('pump', 'plus'), to: end('neighbour', 'post'), ohm: 0.01 },
        { id: 'from', from: end('neighbour', 'minus'), to: end('battery', 'minus'), ohm: 0 },
      ],
    };
    const own = ownFeedOnly(touching);
    expect(own.parts).toEqual([battery, sound]);
    expect(own.conductors.map(({ id }) => id)).toEqual(['own']);
  });
});

describe('the least of some', () => {
  it('is the first of equals', () => {
    const [one, two, three] = [{ value: 2 }, { value: 1 }, { value: 1 }];
    expect(leastBy([one, two, three], ({ value }) => value)).toBe(two);
    expect(leastBy([two, one], ({ value }) => value)).toBe(two);
  });

  it('of no settings at all is no volts', () => {
    expect(leastPumpV([])).toBe(0);
    const { netlist, plan } = wired();
    const solved = solveIn(withSupply(netlist, 12), runningSettings(netlist, plan.ids.pump), plan.ids.pump);
    expect(leastPumpV(solved)).toBe(Math.min(...solved.map(({ pumpV }) => pumpV)));
    expect(leastPumpV(solved)).toBeLessThan(Math.max(...solved.map(({ pumpV }) => pumpV)));
  });

  it('cannot be had of none, and says so', () => {
    expect(some([1, 2], 'none')).toEqual([1, 2]);
    expect(() => some([], 'There is none.')).toThrow(new RangeError('There is none.'));
  });
});
