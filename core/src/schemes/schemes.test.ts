import fc from 'fast-check';
import { everySetting, solve, terminalsOf, type Netlist, type Setting } from '../circuit';
import { newCircuit, type Battery, type Circuit } from '../job';
import { schemes } from './registry';
import { netlistOf, type Plan, type SurveyedCircuit } from './plan';
import { outlinePlan } from './outline';

const battery: Battery = { id: 'house', name: 'House' };
const legs = { sourceToPanel: { lengthM: 3 }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } };

/** Every variant a scheme can be built in. */
const variant = fc.record({
  scheme: fc.constantFrom<Circuit['scheme']>('plain-switch', 'three-way-float'),
  light: fc.constantFrom<'none' | 'led' | 'filament'>('none', 'led', 'filament'),
  tapFuse: fc.boolean(),
  panelFuse: fc.boolean(),
  isolator: fc.boolean(),
  mainFuse: fc.boolean(),
  leads: fc.boolean(),
  others: fc.integer({ min: 0, max: 3 }),
});
type Variant = Parameters<Parameters<typeof variant.map>[0]>[0];

function planOf(one: Variant): Plan {
  const circuit: SurveyedCircuit = {
    ...newCircuit('main', 'Main', one.scheme, 'house'),
    legs,
    pump: { currentA: 5, ...(one.leads ? { leads: { lengthM: 0.15, size: '16 AWG' as const } } : {}) },
    source: {
      feed: one.isolator ? 'isolator' : 'unswitched',
      ...(one.mainFuse ? { mainFuse: { kind: 'cubeAtBattery' as const, ratingA: 30 } } : {}),
    },
    panel: {
      light: one.light,
      ...(one.tapFuse ? { tapFuseA: 1 } : {}),
      ...(one.panelFuse ? { fuse: { kind: 'blade' as const, ratingA: 7.5 } } : {}),
    },
  };
  const others = Array.from({ length: one.others }, (_, index) => ({
    id: `other-${index}`,
    name: `Other ${index}`,
    pump: { currentA: 3 },
  }));
  return schemes[one.scheme].plan(circuit, battery, others);
}

const netlist = (plan: Plan): Netlist => netlistOf(plan, () => 0.02);
const settingWith = (position: 'off' | 'manual' | 'auto', float: 'up' | 'down'): Setting => ({
  switches: { switch: position },
  floats: { float },
});

describe('every variant of every scheme', () => {
  it('ends each conductor at a terminal that is there, and no terminal of a switch, fuse or pump is left bare', () => {
    fc.assert(
      fc.property(variant, (one) => {
        const plan = planOf(one);
        const terminals = new Set(
          plan.parts.flatMap(({ part }) => terminalsOf(part).map((terminal) => `${part.id}.${terminal}`)),
        );
        const ends = [...plan.conductors, ...plan.existing].flatMap(({ from, to }) => [from, to]);
        for (const { part, terminal } of ends) expect(terminals).toContain(`${part}.${terminal}`);
        const used = new Set(ends.map(({ part, terminal }) => `${part}.${terminal}`));
        for (const terminal of terminals) expect(used).toContain(terminal);
      }),
      { numRuns: 60 },
    );
  });

  it('names each part and conductor once', () => {
    fc.assert(
      fc.property(variant, (one) => {
        const plan = planOf(one);
        const ids = [...plan.parts.map(({ part }) => part.id), ...plan.conductors.map(({ id }) => id)];
        expect(new Set(ids).size).toBe(ids.length);
        for (const id of Object.values(plan.ids)) expect(ids).toContain(id);
      }),
      { numRuns: 60 },
    );
  });

  it('runs its pump on manual, never on off, and on auto only with the float up', () => {
    fc.assert(
      fc.property(variant, (one) => {
        const plan = planOf(one);
        const pumpV = (position: 'off' | 'manual' | 'auto', float: 'up' | 'down') =>
          solve(netlist(plan), settingWith(position, float)).voltsAcross('pump', 'plus', 'minus');
        expect(pumpV('manual', 'down')).toBeGreaterThan(10);
        expect(Math.abs(pumpV('off', 'up'))).toBeLessThan(1e-6);
        if (one.scheme === 'three-way-float') {
          expect(pumpV('auto', 'up')).toBeGreaterThan(10);
          expect(Math.abs(pumpV('auto', 'down'))).toBeLessThan(1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('brings back on its negatives what leaves the battery, in every setting', () => {
    fc.assert(
      fc.property(variant, (one) => {
        const plan = planOf(one);
        for (const setting of everySetting(netlist(plan)).slice(0, 12)) {
          const point = solve(netlist(plan), setting);
          const out = point.conductorA('feed');
          const back = ['negative', 'light-negative']
            .filter((id) => plan.conductors.some((conductor) => conductor.id === id))
            .reduce((sum, id) => sum + point.conductorA(id), 0);
          const shared = Object.entries(setting.switches).some(
            ([id, at]) => id.startsWith('shared-') && at === 'manual',
          );
          if (shared) expect(out).toBeGreaterThan(back);
          else expect(out).toBeCloseTo(back, 6);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('lights its light whenever the pump has volts, and only then', () => {
    fc.assert(
      fc.property(
        variant.filter(({ light }) => light !== 'none'),
        (one) => {
          const plan = planOf(one);
          for (const setting of everySetting(netlist(plan)).slice(0, 12)) {
            const point = solve(netlist(plan), setting);
            const pumpV = point.voltsAcross('pump', 'plus', 'minus');
            const lampA = Math.abs(point.conductorA('light-tap'));
            if (pumpV > 10) expect(lampA).toBeGreaterThan(0.01);
            else expect(lampA).toBeLessThan(1e-6);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a circuit of which nothing was measured', () => {
  it('can be drawn: its wiring is known without a figure', () => {
    for (const scheme of ['plain-switch', 'three-way-float'] as const) {
      const plan = outlinePlan(newCircuit('main', 'Main', scheme, 'house'), battery);
      expect(plan.parts.map(({ part }) => part.id)).toContain('pump');
    }
  });
});
