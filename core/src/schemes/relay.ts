import { defaults, minimumSize } from '../reference';
import { roles, type TerminalRef } from '../circuit';
import { manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { levelSensor, negativeWays, sensorWay } from './levelSensor';
import { lights } from './lights';
import { at, link, piece, planOf } from './pieces';
import type { PlannedConductor, PlannedPart, Scheme, SurveyedCircuit } from './plan';
import { legRun } from './runs';
import { givenFuse, plannedJoint, threeWayPart } from './standardParts';
import { supplySide } from './supplySide';

/**
 * Switch and float drive a relay's coil, its contact feeds the pump: for a pump
 * that draws more than either may carry. The coil's feed has a fuse for its own
 * thin wire; the coil has a suppressor, so that it does not burn the float.
 */
export const relay: Scheme = {
  name: 'Three-way switch and float through a relay',
  summary: 'For a pump that draws more than float or switch may carry: they drive a coil, its contact feeds the pump.',
  automatic: true,
  senses: 'hinged',
  duty: 'primary',
  options: ['pump', 'three-way', 'float', 'relay', 'running-light', 'armed-light'],
  legs: [
    { key: 'sourceToPanel', name: 'Source to panel', role: 'supply', cores: 1 },
    { key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 3 },
    { key: 'bilgeToNegative', name: 'Bilge to negative bus', role: 'negative', cores: 1 },
  ],
  plan: (surveyed) => {
    const { circuit } = surveyed;
    const way = sensorWay(circuit, 'float');
    const sensor = levelSensor(circuit, 'float', {
      from: 'joint-float',
      to: 'joint-float-2',
      negative: 'joint-negative',
    });
    return planOf([
      supplySide(surveyed, { coil: at('coil-fuse', 'source'), contact: at('relay', '30') }),
      piece(
        [
          coilFuse(circuit),
          threeWayPart(circuit),
          plannedJoint('joint-coil', ['manual', 'float', 'coil'], 'Coil', 'auto', 'panel'),
          relayPart(circuit),
        ],
        [
          control(circuit, 'auto', 'Float, out', at('switch', 'auto'), at('joint-float', 'cable'), 'auto'),
          control(circuit, 'auto-back', 'Float, back', at('joint-float-2', 'cable'), at('joint-coil', 'float'), 'auto'),
          control(circuit, 'coil-negative', 'Coil negative', at('relay', '85'), at('bus', 'coil'), 'negative'),
          manualConductor(circuit, at('relay', '87'), at('joint-pump', 'cable'), 'Pump positive'),
        ],
        [
          link('coil-feed', at('coil-fuse', 'load'), at('switch', 'common'), { base: 'red' }),
          link('coil-manual', at('switch', 'manual'), at('joint-coil', 'manual'), COIL),
          link('coil-in', at('joint-coil', 'coil'), at('relay', '86'), COIL),
        ],
      ),
      lights(circuit, { running: at('relay', '87'), auto: at('switch', 'auto'), lane: 'manual' }),
      piece(
        [
          plannedJoint('joint-float', ['cable', way], 'J1', 'auto'),
          ...sensor.parts,
          plannedJoint('joint-float-2', [way, 'cable'], 'J4', 'auto'),
          plannedJoint('joint-pump', ['cable', 'pump'], 'J2', 'supply'),
        ],
        [],
        sensor.existing,
      ),
      pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-negative', 'pump') }),
      negativeBack(circuit, ['pump', ...negativeWays(circuit, 'float')], 'J3'),
    ]);
  },
};

/** What leads to the coil, whichever way it comes. */
const COIL = { base: 'brown', stripe: 'red' } as const;

function coilFuse({ relay: own }: SurveyedCircuit): PlannedPart {
  const ratingA = own?.coilFuseA ?? defaults.coilFuseA;
  return { part: givenFuse('coil-fuse', { kind: 'blade', ratingA }), name: 'Coil fuse', band: 'panel', role: 'supply' };
}

function relayPart({ relay: own }: SurveyedCircuit): PlannedPart {
  return {
    part: {
      kind: 'relay',
      id: roles.relay,
      coilOhm: own?.coilOhm ?? defaults.relayCoilOhm,
      pullInV: own?.pullInV ?? defaults.relayPullInV,
      dropOutV: own?.dropOutV ?? defaults.relayDropOutV,
      contactOhm: defaults.relayContactOhm,
      suppression: own?.suppression ?? 'diode',
    },
    name: 'Relay',
    band: 'panel',
    role: 'supply',
  };
}

/** A conductor that carries the coil alone, to the bilge or back to the bus; protected by the coil's fuse. */
function control(
  circuit: SurveyedCircuit,
  id: string,
  name: string,
  from: TerminalRef,
  to: TerminalRef,
  role: PlannedConductor['role'],
): PlannedConductor {
  return {
    id,
    name,
    from,
    to,
    role,
    colour: role === 'negative' ? { base: 'black' } : { base: 'brown', stripe: id === 'auto' ? 'white' : 'red' },
    givenSize: minimumSize[circuit.choices?.family ?? 'awg'],
    behind: 'coil-fuse',
    ...legRun(circuit, role === 'negative' ? 'sourceToPanel' : 'panelToBilge', 'control'),
  };
}
