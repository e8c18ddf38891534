import { alarmOn } from './alarms';
import { floatBetween } from './floatBetween';
import { hotPanel } from './hotPanel';
import { threeCoreLegs } from './legs';
import { lights } from './lights';
import { at, planOf } from './pieces';
import type { Scheme } from './plan';

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
      ...floatBetween(circuit, {
        usual: 'float',
        manualFrom: at('switch', 'out'),
        autoFrom: panel.autoFrom,
        manualName: 'Test and alarm positive',
        sensorName: 'Backup float',
      }),
    ]);
  },
};
