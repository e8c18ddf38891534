import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { anyVariant, plainNetlist, planFor, surveyedCircuit } from '../schemes/schemes.fixture';
import { onBench, fittingSetting, restingBench } from './bench';
import { CircuitError } from './circuitError';
import { everySetting } from './netlist';
import { settingOf, solveReport, withSet } from './report';
import { solve } from './solve';
import { truthRow } from './truthTable';

const netlistOfScheme = (scheme: string) => plainNetlist(planFor(surveyedCircuit(scheme)));

describe('a setting asked for in words', () => {
  const threeWay = netlistOfScheme('three-way-float');
  const floats = (id: string, position: string) => [{ id, position }];

  it('is the switch’s position and the floats by name, or all of them', () => {
    expect(settingOf(threeWay, { position: 'auto', floats: floats('float', 'up') })).toEqual({
      switches: { switch: 'auto' },
      floats: { float: 'up' },
    });
    expect(settingOf(threeWay, { position: 'manual', floats: floats('all', 'up') }).floats).toEqual({ float: 'up' });
    // Later words count.
    const both = [...floats('all', 'up'), ...floats('float', 'down')];
    expect(settingOf(threeWay, { position: 'off', floats: both }).floats).toEqual({ float: 'down' });
  });

  it('takes auto for off where auto is always live, and nothing but off where there is no switch', () => {
    expect(settingOf(netlistOfScheme('hot-auto'), { position: 'auto', floats: [] }).switches).toEqual({
      switch: 'off',
    });
    const switchless = { ...threeWay, parts: threeWay.parts.filter(({ id }) => id !== 'switch') };
    expect(settingOf(switchless, { position: 'off', floats: [] }).switches).toEqual({});
  });

  it.each([
    ['a position that the switch has not', 'sideways', [], 'no-such-position', /It has: off, manual, auto/],
    ['a float that is not there', 'auto', floats('other', 'up'), 'no-such-part', /Floats: float, or all/],
    ['a float that is neither', 'auto', floats('float', 'wet'), 'no-such-position', /up or down, not “wet”/],
  ])('of %s is refused, with what there is', (_what, position, asked, code, words) => {
    const refused = (() => {
      try {
        return settingOf(threeWay, { position, floats: asked });
      } catch (error) {
        return error;
      }
    })();
    expect(refused).toBeInstanceOf(CircuitError);
    expect(refused).toMatchObject({ code, message: expect.stringMatching(words) });
  });

  it('moves a neighbour’s switch and an alarm’s mute under the names a hand gives them', () => {
    const parts = [
      ...threeWay.parts,
      { kind: 'alarm', id: 'alarm' } as const,
      { kind: 'shared-load', id: 'other', motor: { labelA: 4, labelV: 12, windingOhm: 0.5 } } as const,
    ];
    const set = (id: string, position: string) =>
      settingOf({ ...threeWay, parts }, { position: 'auto', floats: [], set: [{ id, position }] }).switches;
    expect(set('alarm', 'muted')).toEqual({ switch: 'auto', alarm: 'manual' });
    expect(set('alarm', 'sounding')).toEqual({ switch: 'auto', alarm: 'off' });
    expect(set('other', 'on')).toEqual({ switch: 'auto', other: 'manual' });
    expect(set('other', 'off')).toEqual({ switch: 'auto', other: 'off' });
    expect(() => set('alarm', 'loud')).toThrow(/It has: off, manual, muted, sounding/);
    expect(() => set('pump', 'on')).toThrow(/There are: .*switch.*other/);
  });

  it('opens the fuse or isolator asked for, and leaves every other as it was', () => {
    const fuses = threeWay.parts.filter(({ kind }) => kind === 'fuse');
    const states = (set: { id: string; position: string }[]) =>
      withSet(threeWay, set).parts.flatMap((part) => (part.kind === 'fuse' ? [part.closed] : []));
    expect(fuses.length).toBeGreaterThan(0);
    expect(states([{ id: 'fuse', position: 'out' }])).toContain(false);
    expect(states([{ id: 'fuse', position: 'in' }])).not.toContain(false);
    expect(withSet(threeWay, [{ id: 'switch', position: 'auto' }])).toEqual(threeWay);
    expect(() => withSet(threeWay, [{ id: 'fuse', position: 'half' }])).toThrow(/in or out/);
  });

  it('of a float where there is none says so', () => {
    expect(() =>
      settingOf(netlistOfScheme('plain-switch'), { position: 'off', floats: floats('float', 'up') }),
    ).toThrow(/This circuit has none/);
  });
});

test('a report is plain data that holds what can be read off the operating point', () => {
  fc.assert(
    fc.property(anyVariant, fc.nat(), ({ plan }, which) => {
      const netlist = plainNetlist(plan);
      const settings = everySetting(netlist);
      const setting = settings[which % settings.length] ?? { switches: {}, floats: {} };
      if (!truthRow(netlist, setting).point) return;
      const point = solve(netlist, setting);
      const report = solveReport(netlist, setting);
      // Nothing in it is lost as JSON: no NaN, no infinity, no function.
      expect(JSON.stringify(report)).not.toMatch(/null/);
      for (const { id, from, to } of netlist.conductors) {
        expect(report.currents[id]).toBe(point.conductorA(id));
        for (const end of [from, to]) {
          const name = report.terminals[`${end.part}.${end.terminal}`] ?? 'nowhere';
          expect(name === '0' ? 0 : report.nodes[name]).toBeCloseTo(point.voltsAt(end), 12);
        }
      }
      for (const part of netlist.parts) {
        // What comes into a joint goes out of it.
        if (part.kind !== 'joint') continue;
        const out = part.ways.reduce(
          (sum, way) => sum - Math.min(0, point.terminalA({ part: part.id, terminal: way })),
          0,
        );
        expect(report.currents[part.id]).toBeCloseTo(out, 9);
      }
      for (const { id } of netlist.parts) expect(report.states[id]).toBe(point.wordOf(id));
      // Terminals of one node have one name.
      const byNode = new Map<number, string>();
      for (const [terminal, name] of Object.entries(report.terminals)) {
        const [part = '', end = ''] = terminal.split('.');
        const node = point.nodeOf({ part, terminal: end });
        if (node >= 0) expect(byNode.get(node) ?? name).toBe(name);
        byNode.set(node, name);
      }
    }),
    runs(60),
  );
});

describe('a circuit on the bench', () => {
  const netlist = netlistOfScheme('three-way-float');
  const manual = { switches: { switch: 'manual' }, floats: {} } as const;

  it('is as planned until something is pulled or broken', () => {
    expect(solve(onBench(netlist, restingBench), manual).partA('pump')).toBeCloseTo(
      solve(netlist, manual).partA('pump'),
      12,
    );
  });

  it('carries nothing with its fuse pulled, and as before with it back', () => {
    const pulled = onBench(netlist, { ...restingBench, open: ['fuse'] });
    expect(solve(pulled, manual).partA('pump')).toBeCloseTo(0, 9);
    expect(solve(onBench(netlist, { ...restingBench, open: [] }), manual).partA('pump')).toBeGreaterThan(3);
  });

  it('shows a planted fault, and leaves out one whose place is gone', () => {
    const broken = (at: string) => onBench(netlist, { ...restingBench, faults: [{ code: 'open', at }] });
    expect(solve(broken('manual'), manual).partA('pump')).toBeCloseTo(0, 9);
    expect(solve(broken('auto'), manual).partA('pump')).toBeGreaterThan(3);
    expect(broken('taken-away').conductors).toHaveLength(netlist.conductors.length);
  });

  it('after another scheme was chosen stands in positions that its switches have', () => {
    const asked = { switches: { switch: 'auto', other: 'manual' }, floats: { float: 'up' } } as const;
    expect(fittingSetting(netlist, asked)).toEqual({ switches: { switch: 'auto' }, floats: { float: 'up' } });
    expect(fittingSetting(netlistOfScheme('plain-switch'), asked).switches).toEqual({ switch: 'off' });
  });
});
