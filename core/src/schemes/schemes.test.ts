import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { everySetting, solve, terminalsOf, type Setting } from '../circuit';
import { newCircuit } from '../job';
import { outlinePlan } from './outline';
import { hasPump } from './plan';
import { schemeKeys } from './keys';
import { schemeOf } from './registry';
import { anyVariant, houseBattery, plainNetlist, planFor, surveyedCircuit } from './schemes.fixture';

const settingWith = (position: 'off' | 'manual' | 'auto', float: 'up' | 'down'): Setting => ({
  switches: { switch: position },
  floats: { float, pump: float },
});

/** In which position of the switch water starts the pump by itself; null where it never does. */
const startsOn: Readonly<Record<string, 'auto' | 'off' | null>> = {
  'three-way-float': 'auto',
  'three-way-integral': 'auto',
  'plain-switch': null,
  'hot-auto': 'off',
  'sensing-pump': 'auto',
  'through-float': 'auto',
  'probe-sensor': 'auto',
  relay: 'auto',
  'backup-alarm': 'off',
};

describe('every variant of every scheme', () => {
  it('ends each conductor at a terminal that is there, and leaves none bare but a relay’s resting contact', () => {
    fc.assert(
      fc.property(anyVariant, ({ plan }) => {
        const terminals = new Set(
          plan.parts.flatMap(({ part }) => terminalsOf(part).map((terminal) => `${part.id}.${terminal}`)),
        );
        const ends = [...plan.conductors, ...plan.existing].flatMap(({ from, to }) => [from, to]);
        for (const { part, terminal } of ends) expect(terminals).toContain(`${part}.${terminal}`);
        const used = new Set(ends.map(({ part, terminal }) => `${part}.${terminal}`));
        for (const terminal of terminals) if (terminal !== 'relay.87a') expect(used).toContain(terminal);
      }),
      runs(300),
    );
  });

  it('names each part and conductor once', () => {
    fc.assert(
      fc.property(anyVariant, ({ plan }) => {
        const ids = [...plan.parts.map(({ part }) => part.id), ...plan.conductors, ...plan.existing].map((one) =>
          typeof one === 'string' ? one : one.id,
        );
        expect(new Set(ids).size).toBe(ids.length);
        for (const id of Object.values(plan.ids ?? {})) expect(ids).toContain(id);
      }),
      runs(300),
    );
  });

  it('runs its pump on manual, and by itself only with the float up in the position that says so', () => {
    fc.assert(
      fc.property(anyVariant, ({ plan, scheme }) => {
        if (!hasPump(plan)) return;
        const pumpV = (position: 'off' | 'manual' | 'auto', float: 'up' | 'down') =>
          Math.abs(solve(plainNetlist(plan), settingWith(position, float)).voltsAcross('pump', 'plus', 'minus'));
        expect(pumpV('manual', 'down')).toBeGreaterThan(10);
        for (const position of ['off', 'auto'] as const) {
          if (position === startsOn[scheme]) expect(pumpV(position, 'up')).toBeGreaterThan(10);
          else if (position === 'off') expect(pumpV(position, 'up')).toBeLessThan(1e-6);
          // A light from post to post leaves milliamperes in the winding; nothing else does.
          expect(pumpV(position, 'down')).toBeLessThan(0.1);
        }
      }),
      runs(200),
    );
  });

  it('brings back on its negatives what leaves the battery, in every setting', () => {
    fc.assert(
      fc.property(anyVariant, ({ plan }) => {
        if (!hasPump(plan)) return;
        for (const setting of everySetting(plainNetlist(plan)).slice(0, 12)) {
          const point = solve(plainNetlist(plan), setting);
          expect(point.conductorA('main-negative')).toBeCloseTo(point.partA('battery'), 6);
        }
      }),
      runs(60),
    );
  });

  it('lights a running light to negative whenever the pump has volts, and only then', () => {
    fc.assert(
      fc.property(
        anyVariant.filter(({ light, lightWired }) => light !== 'none' && lightWired === 'to-negative'),
        ({ plan }) => {
          if (!plan.parts.some(({ part }) => part.id === 'light')) return;
          for (const setting of everySetting(plainNetlist(plan)).slice(0, 12)) {
            if (setting.switches['neighbour-primary'] === 'manual') continue;
            const point = solve(plainNetlist(plan), setting);
            const runs = point.voltsAcross('pump', 'plus', 'minus') > 10;
            expect(point.wordOf('light')).toBe(runs ? 'lit' : 'dark');
          }
        },
      ),
      runs(60),
    );
  });
});

describe('an alarm on the backup’s float', () => {
  const words = (more: Parameters<typeof surveyedCircuit>[1], setting: Setting) => {
    const plan = planFor(surveyedCircuit('backup-alarm', more), { alarmAlso: true });
    const point = solve(plainNetlist(plan), setting);
    return [point.wordOf('alarm'), point.wordOf('pump'), point.wordOf('neighbour-primary')];
  };

  it('sounds with its own pump and with the other, and runs neither for the other behind its diodes', () => {
    const own = { switches: { switch: 'off' }, floats: { float: 'up' } } as const;
    const other = { switches: { switch: 'off', 'neighbour-primary': 'manual' }, floats: { float: 'down' } } as const;
    expect(words({}, own)).toEqual(['sounding', 'running', 'off']);
    expect(words({}, other)).toEqual(['sounding', 'standing', 'running']);
  });

  it('runs the other circuit’s pump through its feeds where it has no diodes', () => {
    const own = { switches: { switch: 'off' }, floats: { float: 'up' } } as const;
    expect(words({ alarm: { diodes: false } }, own)).toEqual(['sounding', 'running', 'running, fed back']);
  });

  it('keeps its light when it is muted', () => {
    const muted = { switches: { switch: 'off', alarm: 'manual' }, floats: { float: 'up' } } as const;
    expect(words({}, muted)[0]).toBe('muted, light on');
  });
});

describe('a stand-alone alarm', () => {
  it('sounds on its own battery when its float is up, whichever way round it is connected', () => {
    const plan = planFor(surveyedCircuit('standalone-alarm'));
    const up = { switches: {}, floats: { float: 'up' } } as const;
    expect(solve(plainNetlist(plan), up).wordOf('alarm')).toBe('sounding');
    expect(solve(plainNetlist(plan), { ...up, floats: {} }).wordOf('alarm')).toBe('silent');
  });
});

describe('a circuit of which nothing was measured', () => {
  it('can be drawn in every scheme: its wiring is known without a figure', () => {
    for (const scheme of schemeKeys) {
      const plan = outlinePlan(newCircuit('main', 'Main', scheme, 'house'), houseBattery);
      expect(plan.parts.length).toBeGreaterThan(3);
      expect(hasPump(plan)).toBe(schemeOf({ scheme }).options.includes('pump'));
    }
  });
});
