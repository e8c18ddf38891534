import { alarmOn } from './alarms';
import { autoConductor, manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { hotPanel } from './hotPanel';
import { threeCoreLegs } from './legs';
import { lights } from './lights';
import { at, link, piece, planOf } from './pieces';
import type { Scheme } from './plan';
import { floatPart, plannedJoint } from './standardParts';

/**
 * A second, larger pump on a float above the first one's, with a fuse and feed of
 * its own that no switch interrupts; an alarm on the same float, which feeds the
 * post of the test switch back through the joint. A switch tests pump and alarm.
 */
export const backupAlarm: Scheme = {
  name: 'Backup pump with alarm on its float',
  summary:
    'A second pump on a higher float, always live on its own fuse; an alarm sounds with it, a switch tests both.',
  automatic: true,
  senses: 'hinged',
  duty: 'backup',
  options: ['pump', 'float', 'alarm', 'running-light', 'leg-fuses'],
  legs: threeCoreLegs,
  plan: (surveyed) => {
    const { circuit } = surveyed;
    const panel = hotPanel(surveyed, 'Test switch');
    return planOf([
      ...panel.pieces,
      alarmOn(surveyed, at('switch', 'out')),
      lights(circuit, { running: at('switch', 'out'), lane: 'supply' }),
      piece(
        [
          plannedJoint('joint-float', ['cable', 'float'], 'J1', 'auto'),
          floatPart('Backup float'),
          plannedJoint('joint-pump', ['cable', 'float', 'pump'], 'J2', 'supply'),
        ],
        [
          manualConductor(circuit, at('switch', 'out'), at('joint-pump', 'cable'), 'Test and alarm positive'),
          autoConductor(circuit, panel.autoFrom, at('joint-float', 'cable')),
        ],
        [
          link('float-lead-1', at('joint-float', 'float'), at('float', 'a')),
          link('float-lead-2', at('float', 'b'), at('joint-pump', 'float')),
        ],
      ),
      pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-negative', 'pump') }),
      negativeBack(circuit, ['pump'], 'J3'),
    ]);
  },
};
