import fc from 'fast-check';
import { anyVariant, plainNetlist } from '../schemes/schemes.fixture';
import { CircuitError } from './circuitError';
import { everySetting, type NetConductor, type Netlist, type TerminalRef } from './netlist';
import { terminalsOf, type Setting } from './parts';
import { solve } from './solve';

/** Any rewiring: ends moved anywhere, conductors taken out, short ones put in between any two terminals. */
const anyRewired = fc
  .record({
    variant: anyVariant,
    moves: fc.array(fc.tuple(fc.nat(), fc.boolean(), fc.nat()), { maxLength: 6 }),
    removed: fc.array(fc.nat(), { maxLength: 3 }),
    added: fc.array(fc.tuple(fc.nat(), fc.nat(), fc.constantFrom(0, 1e-4, 0.02, 5)), { maxLength: 4 }),
    idealBattery: fc.boolean(),
    setting: fc.nat(),
  })
  .map(({ variant, moves, removed, added, idealBattery, setting }) => {
    const plain = plainNetlist(variant.plan);
    const terminals: TerminalRef[] = plain.parts.flatMap((part) =>
      terminalsOf(part).map((terminal) => ({ part: part.id, terminal })),
    );
    const anyTerminal = (index: number) => terminals[index % terminals.length] ?? plain.ground;
    const wires = [...plain.conductors];
    for (const [which, first, to] of moves) {
      const wire = wires[which % wires.length];
      if (wire) wires[which % wires.length] = { ...wire, [first ? 'from' : 'to']: anyTerminal(to) };
    }
    const kept = wires.filter((_wire, index) => !removed.some((which) => which % wires.length === index));
    const put = added.map(([from, to, ohm], index): NetConductor => ({
      id: `put-${index}`,
      from: anyTerminal(from),
      to: anyTerminal(to),
      ohm,
    }));
    const netlist: Netlist = {
      ...plain,
      parts: plain.parts.map((part) => (part.kind === 'battery' && idealBattery ? { ...part, internalOhm: 0 } : part)),
      conductors: [...kept, ...put],
    };
    const settings = everySetting(netlist);
    return { netlist, setting: settings[setting % settings.length] ?? { switches: {}, floats: {} } };
  });

/** What became of a circuit: an answer in which all balances, a refusal that names a part, or what is wrong with it. */
function outcomeOf(netlist: Netlist, setting: Setting): string {
  try {
    const point = solve(netlist, setting);
    if (point.iterations > 3000) return `${point.iterations} steps`;
    const most = netlist.conductors.reduce((amps, { id }) => Math.max(amps, Math.abs(point.conductorA(id))), 1);
    for (const part of netlist.parts) {
      let sum = 0;
      for (const terminal of terminalsOf(part)) {
        const at = { part: part.id, terminal };
        if (!Number.isFinite(point.voltsAt(at))) return `${part.id}.${terminal} has no volts`;
        sum += point.terminalA(at);
      }
      if (!(Math.abs(sum) / most < 1e-6)) return `${part.id} loses ${sum} A`;
    }
    return 'answered';
  } catch (error) {
    if (!(error instanceof CircuitError)) throw error;
    const named = netlist.parts.some(({ id }) => id === error.about);
    return named && ['singular', 'chatter'].includes(error.code)
      ? 'refused by name'
      : `${error.code}: ${error.message}`;
  }
}

describe('10,000 circuits wired at random', () => {
  it('have an answer in which currents balance, or say by name why they have none, in bounded steps', () => {
    let answered = 0;
    let refused = 0;
    fc.assert(
      fc.property(anyRewired, ({ netlist, setting }) => {
        const outcome = outcomeOf(netlist, setting);
        if (outcome === 'answered') answered += 1;
        else if (outcome === 'refused by name') refused += 1;
        else throw new Error(outcome);
      }),
      { numRuns: 10_000, seed: 4 },
    );
    expect(answered + refused).toBe(10_000);
    expect(answered).toBeGreaterThan(8000);
  }, 120_000);
});
