import fc from 'fast-check';
import { anyVariant, plainNetlist } from '../schemes/schemes.fixture';
import { everySetting, type Netlist } from './netlist';
import { terminalsOf } from './parts';
import { solve } from './solve';
import { withOhms } from './terminals';
import { truthRow } from './truthTable';

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
        const changed = withOhms(netlist, given);
        truthRow(netlist, setting);
        const [one, other] = [truthRow(changed, setting), truthRow(afresh(changed), setting)];
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
    { numRuns: 80 },
  );
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
