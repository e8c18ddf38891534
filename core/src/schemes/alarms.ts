import { defaults } from '../reference';
import { roles, type TerminalRef } from '../circuit';
import { negativeOf, TAP, toNegative } from './lights';
import { at, coloured, link, piece } from './pieces';
import type { PlannedPart, PlanPiece, Surveyed } from './plan';
import { motorOf } from './standardParts';

/** Resistance of the other circuit's own way to its post, Ω, where only its pump is known. */
const NEIGHBOUR_FEED_OHM = 0.05;

/**
 * An alarm on the post that the float feeds, each of its feeds through a diode so
 * that nothing runs back. It may hang on a second circuit's post as well, and
 * then sounds for either pump.
 */
export function alarmOn(surveyed: Surveyed, from: TerminalRef): PlanPiece {
  const { parts, conductors, existing } = wiredAlarm(surveyed, from);
  return piece(parts, conductors, coloured(existing, TAP));
}

function wiredAlarm({ circuit, alarmAlso }: Surveyed, from: TerminalRef): PlanPiece {
  const isolated = circuit.alarm?.diodes ?? true;
  const alarm: PlannedPart = { part: { kind: 'alarm', id: roles.alarm }, name: 'Alarm', band: 'panel', role: 'auto' };
  // Where there is a running light, the alarm hangs on its tap.
  const lit = (circuit.panel?.light ?? 'none') !== 'none';
  const tapped = lit
    ? piece(
        [alarm],
        [negativeOf(circuit, alarm, circuit.panel?.tapFuseA === undefined ? undefined : 'tap-fuse')],
        [link('alarm-from-light', at('light', 'plus'), at('alarm', 'plus'))],
      )
    : toNegative(circuit, alarm, from, null);
  const intoAlarm = (end: TerminalRef) => end.part === 'alarm' && end.terminal === 'plus';
  const through = (id: string): PlannedPart => ({
    part: { kind: 'diode', id },
    name: 'Diode',
    band: 'panel',
    role: 'auto',
  });
  const own = isolated
    ? piece(
        [...tapped.parts.filter(({ part }) => part.id !== 'alarm'), through('alarm-diode'), alarm],
        tapped.conductors.map((wire) => (intoAlarm(wire.to) ? { ...wire, to: at('alarm-diode', 'anode') } : wire)),
        [
          ...tapped.existing.map((one) => (intoAlarm(one.to) ? { ...one, to: at('alarm-diode', 'anode') } : one)),
          link('alarm-diode-out', at('alarm-diode', 'cathode'), at('alarm', 'plus')),
        ],
      )
    : tapped;
  if (!alarmAlso) return own;
  const { id, name, pump } = alarmAlso;
  const neighbour = `neighbour-${id}`;
  const post = at(neighbour, 'post');
  return piece(
    [
      ...own.parts,
      ...(isolated ? [through('alarm-diode-2')] : []),
      {
        part: { kind: 'neighbour', id: neighbour, motor: motorOf(pump), feedOhm: NEIGHBOUR_FEED_OHM },
        name,
        band: 'panel',
        role: 'negative',
      },
    ],
    own.conductors,
    [
      ...own.existing,
      link('neighbour-plus', at('battery', 'plus'), at(neighbour, 'plus')),
      link('neighbour-minus', at(neighbour, 'minus'), at('bus', 'neighbour')),
      ...(isolated
        ? [
            link('neighbour-tap', post, at('alarm-diode-2', 'anode')),
            link('alarm-diode-2-out', at('alarm-diode-2', 'cathode'), at('alarm', 'plus')),
          ]
        : [link('neighbour-tap', post, at('alarm', 'plus'))]),
    ],
  );
}

/** Volts of an alarm's own battery. */
export function ownAlarmV(alarm: Surveyed['circuit']['alarm']): number {
  return alarm?.ownV ?? defaults.alarmOwnBatteryV;
}
