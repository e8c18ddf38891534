import {
  behaviourOf,
  codesOf,
  deviceOf,
  factsOf,
  find,
  ideasOf,
  plainCircuit,
  protectionOf,
  rowOf,
  soundRows,
  supplyOf,
} from './facts.fixture';
import { contactRules, dropRules, faultRules, relayRules, runRules, sneakRules } from './said.fixture';

// Where a rule concerns several things: which of them it names, with whose figure, and what it leaves out.

describe('several supplies', () => {
  it('are judged at 12 V, whichever stands first, and where 12 V was never solved not at all', () => {
    const low = supplyOf(12, 8);
    const rated = (supplies: readonly ReturnType<typeof supplyOf>[]) =>
      codesOf(dropRules(factsOf({ supplies, asMeasured: supplyOf(12.7) })));
    expect(rated([supplyOf(12.8), low])).not.toEqual([]);
    expect(rated([supplyOf(12.8, 8)])).toEqual([]);
  });
});

describe('several devices that a start reaches', () => {
  const starts =
    (...devices: ReturnType<typeof deviceOf>[]) =>
    (more: Parameters<typeof factsOf>[0] = {}) =>
      find(faultRules(factsOf({ protection: protectionOf({ devices }), ...more })), 'inrush-reaches-fuse');
  const reached = (id: string, inrushA: number) =>
    deviceOf(id, { inrushA, inrushOpening: { kind: 'opens', seconds: 0.02 } });

  it('are told with the highest inrush among them', () => {
    expect(starts(reached('fuse', 60), reached('panel-fuse', 40))()?.message).toContain('draws 60');
  });

  it('are answered by a slower own device where that is one of them, and at the panel where that one can be slower', () => {
    const panel = (kind: 'blade' | 'thermalBreaker') => ({
      circuit: plainCircuit({ panel: { fuse: { kind, ratingA: 7.5 } } }),
    });
    const both = starts(reached('fuse', 60), reached('panel-fuse', 40));
    expect(ideasOf(both(panel('blade')))).toEqual([
      'Use an 8 A thermal breaker',
      'Use an 8 A thermal breaker at the panel',
    ]);
    expect(ideasOf(both(panel('thermalBreaker')))).toEqual(['Use an 8 A thermal breaker']);
    expect(ideasOf(starts(deviceOf('fuse'), reached('panel-fuse', 40))(panel('blade')))).toEqual([
      'Use an 8 A thermal breaker at the panel',
    ]);
    const shared = { leaderId: 'a', leaderName: 'A', rating: null, sizes: {} };
    expect(ideasOf(both({ ...panel('blade'), sharedFeed: shared }))).toEqual([
      'Use an 8 A thermal breaker at the panel',
    ]);
    const huge = { circuit: plainCircuit({ panel: { fuse: { kind: 'blade', ratingA: 51 } } }) } as const;
    expect(ideasOf(starts(reached('panel-fuse', 40))(huge))).toEqual([]);
  });
});

describe('a winding that may turn the verdict', () => {
  it('says whether it was measured', () => {
    const windingTurn = { fromOhm: 0.6, opening: { kind: 'opens', seconds: 20 }, highestOhm: 0.78 } as const;
    const told = (windingOhm?: number) =>
      find(
        faultRules(
          factsOf({
            circuit: plainCircuit({ pump: { currentA: 5, ...(windingOhm === undefined ? {} : { windingOhm }) } }),
            protection: protectionOf({ windingTurn }),
          }),
        ),
        'locked-rotor-winding',
      )?.message;
    expect(told()).toContain('the winding taken by default');
    expect(told(0.5)).toContain('the winding measured');
  });
});

describe('several contacts', () => {
  it('whose rating nobody read are told with the most that one carries', () => {
    const contact = (part: string, amps: number, ratingA: number | null = null) =>
      ({ part, name: part, what: 'switch', ratingA, amps }) as const;
    const told = contactRules(
      factsOf({ contacts: [contact('Switch', 12), contact('Float', 10), contact('Relay', 30, 40)] }),
    );
    expect(told[0]?.message).toContain('Switch and float: the contacts carry 12');
    expect(told[0]?.at).toEqual(['Switch', 'Float']);
  });
});

describe('several settings', () => {
  const doing = (...said: Parameters<typeof rowOf>[0][]) => {
    const other = said.map(rowOf);
    const same = (one: (typeof soundRows)[number]) => JSON.stringify(one.setting);
    return [...soundRows.filter((row) => !other.some((changed) => same(changed) === same(row))), ...other];
  };
  const circuit = plainCircuit();
  const factsWith = (rows: ReturnType<typeof doing>, more: Parameters<typeof factsOf>[0] = {}) =>
    factsOf({ circuit, behaviour: behaviourOf(circuit, { rows }), ...more });

  it('in which it runs when off are one finding, with the first', () => {
    const off = doing(
      { switch: 'off', float: 'down', volts: { pump: 12 } },
      { switch: 'off', float: 'up', volts: { pump: 12 } },
    );
    expect(codesOf(runRules(factsWith(off)))).toEqual(['runs-when-off']);
  });

  it('in which it never stops are one finding', () => {
    const twoFloats = {
      ...factsWith([]),
      behaviour: behaviourOf(circuit, {
        rows: [
          ...soundRows,
          rowOf({ switch: 'auto', float: 'down', volts: { pump: 12 }, others: {} }),
          rowOf({ switch: 'auto', float: 'down', volts: { pump: 11 }, others: {} }),
        ],
      }),
    };
    expect(codesOf(runRules(twoFloats))).toEqual(['never-stops']);
  });

  it('in which another circuit is off count as its own, those in which it is at work do not', () => {
    const beside = (position: 'off' | 'manual') => [
      ...soundRows,
      rowOf({ switch: 'off', float: 'down', volts: { pump: 12 }, others: { neighbour: position } }),
    ];
    expect(codesOf(runRules(factsWith(beside('off'))))).toEqual(['runs-when-off']);
    expect(codesOf(runRules(factsWith(beside('manual'))))).toEqual([]);
  });

  it('need one in which a raised float starts it, not any', () => {
    // It runs with the float down only: water still starts nothing.
    const upside = doing(
      { switch: 'auto', float: 'down', volts: { pump: 12 } },
      { switch: 'auto', float: 'up', volts: { pump: 0 } },
    );
    expect(codesOf(runRules(factsWith(upside)))).toEqual(['auto-lead-dead', 'never-stops']);
  });

  it('of a relay fail where one of them does not pull in', () => {
    const relay = plainCircuit({ scheme: 'relay' });
    const lowRows = [
      rowOf({ switch: 'manual', float: 'down', volts: { relay: 7 }, latched: ['relay'] }),
      rowOf({ switch: 'auto', float: 'up', volts: { relay: 7 }, latched: [] }),
    ];
    const told = relayRules(
      factsOf({ circuit: relay, options: ['pump', 'relay'], behaviour: behaviourOf(relay, { lowRows }) }),
    );
    expect(find(told, 'relay-does-not-pull-in')?.severity).toBe('stop');
  });

  it('reverse a sensor where one of them does', () => {
    const probe = plainCircuit({ scheme: 'probe-sensor' });
    const rows = [...doing(), rowOf({ switch: 'auto', float: 'up', volts: { pump: 12, float: -12 } })];
    expect(codesOf(runRules(factsOf({ circuit: probe, behaviour: behaviourOf(probe, { rows }) })))).toContain(
      'sensor-reversed',
    );
  });

  it('in which this pump is started by itself say nothing of another circuit feeding it', () => {
    const alarmed = plainCircuit({ scheme: 'backup-alarm', alarm: { alsoFrom: 'primary' } });
    const plan = behaviourOf(alarmed).wired;
    const neighbour = {
      part: { kind: 'neighbour', id: 'primary', motor: { labelA: 4, labelV: 12, windingOhm: 0.6 }, feedOhm: 0.05 },
      name: 'Primary',
      band: 'panel',
      role: 'auto',
    } as const;
    const fed = (said: Parameters<typeof rowOf>[0], automatic = true) =>
      sneakRules(
        factsOf({
          circuit: alarmed,
          automatic,
          behaviour: behaviourOf(alarmed, {
            wired: { ...plan, parts: [...plan.parts, neighbour] },
            rows: [rowOf(said)],
          }),
        }),
      );
    const manual = { primary: 'manual' } as const;
    expect(codesOf(fed({ switch: 'manual', float: 'down', others: manual, volts: { pump: 12 } }))).toEqual([]);
    expect(codesOf(fed({ switch: 'off', float: 'up', others: manual, volts: { pump: 12 } }))).toEqual([]);
    expect(codesOf(fed({ switch: 'off', float: 'up', others: manual, volts: { pump: 12 } }, false))).toEqual([
      'back-feed-between-circuits',
    ]);
    const down = fed({ switch: 'off', float: 'down', others: manual, volts: { pump: 12 } });
    expect(down).toMatchObject([{ code: 'back-feed-between-circuits', severity: 'stop' }]);
    expect(down[0]?.message).toContain('this pump gets 12.00');
    // Theirs, while their own switch is off.
    const theirs = fed({
      switch: 'manual',
      float: 'down',
      others: { primary: 'off' },
      volts: { pump: 12, primary: 12 },
    });
    expect(theirs[0]?.message).toContain('“Primary” gets 12.00');
    // While their own switch is on, their volts are theirs.
    expect(codesOf(fed({ switch: 'manual', float: 'down', others: manual, volts: { pump: 12, primary: 12 } }))).toEqual(
      [],
    );
  });
});
