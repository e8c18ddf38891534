import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { anyVariant, plainNetlist, planFor, surveyedCircuit } from '../schemes/schemes.fixture';
import { everySetting, type NetConductor, type Netlist } from './netlist';
import { terminalsOf, type Setting } from './parts';
import { solve, type OperatingPoint } from './solve';
import { truthRow } from './truthTable';

/** A netlist of some scheme with any resistances, and one of its settings with its operating point. */
const anySolved = fc
  .tuple(
    anyVariant,
    fc.array(fc.double({ min: 0.001, max: 0.5, noNaN: true }), { minLength: 40, maxLength: 40 }),
    fc.nat(),
  )
  .map(([{ plan }, ohms, which]) => {
    const plain = plainNetlist(plan);
    const netlist: Netlist = {
      ...plain,
      conductors: plain.conductors.map((wire, index) =>
        wire.ohm === 0 ? wire : { ...wire, ohm: ohms[index % 40] ?? 0.1 },
      ),
    };
    const settings = everySetting(netlist);
    const setting = settings[which % settings.length] ?? { switches: {}, floats: {} };
    return { netlist, setting, row: truthRow(netlist, setting) };
  })
  .filter(({ row }) => row.point !== null);

const pointOf = (netlist: Netlist, setting: Setting): OperatingPoint => solve(netlist, setting);

/** The greatest difference of volts between two points at the terminals of a netlist. */
function apart(netlist: Netlist, one: OperatingPoint, other: OperatingPoint, name = (part: string) => part): number {
  return Math.max(
    ...netlist.parts.flatMap((part) =>
      terminalsOf(part).map((terminal) =>
        Math.abs(one.voltsAt({ part: part.id, terminal }) - other.voltsAt({ part: name(part.id), terminal })),
      ),
    ),
  );
}

describe('any circuit at rest', () => {
  it('sends as much into every part as comes out of it', () => {
    fc.assert(
      fc.property(anySolved, ({ netlist, setting }) => {
        const point = pointOf(netlist, setting);
        for (const part of netlist.parts) {
          const sum = terminalsOf(part).reduce(
            (total, terminal) => total + point.terminalA({ part: part.id, terminal }),
            0,
          );
          expect(Math.abs(sum)).toBeLessThan(1e-6);
        }
      }),
      runs(150),
    );
  });

  it('uses as much power as its batteries deliver', () => {
    fc.assert(
      fc.property(anySolved, ({ netlist, setting }) => {
        const point = pointOf(netlist, setting);
        const intoParts = netlist.parts.reduce(
          (total, part) =>
            total +
            terminalsOf(part).reduce(
              (sum, terminal) =>
                sum + point.terminalA({ part: part.id, terminal }) * point.voltsAt({ part: part.id, terminal }),
              0,
            ),
          0,
        );
        const inConductors = netlist.conductors.reduce((sum, { id, ohm }) => sum + point.conductorA(id) ** 2 * ohm, 0);
        // What the batteries deliver stands in the first sum with its sign turned.
        expect(intoParts + inConductors).toBeCloseTo(0, 5);
      }),
      runs(150),
    );
  });

  it('is moved by nothing that is joined nowhere: an open fuse across two points, a float that is down', () => {
    fc.assert(
      fc.property(anySolved, ({ netlist, setting }) => {
        const [one, other] = netlist.conductors;
        if (!one || !other) return;
        const added: Netlist = {
          ...netlist,
          parts: [
            ...netlist.parts,
            { kind: 'fuse', id: 'spare', family: 'blade', ratingA: 5, closed: false },
            { kind: 'float-switch', id: 'second', contactOhm: 0.01 },
          ],
          conductors: [
            ...netlist.conductors,
            { id: 'spare-in', from: one.from, to: { part: 'spare', terminal: 'source' }, ohm: 0.01 },
            { id: 'spare-out', from: { part: 'spare', terminal: 'load' }, to: other.to, ohm: 0.01 },
            { id: 'second-in', from: one.to, to: { part: 'second', terminal: 'a' }, ohm: 0.01 },
            { id: 'second-out', from: { part: 'second', terminal: 'b' }, to: netlist.ground, ohm: 0.01 },
          ],
        };
        expect(apart(netlist, pointOf(netlist, setting), pointOf(added, setting))).toBeLessThan(1e-6);
      }),
      runs(100),
    );
  });

  it('does not care what its parts are called or in what order they are listed', () => {
    fc.assert(
      fc.property(anySolved, ({ netlist, setting }) => {
        const name = (id: string) => `x-${id}`;
        const renamed = (wire: NetConductor): NetConductor => ({
          ...wire,
          id: name(wire.id),
          from: { ...wire.from, part: name(wire.from.part) },
          to: { ...wire.to, part: name(wire.to.part) },
        });
        const keyed = <T>(record: Readonly<Record<string, T>>) =>
          Object.fromEntries(Object.entries(record).map(([id, value]) => [name(id), value]));
        const turned: Netlist = {
          ground: { ...netlist.ground, part: name(netlist.ground.part) },
          parts: netlist.parts.map((part) => ({ ...part, id: name(part.id) })).reverse(),
          conductors: netlist.conductors.map(renamed).reverse(),
        };
        const other = pointOf(turned, { switches: keyed(setting.switches), floats: keyed(setting.floats) });
        expect(apart(netlist, pointOf(netlist, setting), other, name)).toBeLessThan(1e-6);
      }),
      runs(100),
    );
  });
});

/** The netlist with two terminals of a part changing places. */
function swapped(netlist: Netlist, part: string, one: string, other: string): Netlist {
  const move = (end: NetConductor['from']) =>
    end.part !== part
      ? end
      : end.terminal === one
        ? { ...end, terminal: other }
        : end.terminal === other
          ? { ...end, terminal: one }
          : end;
  return {
    ...netlist,
    conductors: netlist.conductors.map((wire) => ({ ...wire, from: move(wire.from), to: move(wire.to) })),
  };
}

describe('a float whose two leads change places', () => {
  const up: Setting = { switches: { switch: 'auto' }, floats: { float: 'up' } };

  it('works the same when it is a mechanical one', () => {
    const netlist = plainNetlist(planFor(surveyedCircuit('three-way-float', { panel: { light: 'led' } })));
    const turned = swapped(netlist, 'float', 'a', 'b');
    for (const setting of everySetting(netlist)) {
      const [one, other] = [pointOf(netlist, setting), pointOf(turned, setting)];
      expect(other.voltsAcross('pump', 'plus', 'minus')).toBeCloseTo(one.voltsAcross('pump', 'plus', 'minus'), 9);
      expect(other.partA('battery')).toBeCloseTo(one.partA('battery'), 9);
    }
  });

  it('is dead when it is an electronic one with supply and negative swapped', () => {
    const netlist = plainNetlist(planFor(surveyedCircuit('probe-sensor')));
    expect(pointOf(netlist, up).wordOf('pump')).toBe('running');
    const reversed = pointOf(swapped(netlist, 'float', 'plus', 'minus'), up);
    expect(reversed.wordOf('pump')).toBe('standing');
    expect(reversed.wordOf('float')).toBe('no supply');
  });

  it('is fed backwards when supply and output are swapped: no supply on auto, and manual feeds it', () => {
    const netlist = swapped(plainNetlist(planFor(surveyedCircuit('probe-sensor'))), 'float', 'plus', 'out');
    expect(pointOf(netlist, up).wordOf('pump')).toBe('standing');
    expect(pointOf(netlist, { ...up, switches: { switch: 'manual' } }).wordOf('float')).toBe('wet');
  });
});
