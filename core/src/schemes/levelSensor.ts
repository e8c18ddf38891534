import { defaults, levelSensors } from '../reference';
import type { Circuit } from '../job';
import { at, link, piece } from './pieces';
import type { PlanPiece } from './plan';
import { floatPart } from './standardParts';

/** Joints that a level sensor's leads go to: the way of each that is the sensor's is named by `sensorWay`. */
export interface SensorEnds {
  /** The joint it is fed from, and the joint it feeds. */
  readonly from: string;
  readonly to: string;
  /** The joint on the negative side, for one that needs a negative. */
  readonly negative: string;
}

/** Whether a circuit's level sensor is an electronic one: the kind fitted, else that of its scheme. */
function isElectronic({ water }: Circuit, usual: 'float' | 'probe'): boolean {
  const kind = water?.float?.kind;
  return kind === undefined ? usual === 'probe' : levelSensors[kind].electronic;
}

/** The name of the sensor's way in its joints. */
export function sensorWay(circuit: Circuit, usual: 'float' | 'probe'): 'float' | 'sensor' {
  return isElectronic(circuit, usual) ? 'sensor' : 'float';
}

/** Ways that the joint on the negative side has for the sensor. */
export function negativeWays(circuit: Circuit, usual: 'float' | 'probe'): readonly string[] {
  return isElectronic(circuit, usual) ? ['sensor'] : [];
}

/** What feels the water between two joints: a float's contact, or an electronic sensor with a negative of its own. */
export function levelSensor(
  circuit: Circuit,
  usual: 'float' | 'probe',
  { from, to, negative }: SensorEnds,
  name?: string,
): PlanPiece {
  if (!isElectronic(circuit, usual)) {
    return piece(
      [floatPart(name)],
      [],
      [
        link('float-lead-1', at(from, 'float'), at('float', 'a')),
        link('float-lead-2', at('float', 'b'), at(to, 'float')),
      ],
    );
  }
  return piece(
    [
      {
        part: { kind: 'probe-sensor', id: 'float', contactOhm: defaults.floatContactOhm },
        name: name === undefined ? 'Sensor' : name.replace('float', 'sensor'),
        band: 'bilge',
        role: 'auto',
      },
    ],
    [],
    [
      link('sensor-lead-supply', at(from, 'sensor'), at('float', 'plus')),
      link('sensor-lead-out', at('float', 'out'), at(to, 'sensor')),
      link('sensor-lead-negative', at('float', 'minus'), at(negative, 'sensor')),
    ],
  );
}
