import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { anyVariant, plainNetlist } from '../schemes/schemes.fixture';
import { everySetting, mapParts, type Netlist } from './netlist';
import { terminalsOf } from './parts';
import { solve, type OperatingPoint } from './solve';
import { SolverMemory } from './solverMemory';
import { truthRow } from './truthTable';
import { withOhms } from './withOhms';

/** Remembers whatever was solved before, in every test. */
const memory = new SolverMemory();

/** A copy that shares nothing with what was solved before. */
const afresh = (netlist: Netlist): Netlist => ({
  ...netlist,
  conductors: netlist.conductors.map(({ id, from, to, ohm }) => ({ id, from: { ...from }, to: { ...to }, ohm })),
});

test('a netlist given other resistances is solved as one made with them, after any other was solved', () => {
  fc.assert(
    fc.property(
      anyVariant,
      fc.array(fc.double({ min: 0.001, max: 0.5, noNaN: true }), { minLength: 40, maxLength: 40 }),
      fc.nat(),
      ({ plan }, ohms, which) => {
        const netlist = plainNetlist(plan);
        const settings = everySetting(netlist);
        const setting = settings[which % settings.length] ?? { switches: {}, floats: {} };
        const given = new Map(netlist.conductors.map(({ id }, index) => [id, ohms[index % 40] ?? 0.1]));
        truthRow(netlist, setting, memory);
        const changed = withOhms(netlist, given, memory);
        const [one, other] = [truthRow(changed, setting, memory), truthRow(afresh(changed), setting)];
        expect(one.trouble?.message).toBe(other.trouble?.message);
        const { point: kept } = one;
        const { point: anew } = other;
        if (!kept || !anew) return;
        for (const { id } of changed.conductors) expect(kept.conductorA(id)).toBeCloseTo(anew.conductorA(id), 9);
        for (const part of changed.parts) {
          for (const terminal of terminalsOf(part)) {
            const at = { part: part.id, terminal };
            expect(kept.voltsAt(at)).toBeCloseTo(anew.voltsAt(at), 9);
            expect(kept.terminalA(at)).toBeCloseTo(anew.terminalA(at), 9);
          }
        }
      },
    ),
    runs(80),
  );
});

/** Everything that can be read off a point. */
function readings({ parts, conductors }: Netlist, point: OperatingPoint) {
  return {
    volts: parts.flatMap((part) => terminalsOf(part).map((terminal) => point.voltsAt({ part: part.id, terminal }))),
    amps: [...conductors.map(({ id }) => point.conductorA(id)), ...parts.map(({ id }) => point.partA(id))],
    words: parts.map(({ id }) => point.wordOf(id)),
  };
}

test('an answer stays what it was while its circuit is solved at other volts, in other settings and with other parts', () => {
  fc.assert(
    fc.property(anyVariant, fc.nat(), fc.double({ min: 9, max: 15, noNaN: true }), ({ plan }, which, emfV) => {
      const netlist = plainNetlist(plan);
      const settings = everySetting(netlist);
      const setting = settings[which % settings.length] ?? { switches: {}, floats: {} };
      const { point } = truthRow(netlist, setting, memory);
      if (!point) return;
      const first = readings(netlist, point);
      const others = [
        mapParts(netlist, (part) => (part.kind === 'battery' ? { ...part, emfV } : part)),
        mapParts(netlist, (part) => (part.kind === 'pump' ? { ...part, condition: 'locked' } : part)),
        mapParts(netlist, (part) => (part.kind === 'fuse' ? { ...part, closed: false } : part)),
      ];
      for (const other of others) for (const one of settings) truthRow(other, one, memory);
      expect(readings(netlist, point)).toEqual(first);
      // And solved once more it is the same, whatever was kept in between.
      const again = truthRow(netlist, setting, memory).point;
      expect(again && readings(netlist, again)).toEqual(first);
    }),
    runs(60),
  );
});

test('a part changed under its own name is solved as it now is', () => {
  const netlist = (ohm: number): Netlist => ({
    ground: { part: 'battery', terminal: 'minus' },
    parts: [
      { kind: 'battery', id: 'battery', emfV: 12, internalOhm: 1 },
      { kind: 'joint', id: 'joint', ways: ['a', 'b'], ohm },
    ],
    conductors: wires,
  });
  const at = (part: string, terminal: string) => ({ part, terminal });
  const wires = [
    { id: 'there', from: at('battery', 'plus'), to: at('joint', 'a'), ohm: 0 },
    { id: 'back', from: at('joint', 'b'), to: at('battery', 'minus'), ohm: 1 },
  ];
  // 12 V over 1 Ω, 1 Ω and the joint: 4 A, 3 A, and 4 A again.
  const amps = [1, 2, 1].map((ohm) => solve(netlist(ohm), { switches: {}, floats: {} }, memory).conductorA('there'));
  expect(amps.map((value) => value.toFixed(9))).toEqual(['4.000000000', '3.000000000', '4.000000000']);
});

test('a resistance that is not given stays, and none becomes an ideal joint', () => {
  const netlist: Netlist = {
    ground: { part: 'battery', terminal: 'minus' },
    parts: [
      { kind: 'battery', id: 'battery', emfV: 12, internalOhm: 0 },
      { kind: 'lamp', id: 'lamp', lamp: 'filament', shows: 'running' },
    ],
    conductors: [
      {
        id: 'there',
        from: { part: 'battery', terminal: 'plus' },
        to: { part: 'lamp', terminal: 'plus' },
        ohm: 1,
      },
      {
        id: 'back',
        from: { part: 'lamp', terminal: 'minus' },
        to: { part: 'battery', terminal: 'minus' },
        ohm: 2,
      },
    ],
  };
  const changed = withOhms(netlist, new Map([['there', 0]]));
  expect(changed.conductors.map(({ ohm }) => ohm)).toEqual([0, 2]);
  const amps = solve(changed, { switches: {}, floats: {} }).conductorA('there');
  const before = solve(netlist, { switches: {}, floats: {} }).conductorA('there');
  // The lamp is a resistance R: 12 ÷ (R + 2) now and 12 ÷ (R + 3) before.
  expect(12 / before - 12 / amps).toBeCloseTo(1, 6);
});
