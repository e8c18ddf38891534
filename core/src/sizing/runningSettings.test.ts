import type { Netlist, Part } from '../circuit';
import { surveyedCircuit } from '../schemes/schemes.fixture';
import { battery, end, inSeries, sound } from './netlists.fixture';
import { otherPump, wired } from './question.fixture';
import { runningSettings, withSupply } from './settings';
import { SizingMemory } from './sizingMemory';

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
    expect(running('relay').map(({ likely }) => likely)).toEqual([['relay'], ['relay']]);
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
    const memory = new SizingMemory();
    const { netlist, plan } = wired();
    const known = runningSettings(netlist, plan.ids.pump, memory);
    expect(runningSettings(withSupply(netlist, 11), plan.ids.pump, memory)).toBe(known);
    const lit = wired(surveyedCircuit('three-way-float', { panel: { light: 'led' } }));
    expect(runningSettings(lit.netlist, 'pump', memory)).not.toBe(known);
    const inside = (sensing: 'float' | 'timer'): Netlist => ({
      ground: end('battery', 'minus'),
      parts: [battery, { ...sound, inside: { sensing, contactOhm: 0.01 } }],
      conductors: [
        { id: 'out', from: end('battery', 'plus'), to: end('pump', 'auto'), ohm: 0.01 },
        { id: 'back', from: end('pump', 'minus'), to: end('battery', 'minus'), ohm: 0.01 },
      ],
    });
    expect(runningSettings(inside('float'), 'pump', memory)).not.toBe(runningSettings(inside('timer'), 'pump', memory));
    const unwired = inside('float');
    const elsewhere = unwired.conductors.map((wire) =>
      wire.id === 'out' ? { ...wire, to: end('pump', 'plus') } : wire,
    );
    expect(
      runningSettings({ ...unwired, conductors: elsewhere }, 'pump', memory).map(({ floats }) => floats.pump),
    ).toEqual(['down']);
  });

  it('are found anew where a filament alone leads to the pump and its figures turn the divider', () => {
    const memory = new SizingMemory();
    const through = (lampOhm: number, labelV = 12) =>
      runningSettings(inSeries(lampOf('one', lampOhm), 'plus', 'minus', standing(labelV)), 'pump', memory).length;
    // 12 V × 3.2 / (3.2 + R): a fifth of 12 V at 12.8 Ω, of 24 V at 4.8 Ω.
    expect([through(12.7), through(12.9), through(12.7, 24), through(4.7, 24)]).toEqual([1, 0, 0, 1]);
  });

  it('add to the pump’s own those of others on the feed', () => {
    const { netlist, plan } = wired(surveyedCircuit('plain-switch'), [otherPump()]);
    expect(runningSettings(netlist, plan.ids.pump).map(({ switches }) => switches['shared-other'])).toEqual([
      'off',
      'manual',
    ]);
  });
});
