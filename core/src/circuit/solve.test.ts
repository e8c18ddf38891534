import fc from 'fast-check';
import { motorAt, type Motor } from './motor';
import { everySetting, mapParts, type Netlist } from './netlist';
import type { Setting } from './parts';
import { CircuitError } from './circuitError';
import { solve } from './solve';

const motor: Motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };
const end = (part: string, terminal: string) => ({ part, terminal });

/** Battery, fuse, three-way switch, float and pump, with a resistance in each conductor. */
const circuit = (
  ohms: readonly [feed: number, manual: number, auto: number, negative: number],
  emfV = 12.8,
): Netlist => ({
  ground: end('battery', 'minus'),
  parts: [
    { kind: 'battery', id: 'battery', emfV, internalOhm: 0.006 },
    { kind: 'fuse', id: 'fuse', family: 'blade', ratingA: 10, closed: true },
    { kind: 'three-way-switch', id: 'switch', momentaryManual: false, contactOhm: 0.005 },
    { kind: 'float-switch', id: 'float', contactOhm: 0.01 },
    { kind: 'joint', id: 'joint', ways: ['manual', 'float', 'pump'], ohm: 0.001 },
    { kind: 'pump', id: 'pump', motor, condition: 'sound' },
  ],
  conductors: [
    { id: 'stub', from: end('battery', 'plus'), to: end('fuse', 'source'), ohm: 0 },
    { id: 'feed', from: end('fuse', 'load'), to: end('switch', 'common'), ohm: ohms[0] },
    { id: 'manual', from: end('switch', 'manual'), to: end('joint', 'manual'), ohm: ohms[1] },
    { id: 'auto', from: end('switch', 'auto'), to: end('float', 'a'), ohm: ohms[2] },
    { id: 'lead', from: end('float', 'b'), to: end('joint', 'float'), ohm: 0 },
    { id: 'tail', from: end('joint', 'pump'), to: end('pump', 'plus'), ohm: 0 },
    { id: 'negative', from: end('pump', 'minus'), to: end('battery', 'minus'), ohm: ohms[3] },
  ],
});

const set = (position: 'off' | 'auto' | 'manual', float: 'up' | 'down'): Setting => ({
  switches: { switch: position },
  floats: { float },
});
const usual = [0.03, 0.05, 0.05, 0.04] as const;

/** The same series circuit by bisection on the current: no matrix, no Newton. */
function byBisection(seriesOhm: number, emfV: number): number {
  let [low, high] = [0, emfV / seriesOhm];
  for (let step = 0; step < 200; step += 1) {
    const amps = (low + high) / 2;
    if (motorAt(motor, emfV - amps * seriesOhm).amps > amps) low = amps;
    else high = amps;
  }
  return (low + high) / 2;
}

describe('the solved circuit', () => {
  it('agrees with the same circuit solved by bisection, on manual and on auto', () => {
    const common = 0.006 + 0.0085 + 0.005 + 0.001 + usual[0] + usual[3];
    expect(solve(circuit(usual), set('manual', 'down')).conductorA('feed')).toBeCloseTo(
      byBisection(common + usual[1], 12.8),
      8,
    );
    expect(solve(circuit(usual), set('auto', 'up')).conductorA('feed')).toBeCloseTo(
      byBisection(common + usual[2] + 0.01, 12.8),
      8,
    );
  });

  it('runs on manual wherever the float is, on auto only with the float up, never on off', () => {
    const runs = everySetting(circuit(usual)).filter(
      (setting) => solve(circuit(usual), setting).voltsAcross('pump', 'plus', 'minus') > 1,
    );
    expect(runs).toHaveLength(3);
    expect(runs.filter(({ switches }) => switches['switch'] === 'manual')).toHaveLength(2);
    expect(runs.filter(({ floats }) => floats['float'] === 'up')).toHaveLength(2);
  });

  it('carries nothing with the fuse pulled, and has volts only up to the fuse', () => {
    const pulled = mapParts(circuit(usual), (part) => (part.kind === 'fuse' ? { ...part, closed: false } : part));
    const point = solve(pulled, set('manual', 'up'));
    expect(Math.abs(point.conductorA('feed'))).toBeLessThan(1e-9);
    expect(point.voltsAt(end('fuse', 'source'))).toBeCloseTo(12.8, 6);
    expect(Math.abs(point.voltsAt(end('fuse', 'load')))).toBeLessThan(1e-6);
  });

  it('brings as much current back as it sends out, and turns all power delivered into power used', () => {
    const ohm = fc.double({ min: 1e-4, max: 2, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(ohm, ohm, ohm, ohm), fc.constantFrom('manual', 'auto'), (ohms, position) => {
        const net = circuit(ohms);
        const point = solve(net, set(position, 'up'));
        const amps = point.conductorA('feed');
        expect(point.conductorA('negative')).toBeCloseTo(amps, 6);
        const inWires = net.conductors
          .filter(({ ohm: r }) => r > 0)
          .reduce((sum, { id, ohm: r }) => sum + point.conductorA(id) ** 2 * r, 0);
        const inContacts = amps ** 2 * (0.006 + 0.0085 + 0.005 + 0.001 + (position === 'auto' ? 0.01 : 0));
        const inPump = point.voltsAcross('pump', 'plus', 'minus') * amps;
        expect(inWires + inContacts + inPump).toBeCloseTo(12.8 * amps, 5);
      }),
    );
  });

  it('gives the same whatever order parts and conductors are listed in', () => {
    const net = circuit(usual);
    const turned: Netlist = { ...net, parts: [...net.parts].reverse(), conductors: [...net.conductors].reverse() };
    expect(solve(turned, set('auto', 'up')).conductorA('auto')).toBeCloseTo(
      solve(net, set('auto', 'up')).conductorA('auto'),
      10,
    );
  });

  it('shows a dead short as battery over all resistance in its way', () => {
    const shorted = mapParts(circuit(usual), (part) =>
      part.kind === 'pump' ? { ...part, condition: 'shorted' } : part,
    );
    expect(solve(shorted, set('manual', 'down')).conductorA('feed')).toBeCloseTo(
      12.8 / (0.006 + 0.0085 + 0.005 + 0.001 + 0.03 + 0.05 + 0.04),
      6,
    );
  });

  it('refuses two ideal sources that contradict each other', () => {
    const battery = (id: string, emfV: number) => ({ kind: 'battery' as const, id, emfV, internalOhm: 0 });
    const net: Netlist = {
      ground: end('one', 'minus'),
      parts: [battery('one', 12), battery('two', 13)],
      conductors: [
        { id: 'plus', from: end('one', 'plus'), to: end('two', 'plus'), ohm: 0 },
        { id: 'minus', from: end('one', 'minus'), to: end('two', 'minus'), ohm: 0 },
      ],
    };
    expect(() => solve(net, { switches: {}, floats: {} })).toThrow(CircuitError);
    expect(() => solve(net, { switches: {}, floats: {} })).toThrow('“two” has no internal resistance');
  });
});
