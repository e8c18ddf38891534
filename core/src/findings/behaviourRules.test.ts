import {
  alarmOf,
  behaviourOf,
  codesOf,
  conductorOf,
  factsOf,
  find,
  ideasOf,
  plainCircuit,
  planOfCircuit,
  rowOf,
  soundRows,
  type Said,
} from './facts.fixture';
import { waterOf } from './water.fixture';
import type { Doing } from '../circuit';
import { pumpVolts } from './rows';
import { relayRules, runRules, sneakRules, wiredAsOf, wiredAsOfAlarm, wiringRules } from './said.fixture';

/** The base circuit with some settings doing otherwise. */
function doing(...said: readonly Said[]) {
  const circuit = plainCircuit({ rewired: { removed: ['x'] } });
  const other = said.map(rowOf);
  const same = (one: (typeof soundRows)[number]) => JSON.stringify(one.setting);
  const rows = [...soundRows.filter((row) => !other.some((changed) => same(changed) === same(row))), ...other];
  return factsOf({ circuit, behaviour: behaviourOf(circuit, { rows }) });
}

describe('a pump in every setting', () => {
  it('as it should be has no finding', () => {
    expect(codesOf(runRules(factsOf()))).toEqual([]);
  });

  it('runs from a fifth of its label volts', () => {
    const off = (volts: number) => codesOf(runRules(doing({ switch: 'off', float: 'down', volts: { pump: volts } })));
    expect(off(2.39)).toEqual([]);
    expect(off(2.4)).toEqual(['runs-when-off']);
  });

  it('dead on manual, or only with the float up, is a stop that says which', () => {
    const dead = doing({ switch: 'manual', float: 'down' }, { switch: 'manual', float: 'up' });
    expect(find(runRules(dead), 'manual-dead')?.severity).toBe('stop');
    const floatInPath = doing({ switch: 'manual', float: 'down' });
    expect(codesOf(runRules(floatInPath))).toEqual(['float-in-manual-path']);
  });

  it('that no water starts has a dead auto lead; a pump without a float has none', () => {
    expect(codesOf(runRules(doing({ switch: 'auto', float: 'up' })))).toEqual(['auto-lead-dead']);
    const byHand = { ...doing({ switch: 'auto', float: 'up' }), automatic: false };
    expect(codesOf(runRules(byHand))).toEqual([]);
  });

  it('that runs with the float down never stops', () => {
    expect(codesOf(runRules(doing({ switch: 'auto', float: 'down', volts: { pump: 12 } })))).toEqual(['never-stops']);
  });

  it('always live is judged with its switch off', () => {
    const rows = [
      rowOf({ switch: 'off', float: 'down' }),
      rowOf({ switch: 'off', float: 'up', volts: { pump: 12 } }),
      rowOf({ switch: 'manual', float: 'down', volts: { pump: 12 } }),
      rowOf({ switch: 'manual', float: 'up', volts: { pump: 12 } }),
    ];
    const circuit = plainCircuit();
    const facts = factsOf({ options: ['pump', 'leg-fuses'], behaviour: behaviourOf(circuit, { rows }) });
    expect(codesOf(runRules(facts))).toEqual([]);
    const stuck = [...rows.slice(1), rowOf({ switch: 'off', float: 'down', volts: { pump: 12 } })];
    expect(codesOf(runRules({ ...facts, behaviour: behaviourOf(circuit, { rows: stuck }) }))).toEqual(['never-stops']);
  });

  it('the wrong way round is told with its volts', () => {
    const reversed = find(runRules(doing({ switch: 'manual', float: 'up', volts: { pump: -12 } })), 'pump-reversed');
    expect(reversed?.message).toContain('-12.00\u00a0V');
    expect(ideasOf(reversed)).toEqual(['Put the wiring back to plan']);
  });

  it('fed while another circuit is on is not judged by this rule', () => {
    const facts = doing();
    const rows = [
      ...facts.behaviour.rows,
      rowOf({ switch: 'off', float: 'down', others: { neighbour: 'manual' }, volts: { pump: 12 } }),
    ];
    expect(codesOf(runRules({ ...facts, behaviour: { ...facts.behaviour, rows } }))).toEqual([]);
  });
});

describe('an electronic sensor', () => {
  const circuit = plainCircuit({ scheme: 'probe-sensor' });
  const supplied = (volts: number) =>
    factsOf({
      circuit,
      behaviour: behaviourOf(circuit, {
        rows: soundRows.map((row) =>
          rowOf({
            ...row.setting.switches,
            switch: row.setting.switches['switch'] as 'auto',
            float: row.setting.floats['float'] as 'up',
            volts: { pump: row.point ? pumpVolts(row) : 0, float: volts },
          }),
        ),
      }),
    });

  it('the wrong way round by more than a diode’s drop is a stop', () => {
    expect(find(runRules(supplied(-0.7)), 'sensor-reversed')).toBeUndefined();
    expect(find(runRules(supplied(-0.71)), 'sensor-reversed')).toMatchObject({ severity: 'stop', at: ['float'] });
  });
});

describe('lights', () => {
  const circuit = plainCircuit({ panel: { light: 'led', armedLight: 'led' }, rewired: { removed: ['x'] } });
  const lit = (said: (position: string, float: string) => Record<string, Doing>, amps = 0.015) => {
    const rows = soundRows.map((row) =>
      rowOf({
        switch: row.setting.switches['switch'] as 'auto',
        float: row.setting.floats['float'] as 'up',
        volts: { pump: row.point ? pumpVolts(row) : 0 },
        doing: said(row.setting.switches['switch'] ?? '', row.setting.floats['float'] ?? ''),
        amps: { light: amps },
      }),
    );
    return factsOf({ circuit, behaviour: behaviourOf(circuit, { wired: planOfCircuit(circuit), rows }) });
  };
  const running = (position: string, float: string) => position === 'manual' || (position === 'auto' && float === 'up');
  const sound = (position: string, float: string): Record<'light' | 'armed', Doing> => ({
    light: running(position, float) ? 'lit' : 'dark',
    armed: position === 'auto' ? 'lit' : 'dark',
  });

  it('that tell the truth have no finding', () => {
    expect(codesOf(sneakRules(lit(sound)))).toEqual([]);
  });

  it('that glow while the pump stands say how many milliamperes, and through what', () => {
    const glows = find(
      sneakRules(lit((position, float) => ({ ...sound(position, float), light: position === 'off' ? 'dark' : 'lit' }))),
      'sneak-path-light',
    );
    expect(glows).toMatchObject({ severity: 'caution', at: ['light'] });
    expect(glows?.message).toContain('15 mA find another way');
    expect(ideasOf(glows)).toEqual(['Wire the light to negative', 'Put the wiring back to plan']);
  });

  it('that are dark when they should be lit miss some settings, or all', () => {
    const misses = sneakRules(
      lit((position, float) => ({ ...sound(position, float), light: position === 'manual' ? 'lit' : 'dark' })),
    );
    expect(codesOf(misses)).toEqual(['light-misses']);
    expect(codesOf(sneakRules(lit((position, float) => ({ ...sound(position, float), light: 'dark' }))))).toEqual([
      'light-never-lights',
    ]);
    expect(codesOf(sneakRules(lit((position, float) => ({ ...sound(position, float), armed: 'dark' }))))).toEqual([
      'light-never-lights',
    ]);
  });

  it('that say auto where it is not selected are a note', () => {
    const fedBack = sneakRules(
      lit((position, float) => ({ ...sound(position, float), armed: position === 'off' ? 'dark' : 'lit' })),
    );
    expect(fedBack).toEqual([expect.objectContaining({ code: 'sneak-path-armed', severity: 'note', at: ['armed'] })]);
  });
});

describe('a relay', () => {
  const relayed = (coilV: number, latched: readonly string[] = ['relay'], more = {}) => {
    const circuit = plainCircuit({ scheme: 'relay', relay: { pullInV: 7.5, ...more } });
    return factsOf({
      circuit,
      options: ['pump', 'relay', 'three-way', 'float'],
      behaviour: behaviourOf(circuit, {
        lowRows: [rowOf({ switch: 'auto', float: 'up', volts: { relay: coilV }, latched })],
      }),
    });
  };

  it('pulls in for sure from 1.2 times its pull-in volts', () => {
    expect(codesOf(relayRules(relayed(9)))).toEqual([]);
    expect(relayRules(relayed(8.99))[0]).toMatchObject({
      code: 'relay-pull-in-margin',
      severity: 'caution',
      at: ['relay'],
    });
    expect(relayRules(relayed(7.4, []))[0]).toMatchObject({ code: 'relay-does-not-pull-in', severity: 'stop' });
  });

  it('without a suppressor burns what drives it', () => {
    expect(relayRules(relayed(9, ['relay'], { suppression: 'none' }))[0]).toMatchObject({
      code: 'coil-unsuppressed',
      severity: 'caution',
    });
    for (const suppression of ['diode', 'resistor'])
      expect(codesOf(relayRules(relayed(9, ['relay'], { suppression })))).toEqual([]);
    const elsewhere = { ...relayed(9, ['relay'], { suppression: 'none' }), options: ['pump' as const] };
    expect(codesOf(relayRules(elsewhere))).toEqual([]);
  });

  it('that chatters is a stop, at whichever supply', () => {
    const trouble = { code: 'chatter', message: 'chatters', about: 'relay' };
    const row = { setting: { switches: {}, floats: {} }, point: null, trouble };
    const facts = relayed(9);
    const usual = relayRules({ ...facts, behaviour: { ...facts.behaviour, rows: [row] } });
    expect(usual[0]).toMatchObject({ code: 'relay-chatters', severity: 'stop', at: ['relay'] });
    expect(usual[0]?.message).toContain('At 12.80\u00a0V');
    const low = relayRules({ ...facts, behaviour: { ...facts.behaviour, lowRows: [row] } });
    expect(find(low, 'relay-chatters')?.message).toContain('At 12.00\u00a0V');
  });
});

describe('wiring found otherwise', () => {
  const found = (amps: number, allowed = 10) => {
    const circuit = plainCircuit({ rewired: { removed: ['auto'] } });
    const conductor = conductorOf('manual');
    return wiringRules(
      factsOf({
        circuit,
        conductors: [{ ...conductor, ampacity: { ...conductor.ampacity, amps: allowed } }],
        behaviour: behaviourOf(circuit, {
          rows: [rowOf({ switch: 'manual', float: 'down', amps: { manual: amps } })],
          strays: [{ conductor: 'auto', message: 'It ends nowhere.' }],
          differences: ['Auto: not there.'],
        }),
      }),
    );
  };

  it('is told, with what ends nowhere and what it overloads', () => {
    expect(codesOf(found(10))).toEqual(['conductor-to-nowhere', 'wired-otherwise']);
    expect(find(found(10.01), 'overloaded-as-found')).toMatchObject({ severity: 'stop', at: ['manual'] });
    expect(find(found(-10.01), 'overloaded-as-found')?.severity).toBe('stop');
    expect(find(found(10.01, 0), 'overloaded-as-found')).toBeUndefined();
    expect(find(found(1), 'conductor-to-nowhere')).toMatchObject({ severity: 'stop', at: ['auto'] });
  });

  it('is nothing where it is as planned', () => {
    expect(codesOf(wiringRules(factsOf()))).toEqual([]);
  });
});

describe('how it is wired', () => {
  const said = (more: Parameters<typeof factsOf>[0] = {}) => wiredAsOf(factsOf(more)).map(({ code }) => code);

  it('states choices that nothing is wrong with, what matters before work first', () => {
    expect(said()).toEqual(['feed-unswitched', 'feed-school', 'manual-can-be-forgotten']);
    expect(wiredAsOf(factsOf())[0]).toMatchObject({ beforeWork: true });
    expect(said({ circuit: plainCircuit({ manual: 'momentary', source: { feed: 'isolator' } }) })).toEqual([]);
  });

  it('says of an alarm with its own battery what to do before each trip', () => {
    const [own] = wiredAsOfAlarm(alarmOf(factsOf()));
    expect(own?.code).toBe('alarm-own-battery');
    expect(own?.text).toContain('Lift the float before each trip');
    expect(own?.beforeWork).toBe(false);
  });

  it('says of an always-live pump that only its fuse, or both, make it dead', () => {
    expect(said({ options: ['pump', 'leg-fuses'] })).toContain('only-fuse-isolates');
    const apart = plainCircuit({
      panel: { legFuses: { kind: 'blade', manualA: 10, autoA: 10 }, manualBreaksAuto: true },
    });
    const statements = said({ options: ['pump', 'leg-fuses'], circuit: apart });
    expect(statements).toEqual(expect.arrayContaining(['two-fuses-to-pull', 'manual-breaks-auto']));
    expect(statements).not.toContain('only-fuse-isolates');
    const work = wiredAsOf(factsOf({ options: ['pump', 'leg-fuses'], circuit: apart }));
    expect(work.find(({ code }) => code === 'two-fuses-to-pull')?.beforeWork).toBe(true);
    // A three-way switch isolates, whatever its panel says of legs.
    expect(said({ circuit: apart })).not.toContain('two-fuses-to-pull');
  });

  it('keeps statements on record: a guard, a tap, thin conductors that may be', () => {
    expect(said({ circuit: plainCircuit({ pump: { currentA: 5, thermalGuard: 'label' } }) })).toContain(
      'thermal-guard',
    );
    expect(
      said({
        conductors: [
          conductorOf('light-tap', { size: '18 AWG', planned: { underLeastBecause: 'It stays inside the panel.' } }),
        ],
      }),
    ).toContain('under-least-size-allowed');
    expect(said({ conductors: [conductorOf('auto', { size: '18 AWG', planned: { unsheathedM: 0 } })] })).toContain(
      'under-least-size-allowed',
    );
    const sharedFeed = { leaderId: 'a', leaderName: 'Primary', rating: null, sizes: {} };
    expect(said({ sharedFeed })).toContain('shared-feed');
    const shared = wiredAsOf(factsOf({ sharedFeed })).find(({ code }) => code === 'shared-feed');
    expect(shared?.beforeWork).toBe(true);
    expect(said({ water: waterOf() })).toContain('oily-water');
    expect(said({ water: waterOf(), automatic: false })).not.toContain('oily-water');
  });
});
