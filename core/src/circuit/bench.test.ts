import { plainNetlist, planFor, surveyedCircuit } from '../schemes/schemes.fixture';
import { CircuitError } from './circuitError';
import { faultCodes, faultOf, withFaults } from './faults';
import { measureOhms, measureTestLamp, measureVolts } from './meter';
import { checkNetlist, mapParts, type Netlist } from './netlist';
import { openingWindow, untilDead } from './opening';
import type { Setting } from './parts';
import { settingOf } from './report';
import { solve } from './solve';

const end = (part: string, terminal: string) => ({ part, terminal });
const negative = end('bus', 'main');
const set = (position: 'off' | 'auto' | 'manual', float: 'up' | 'down' = 'down'): Setting => ({
  switches: { switch: position },
  floats: { float },
});
const three = plainNetlist(planFor(surveyedCircuit('three-way-float', { panel: { light: 'led' } })));
const pulled = withFaults(three, [{ code: 'blown-fuse', at: 'fuse' }]);
const closest = (netlist: Netlist, position: 'auto' | 'manual') => solve(netlist, set(position, 'up'));

describe('the voltmeter', () => {
  it('shows the battery at the panel, and on the load side of a pulled fuse nothing', () => {
    const common = { red: end('switch', 'common'), black: negative };
    expect(measureVolts(three, set('off'), common)).toBeCloseTo(12.7, 3);
    expect(measureVolts(pulled, set('off'), common)).toBeCloseTo(0, 6);
  });

  it('shows a ghost of volts behind a corroded joint, where the test lamp stays dark', () => {
    const bad = withFaults(three, [{ code: 'corroded', at: 'manual', degree: 150 }]);
    // Pump off its leads: nothing draws, so the meter sees the whole battery through the corrosion.
    const open = withFaults(bad, [{ code: 'winding-open', at: 'pump' }]);
    const atPump = { red: end('pump', 'plus'), black: negative };
    expect(measureVolts(open, set('manual'), atPump)).toBeGreaterThan(12.6);
    // 12.7 V × 30 ÷ (30 + 150) = 2.12 V, less what the LED takes: 3 % of a lamp's power.
    expect(measureTestLamp(open, set('manual'), atPump).doing).toBe('dark');
    expect(measureTestLamp(three, set('manual'), atPump).doing).toBe('lit');
  });
});

describe('the ohmmeter', () => {
  it('reads winding and leads from negative to manual with the fuse out', () => {
    const read = measureOhms(pulled, set('off'), { red: end('switch', 'manual'), black: negative });
    // Winding 12 ÷ (5 × 5) = 0.48 Ω, two conductors of 20 mΩ, two joints of 1 mΩ.
    expect(read).toEqual({ kind: 'ohms', ohm: expect.closeTo(0.48 + 0.04 + 0.002, 6) });
  });

  it('reads open through a float that hangs, near nothing through one that is up', () => {
    const probes = { red: end('switch', 'auto'), black: end('switch', 'manual') };
    expect(measureOhms(pulled, set('off'), probes)).toEqual({ kind: 'open' });
    expect(measureOhms(pulled, set('off', 'up'), probes)).toMatchObject({
      kind: 'ohms',
      ohm: expect.closeTo(0.052, 6),
    });
  });

  it('is refused while a battery’s positive still reaches a probe, and names it', () => {
    const read = measureOhms(three, set('off'), { red: end('switch', 'common'), black: negative });
    expect(read).toMatchObject({ kind: 'live', at: end('switch', 'common') });
    expect(measureOhms(three, set('manual'), { red: negative, black: end('pump', 'plus') }).kind).toBe('live');
  });
});

describe('fuses and breakers', () => {
  const fuse = { kind: 'fuse', id: 'fuse', family: 'blade', ratingA: 10, closed: true } as const;

  it('hold a current for ever below their window, and for seconds within it', () => {
    expect(openingWindow(fuse, 9)).toEqual({ fastest: { kind: 'never' }, slowest: { kind: 'never' } });
    // At twice its rating a blade fuse takes 0.15 to 5 s.
    expect(openingWindow(fuse, 20)).toEqual({
      fastest: { kind: 'opens', seconds: 0.15 },
      slowest: { kind: 'opens', seconds: 5 },
    });
  });

  it('of two legs fused apart open one after the other, seconds adding up, or neither', () => {
    const apart = (ratingA: number) =>
      mapParts(
        plainNetlist(
          planFor(
            surveyedCircuit('hot-auto', {
              panel: { legFuses: { kind: 'blade', manualA: ratingA, autoA: ratingA } },
            }),
          ),
        ),
        (part) => {
          if (part.kind === 'battery') return { ...part, emfV: 12, internalOhm: 0 };
          if (part.kind === 'pump') return { ...part, condition: 'locked' };
          return part.id === 'fuse' && part.kind === 'fuse' ? { ...part, ratingA: 40 } : part;
        },
      );
    const both: Setting = { switches: { switch: 'manual' }, floats: { pump: 'up' } };
    const stalled = solve(apart(7.5), both);
    expect(stalled.partA('manual-fuse') + stalled.partA('auto-fuse')).toBeCloseTo(stalled.partA('pump'), 3);
    // About 10 A each: a 10 A fuse never opens, and the other never gets the whole.
    expect(untilDead(apart(10), both, 'pump', 'slowest').opening.kind).toBe('never');
    const dead = untilDead(apart(7.5), both, 'pump', 'slowest');
    expect(dead.opened).toHaveLength(2);
    const [first] = dead.opened;
    const left = mapParts(apart(7.5), (part) =>
      part.kind === 'fuse' && part.id === first ? { ...part, closed: false } : part,
    );
    const alone = untilDead(left, both, 'pump', 'slowest').opening;
    if (dead.opening.kind !== 'opens' || alone.kind !== 'opens') throw new Error('never dead');
    expect(dead.opening.seconds).toBeGreaterThan(alone.seconds + 10);
  });
});

describe('a relay', () => {
  const relayed = plainNetlist(planFor(surveyedCircuit('relay', { pump: { currentA: 20 } })));

  it('pulls in with the coil’s current through float and switch, and its contact carries the pump', () => {
    const point = solve(relayed, set('auto', 'up'));
    expect(point.wordOf('relay')).toBe('pulled in');
    expect(point.partA('float')).toBeCloseTo(point.voltsAcross('relay', '86', '85') / 90, 9);
    expect(point.partA('relay')).toBeCloseTo(point.partA('pump'), 6);
    expect(point.partA('pump')).toBeGreaterThan(15);
    expect(solve(relayed, set('auto')).wordOf('relay')).toBe('released');
  });

  it('stays pulled in between its two voltages only where it was pulled in before: it starts released', () => {
    const at = (emfV: number) =>
      solve(
        mapParts(relayed, (part) => (part.kind === 'battery' ? { ...part, emfV } : part)),
        set('auto', 'up'),
      ).wordOf('relay');
    expect(at(8)).toBe('pulled in');
    expect(at(6)).toBe('released');
  });

  it('on a feed that cannot hold it chatters, and is said to by name', () => {
    const weak = withFaults(relayed, [{ code: 'corroded', at: 'feed', degree: 8 }]);
    expect(() => solve(weak, set('auto', 'up'))).toThrow(expect.objectContaining({ code: 'chatter', about: 'relay' }));
  });

  it('with its diode the wrong way round shorts its coil’s feed and does not pull in', () => {
    const turned = withFaults(relayed, [{ code: 'polarity-reversed', at: 'relay' }]);
    const point = solve(turned, set('manual'));
    expect(point.wordOf('relay')).toBe('released');
    expect(point.partA('coil-fuse')).toBeGreaterThan(20);
  });
});

describe('lights', () => {
  it('wired from post to post glow through the pump’s winding with the float down', () => {
    const sneaky = plainNetlist(
      planFor(surveyedCircuit('three-way-float', { panel: { light: 'led', lightWired: 'auto-to-manual' } })),
    );
    const point = solve(sneaky, set('auto'));
    expect(point.wordOf('light')).toBe('lit');
    // (12.7 − 2) V over 680 Ω and the winding.
    expect(point.partA('pump')).toBeCloseTo(10.7 / 680.52, 4);
    expect(point.wordOf('pump')).toBe('standing');
    expect(solve(sneaky, set('manual')).wordOf('light')).toBe('dark');
  });

  it('of filament are dim below half their power at 12 V', () => {
    const lamp = plainNetlist(planFor(surveyedCircuit('three-way-float', { panel: { light: 'filament' } })));
    const at = (emfV: number) =>
      solve(
        mapParts(lamp, (part) => (part.kind === 'battery' ? { ...part, emfV } : part)),
        set('manual'),
      ).wordOf('light');
    expect([at(12.7), at(8), at(2.5)]).toEqual(['lit', 'dim', 'dark']);
  });
});

describe('every kind of fault', () => {
  it('changes what some circuit does in some setting, at each of its places', () => {
    const circuits = ['three-way-float', 'relay', 'backup-alarm', 'probe-sensor'].map((scheme) =>
      plainNetlist(
        planFor(surveyedCircuit(scheme, { panel: { light: 'led', armedLight: 'led' }, source: { feed: 'isolator' } })),
      ),
    );
    const settings = (['off', 'auto', 'manual'] as const).flatMap((position) => [set(position), set(position, 'up')]);
    const told = (netlist: Netlist) =>
      settings.map((setting) => {
        try {
          const point = solve(netlist, setting);
          return [...netlist.parts.map(({ id }) => `${point.wordOf(id)} ${point.partA(id).toFixed(6)}`)].join();
        } catch (error) {
          return error instanceof CircuitError ? error.code : 'thrown';
        }
      });
    for (const code of faultCodes) {
      const shown = circuits.some((netlist) =>
        faultOf(code)
          .sites(netlist)
          .some((site) => told(withFaults(netlist, [{ code, at: site.id }])).join() !== told(netlist).join()),
      );
      expect([code, shown]).toEqual([code, true]);
    }
  });

  it.each([
    ['stuck-up', 'float', 'auto', 'running'],
    ['stuck-down', 'float', 'auto', 'standing'],
    ['rotor-locked', 'pump', 'manual', 'locked'],
    ['running-dry', 'pump', 'manual', 'running dry'],
    ['winding-open', 'pump', 'manual', 'standing'],
    ['polarity-reversed', 'pump', 'manual', 'running backwards'],
    ['open', 'negative', 'manual', 'standing'],
  ] as const)('%s at the %s: on %s the pump is %s', (code, at, position, word) => {
    const float = code === 'stuck-down' ? 'up' : 'down';
    expect(solve(withFaults(three, [{ code, at }]), set(position, float)).wordOf('pump')).toBe(word);
  });

  it('swapped at the panel makes auto run the pump and manual need the float', () => {
    const swapped = withFaults(three, [{ code: 'swapped-at-panel', at: 'manual~auto' }]);
    expect(solve(swapped, set('auto')).wordOf('pump')).toBe('running');
    expect(solve(swapped, set('manual')).wordOf('pump')).toBe('standing');
    expect(solve(swapped, set('manual', 'up')).wordOf('pump')).toBe('running');
  });

  it('dry draws less, reversed as much, worn and corroded less, and a weak battery gives less volts', () => {
    const amps = (code: Parameters<typeof faultOf>[0], at: string) =>
      Math.abs(closest(withFaults(three, [{ code, at }]), 'manual').partA('pump'));
    const sound = closest(three, 'manual').partA('pump');
    expect(amps('running-dry', 'pump')).toBeLessThan(0.5 * sound);
    expect(amps('polarity-reversed', 'pump')).toBeCloseTo(sound, 6);
    expect(amps('worn-contact', 'switch')).toBeLessThan(0.9 * sound);
    expect(amps('weak-battery', 'battery')).toBeLessThan(0.9 * sound);
    expect(amps('shorted-to-negative', 'manual')).toBeLessThan(0.9 * sound);
  });

  it('that does not fit is refused by name', () => {
    const refused = (code: Parameters<typeof faultOf>[0], at: string, degree?: number) => () =>
      withFaults(three, [{ code, at, ...(degree === undefined ? {} : { degree }) }]);
    expect(refused('stuck-up', 'relay')).toThrow('There is no “relay” that can be stuck up. It can be: float.');
    expect(refused('corroded', 'manual', 1e6)).toThrow('“manual” corroded: 1000000 Ω is outside 0.2 to 200 Ω.');
  });
});

describe('a setting asked for in words', () => {
  const asked = (scheme: string, position: string, float = 'all') =>
    settingOf(plainNetlist(planFor(surveyedCircuit(scheme))), { position, floats: [{ id: float, position: 'up' }] });

  it('lifts every float that is there, whatever it is called', () => {
    expect(asked('three-way-float', 'auto')).toEqual({ switches: { switch: 'auto' }, floats: { float: 'up' } });
    expect(asked('three-way-integral', 'off')).toEqual({ switches: { switch: 'off' }, floats: { pump: 'up' } });
    expect(asked('plain-switch', 'manual')).toEqual({ switches: { switch: 'manual' }, floats: {} });
  });

  it('takes auto as off where the auto leg is always live, and refuses it where nothing is automatic', () => {
    expect(asked('hot-auto', 'auto').switches).toEqual({ switch: 'off' });
    expect(asked('standalone-alarm', 'auto')).toEqual({ switches: {}, floats: { float: 'up' } });
    expect(() => asked('plain-switch', 'auto')).toThrow('It has: off, manual.');
  });
});

describe('a netlist that is not one', () => {
  it.each([
    ['no-such-part', { id: 'stray', from: end('switch', 'auto'), to: end('bilge', 'in'), ohm: 0.1 }, 'no part “bilge”'],
    [
      'no-such-terminal',
      { id: 'stray', from: end('switch', 'left'), to: end('pump', 'plus'), ohm: 0.1 },
      'common, manual, auto',
    ],
    ['repeated-id', { id: 'auto', from: end('switch', 'auto'), to: end('pump', 'plus'), ohm: 0.1 }, 'there twice'],
  ])('is refused: %s', (code, wire, words) => {
    const bad = { ...three, conductors: [...three.conductors, wire] };
    expect(() => checkNetlist(bad)).toThrow(expect.objectContaining({ code, message: expect.stringContaining(words) }));
    expect(() => checkNetlist(three)).not.toThrow();
  });

  it('of no ohms anywhere names the battery that nothing limits', () => {
    const bare = mapParts({ ...three, conductors: three.conductors.map((wire) => ({ ...wire, ohm: 0 })) }, (part) => {
      if (part.kind === 'battery') return { ...part, internalOhm: 0 };
      if (part.kind === 'fuse' || part.kind === 'joint') return { ...part, ohm: 0 };
      if ('contactOhm' in part) return { ...part, contactOhm: 0 };
      return part.kind === 'pump' ? { ...part, condition: 'shorted' } : part;
    });
    expect(() => solve(bare, set('manual'))).toThrow(expect.objectContaining({ code: 'singular', about: 'battery' }));
  });
});
