import type { Doing } from '../circuit';
import type { Boat } from '../job';
import {
  alarmOf,
  behaviourOf,
  boat,
  codesOf,
  factsOf,
  find,
  ideasOf,
  plainCircuit,
  planOfCircuit,
  rowOf,
  soundRows,
} from './facts.fixture';
import { alarmRules, fedAlarmRules, judgeCircuit, sneakRules } from './said.fixture';

describe('one alarm on two circuits', () => {
  const circuit = plainCircuit({ scheme: 'backup-alarm', rewired: { removed: ['x'] } });
  const neighbour = {
    part: {
      kind: 'neighbour' as const,
      id: 'neighbour-a',
      motor: { labelA: 4, labelV: 12, windingOhm: 0.6 },
      feedOhm: 0.05,
    },
    name: 'Primary',
    band: 'panel' as const,
    role: 'negative' as const,
  };
  const fed = (theirs: number, ours = 0) => {
    const wired = planOfCircuit(circuit);
    const rows = [
      ...soundRows,
      rowOf({
        switch: 'off',
        float: 'up',
        others: { 'neighbour-a': 'off' },
        volts: { pump: 12, 'neighbour-a': theirs },
      }),
      rowOf({ switch: 'off', float: 'down', others: { 'neighbour-a': 'manual' }, volts: { pump: ours } }),
    ];
    return sneakRules(
      factsOf({
        circuit,
        options: ['pump', 'alarm', 'leg-fuses'],
        behaviour: behaviourOf(circuit, { wired: { ...wired, parts: [...wired.parts, neighbour] }, rows }),
      }),
    );
  };

  it('joins neither to the other: 0.05 V are told, a fifth of 12 V is a stop', () => {
    expect(find(fed(0.049), 'back-feed-between-circuits')).toBeUndefined();
    expect(find(fed(0.05), 'back-feed-between-circuits')?.severity).toBe('caution');
    expect(find(fed(2.39), 'back-feed-between-circuits')?.severity).toBe('caution');
    expect(find(fed(2.4), 'back-feed-between-circuits')?.severity).toBe('stop');
    expect(find(fed(0, 12), 'back-feed-between-circuits')?.message).toContain('this pump gets 12.00');
  });
});

describe('alarms', () => {
  const circuit = plainCircuit({ scheme: 'backup-alarm', rewired: { removed: ['x'] } });
  const calling = (
    up: Doing,
    down: Doing = 'silent',
    options: readonly ['pump', 'alarm'] | readonly ['pump'] = ['pump', 'alarm'],
    aboard: Boat = boat,
  ) =>
    factsOf({
      circuit,
      boat: aboard,
      options,
      behaviour: behaviourOf(circuit, {
        rows: [
          rowOf({ switch: 'off', float: 'up', volts: { pump: 12 }, doing: { alarm: up } }),
          rowOf({ switch: 'off', float: 'down', doing: { alarm: down } }),
        ],
      }),
    });

  it('on a pump’s float sound when it is up, or it is a stop with a way back', () => {
    expect(codesOf(fedAlarmRules(calling('sounding')))).toEqual([]);
    expect(fedAlarmRules(calling('silent'))[0]).toMatchObject({ code: 'alarm-wrong', severity: 'stop', at: ['alarm'] });
    expect(ideasOf(fedAlarmRules(calling('silent'))[0])).toEqual(['Put the wiring back to plan']);
    // A test switch sounds it with the float down: no finding.
    expect(codesOf(fedAlarmRules(calling('sounding', 'sounding')))).toEqual([]);
    expect(codesOf(fedAlarmRules(calling('silent', 'silent', ['pump'])))).toEqual([]);
  });

  it('with their own battery sound then and only then', () => {
    const alone = (up: Doing, down: Doing) => {
      return alarmRules(alarmOf(calling(up, down)));
    };
    expect(codesOf(alone('sounding', 'silent'))).toEqual([]);
    expect(codesOf(alone('silent', 'silent'))).toEqual(['alarm-wrong']);
    expect(codesOf(alone('sounding', 'sounding'))).toEqual(['alarm-wrong']);
  });

  it('with their own battery are judged by all that concerns them, worst first', () => {
    const judged = judgeCircuit(alarmOf(calling('silent', 'silent', ['pump', 'alarm'], { ...boat, petrol: true })));
    expect(codesOf(judged)).toEqual(['alarm-wrong', 'ignition-protection']);
  });
});
