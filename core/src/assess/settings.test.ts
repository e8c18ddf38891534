import { CircuitError, everySetting, type Netlist, type Part, type RelayPart, type Setting } from '../circuit';
import { surveyedCircuit } from '../schemes/schemes.fixture';
import { otherPump, wired } from './question.fixture';
import {
  conductorsOnly,
  everySolved,
  heldIn,
  leastBy,
  leastPumpV,
  ownFeedOnly,
  runningSettings,
  solveIn,
  some,
  withPump,
  withSupply,
} from './settings';

const end = (part: string, terminal: string) => ({ part, terminal });
const motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };
const battery: Part = { kind: 'battery', id: 'battery', emfV: 12.7, internalOhm: 0.006 };
const sound: Part = { kind: 'pump', id: 'pump', motor, condition: 'sound' };
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

/** Battery → part → pump → battery, 10 mΩ in either conductor. */
const inSeries = (between: Part, entry: string, exit: string, pump: Part = sound): Netlist => ({
  ground: end('battery', 'minus'),
  parts: [battery, between, pump],
  conductors: [
    { id: 'out', from: end('battery', 'plus'), to: end(between.id, entry), ohm: 0.01 },
    { id: 'tail', from: end(between.id, exit), to: end('pump', 'plus'), ohm: 0 },
    { id: 'back', from: end('pump', 'minus'), to: end('battery', 'minus'), ohm: 0.01 },
  ],
});

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
    const other: Part = { ...battery, id: 'other', emfV: 12.1 };
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

describe('the settings in which a pump runs', () => {
  const running = (scheme: string, more: Parameters<typeof surveyedCircuit>[1] = {}) => {
    const { netlist, plan } = wired(surveyedCircuit(scheme, more));
    return runningSettings(netlist, plan.ids.pump);
  };
  /** No more than its winding, so that its volts are a divider’s. */
  const standing = (labelV: number): Part => ({
    ...sound,
    condition: 'locked',
    motor: { labelA: 5, labelV, windingOhm: 3.2 },
  });
  const lampOf = (id: string, ohm: number): Part => ({ kind: 'lamp', id, lamp: 'filament', shows: 'running', ohm });
  const behind = (id: string, ohm: number, labelV = 12) =>
    runningSettings(inSeries(lampOf(id, ohm), 'plus', 'minus', standing(labelV)), 'pump').length;

  it('are manual and auto with the float up, each once', () => {
    expect(running('three-way-float')).toEqual([
      { switches: { switch: 'manual' }, floats: { float: 'down' } },
      { switches: { switch: 'auto' }, floats: { float: 'up' } },
    ]);
  });

  it('count on and auto together where both legs then share the current', () => {
    expect(running('hot-auto').map(({ switches, floats }) => [switches.switch, floats.pump])).toEqual([
      ['off', 'up'],
      ['manual', 'down'],
      ['manual', 'up'],
    ]);
  });

  it('say which relay is then pulled in', () => {
    expect(running('relay').map(({ likely }) => [...(likely ?? [])])).toEqual([['relay'], ['relay']]);
    expect(running('plain-switch')).toEqual([{ switches: { switch: 'manual' }, floats: {} }]);
  });

  it('begin at a fifth of label volts, by the divider of winding and what lies before it', () => {
    // 12 V × 3.2 / (3.2 + R) is 2.4 V at 12.8 Ω.
    expect([behind('just', 12.799), behind('short', 12.801)]).toEqual([1, 0]);
    // A fifth of 24 V is 4.8 V: at 4.8 Ω.
    expect([behind('just-24', 4.799, 24), behind('short-24', 4.801, 24)]).toEqual([1, 0]);
  });

  it('ask nothing of the battery’s state and of a thin cable', () => {
    const { netlist, plan } = wired();
    const flat = withSupply(
      { ...netlist, conductors: netlist.conductors.map((wire) => ({ ...wire, ohm: wire.ohm === 0 ? 0 : 40 })) },
      3,
    );
    const renamed = { ...flat, parts: [...flat.parts, lampOf('unused', 150)] };
    expect(runningSettings(renamed, plan.ids.pump)).toHaveLength(2);
  });

  it('ask nothing of corroded contacts, fuses and joints', () => {
    const corroded = (part: Part): Part => {
      switch (part.kind) {
        case 'fuse':
        case 'joint':
          return { ...part, ohm: 50 };
        case 'three-way-switch':
        case 'on-off-switch':
        case 'isolator':
        case 'float-switch':
        case 'through-float':
        case 'probe-sensor':
        case 'relay':
          return { ...part, contactOhm: 50 };
        case 'pump':
          return part.inside ? { ...part, inside: { ...part.inside, contactOhm: 50 } } : part;
        default:
          return part;
      }
    };
    for (const scheme of ['three-way-float', 'relay', 'hot-auto', 'through-float', 'probe-sensor', 'sensing-pump']) {
      const { netlist, plan } = wired(surveyedCircuit(scheme, { source: { feed: 'isolator' } }));
      // A part more, so that the wiring is not one known already.
      const parts = [...netlist.parts.map(corroded), lampOf(`unused-${scheme}`, 150)];
      expect([scheme, runningSettings({ ...netlist, parts }, plan.ids.pump).length]).toEqual([
        scheme,
        running(scheme, { source: { feed: 'isolator' } }).length,
      ]);
    }
  });

  it('ask nothing of the volts that a coil wants: that is a finding of its own', () => {
    const { netlist, plan } = wired(surveyedCircuit('relay', { relay: { pullInV: 14, dropOutV: 13 } }));
    const parts = [...netlist.parts, lampOf('unused-coil', 150)];
    expect(runningSettings({ ...netlist, parts }, plan.ids.pump)).toHaveLength(2);
  });

  it('count a pump that turns backwards', () => {
    const backwards: Netlist = {
      ground: end('battery', 'minus'),
      parts: [battery, sound],
      conductors: [
        { id: 'out', from: end('battery', 'plus'), to: end('pump', 'minus'), ohm: 0.01 },
        { id: 'back', from: end('pump', 'plus'), to: end('battery', 'minus'), ohm: 0.01 },
      ],
    };
    expect(runningSettings(backwards, 'pump')).toHaveLength(1);
  });

  it('are none where only a lamp leads to the pump', () => {
    // 150 Ω before a winding of 0.48 Ω: 38 mV.
    expect(runningSettings(inSeries(lampOf('sneak', 150), 'plus', 'minus'), 'pump')).toEqual([]);
  });

  it('are looked up by wiring, and told apart by what is inside a pump, by a part and by where a conductor ends', () => {
    const { netlist, plan } = wired();
    const known = runningSettings(netlist, plan.ids.pump);
    expect(runningSettings(withSupply(netlist, 11), plan.ids.pump)).toBe(known);
    const lit = wired(surveyedCircuit('three-way-float', { panel: { light: 'led' } }));
    expect(runningSettings(lit.netlist, 'pump')).not.toBe(known);
    const inside = (sensing: 'float' | 'timer'): Netlist => ({
      ground: end('battery', 'minus'),
      parts: [battery, { ...sound, inside: { sensing, contactOhm: 0.01 } }],
      conductors: [
        { id: 'out', from: end('battery', 'plus'), to: end('pump', 'auto'), ohm: 0.01 },
        { id: 'back', from: end('pump', 'minus'), to: end('battery', 'minus'), ohm: 0.01 },
      ],
    });
    expect(runningSettings(inside('float'), 'pump')).not.toBe(runningSettings(inside('timer'), 'pump'));
    const unwired = inside('float');
    const elsewhere = unwired.conductors.map((wire) =>
      wire.id === 'out' ? { ...wire, to: end('pump', 'plus') } : wire,
    );
    expect(runningSettings({ ...unwired, conductors: elsewhere }, 'pump').map(({ floats }) => floats.pump)).toEqual([
      'down',
    ]);
  });

  it('add to the pump’s own those of others on the feed', () => {
    const { netlist, plan } = wired(surveyedCircuit('plain-switch'), [otherPump()]);
    expect(runningSettings(netlist, plan.ids.pump).map(({ switches }) => switches['shared-other'])).toEqual([
      'off',
      'manual',
    ]);
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
