import { minimumSize } from '../reference';
import { ownAlarmV } from './alarms';
import { at, link } from './pieces';
import type { PlannedConductor, Scheme, SurveyedCircuit } from './plan';
import { roles, type TerminalRef } from '../circuit';
import { legRun } from './runs';
import { floatPart, plannedJoint } from './standardParts';

/**
 * A high-water float to an alarm with a battery of its own: two conductors,
 * polarity free unless the maker says otherwise. Mute keeps the light lit.
 */
export const standaloneAlarm: Scheme = {
  name: 'High-water alarm with its own battery',
  summary: 'A float above all others and an alarm that needs nothing of the boat’s supply. Two conductors.',
  automatic: true,
  senses: 'hinged',
  duty: 'alarm',
  options: ['float', 'alarm'],
  legs: [{ key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 2 }],
  plan: ({ circuit }) => ({
    ground: at('alarm', 'minus'),
    parts: [
      {
        part: { kind: 'alarm', id: roles.alarm, ownV: ownAlarmV(circuit.alarm) },
        name: 'Alarm',
        band: 'panel',
        role: 'supply',
      },
      plannedJoint('joint-float', ['cable', 'float'], 'J1', 'supply'),
      floatPart('High-water float'),
      plannedJoint('joint-float-2', ['float', 'cable'], 'J2', 'negative'),
    ],
    conductors: [
      loop(circuit, 'alarm-out', 'Alarm, out', at('alarm', 'plus'), at('joint-float', 'cable')),
      loop(circuit, 'alarm-back', 'Alarm, back', at('joint-float-2', 'cable'), at('alarm', 'minus')),
    ],
    existing: [
      link('float-lead-1', at('joint-float', 'float'), at('float', 'a')),
      link('float-lead-2', at('float', 'b'), at('joint-float-2', 'float')),
    ],
    ids: null,
  }),
};

function loop(
  circuit: SurveyedCircuit,
  id: string,
  name: string,
  from: TerminalRef,
  to: TerminalRef,
): PlannedConductor {
  return {
    ...legRun(circuit, 'panelToBilge'),
    id,
    name,
    from,
    to,
    role: id === 'alarm-out' ? 'manual' : 'negative',
    colour: id === 'alarm-out' ? { base: 'brown' } : { base: 'black' },
    duty: 'light',
    givenSize: minimumSize[circuit.choices?.family ?? 'awg'],
  };
}
