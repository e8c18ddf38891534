import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { idealCurrents } from './idealCurrents';
import { link, resistance, source, type Element } from './element';
import { numberNodes } from './nodes';
import { settle } from './operatingPoint';
import { Topologies } from './topology';

/** Currents of the ideal elements, by place. */
function currentsOf(elements: readonly Element[], count: number): Float64Array {
  const nodes = numberNodes(elements, count, 0, new Topologies());
  return idealCurrents(nodes, settle(nodes).volts, count);
}

test('leads without resistance carry what passes through them, from their first to their second end', () => {
  // 12 V at terminal 1; lead 1–2, lead 3–2 laid the other way round, 6 Ω from 3 to node 0.
  const [battery, one, other] = currentsOf([source(1, 0, 12, 0), link(1, 2), link(3, 2), resistance(3, 0, 6)], 4);
  expect(battery).toBeCloseTo(-2, 9);
  expect(one).toBeCloseTo(2, 9);
  expect(other).toBeCloseTo(-2, 9);
});

test('a lead that leads nowhere, or back to its own end, carries nothing', () => {
  const [, dead, turned] = currentsOf([source(1, 0, 12, 0), link(1, 2), link(1, 1), resistance(1, 0, 6)], 3);
  expect([dead, turned]).toEqual([0, 0]);
});

test('three leads side by side share alike, and a detour of two takes half as much as each', () => {
  const side = [source(1, 0, 12, 0), link(1, 2), link(1, 2), link(2, 1), resistance(2, 0, 4)];
  expect([...currentsOf(side, 3)].slice(1, 4).map((amps) => amps.toFixed(6))).toEqual([
    '1.000000',
    '1.000000',
    '-1.000000',
  ]);
  // Straight 1–2 twice, and 1–3–2: as conductances 1, 1 and ½, so 3 A part as 1.2, 1.2 and 0.6.
  const detour = [source(1, 0, 12, 0), link(1, 2), link(1, 2), link(1, 3), link(3, 2), resistance(2, 0, 4)];
  expect([...currentsOf(detour, 4)].slice(1, 5).map((amps) => amps.toFixed(6))).toEqual([
    '1.200000',
    '1.200000',
    '0.600000',
    '0.600000',
  ]);
});

/** Leads and resistances between any of eight terminals, all joined to a battery of 12 V. */
const anyNetwork = fc.array(
  fc.record({
    a: fc.integer({ min: 0, max: 7 }),
    b: fc.integer({ min: 0, max: 7 }),
    ohm: fc.oneof(fc.constant(0), fc.double({ min: 0.01, max: 100, noNaN: true })),
  }),
  { minLength: 1, maxLength: 20 },
);

test('what flows into a terminal flows out of it, however leads and resistances are laid', () => {
  fc.assert(
    fc.property(anyNetwork, (laid) => {
      const elements = [
        source(1, 0, 12, 0.01),
        ...Array.from({ length: 7 }, (_, terminal) => resistance(terminal + 1, 0, 50)),
        ...laid.map(({ a, b, ohm }) => resistance(a, b, ohm)),
      ];
      const nodes = numberNodes(elements, 8, 0, new Topologies());
      const { volts } = settle(nodes);
      const ideal = idealCurrents(nodes, volts, 8);
      const at = (terminal: number) => volts[nodes.topology.rows[terminal] ?? -1] ?? 0;
      const sums = new Float64Array(8);
      elements.forEach(({ kind, a, b, ohm, emfV }, place) => {
        const amps = kind === 'link' ? (ideal[place] ?? 0) : (at(a) - at(b) - emfV) / ohm;
        sums[a] = (sums[a] ?? 0) - amps;
        sums[b] = (sums[b] ?? 0) + amps;
      });
      sums.forEach((sum) => expect(Math.abs(sum)).toBeLessThan(1e-6));
    }),
    runs(400),
  );
});
