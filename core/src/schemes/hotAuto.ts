import { hotPanel } from './hotPanel';
import { threeCoreLegs } from './legs';
import { lights } from './lights';
import { at, planOf } from './pieces';
import type { Scheme } from './plan';
import { threeLeadPump } from './threeLead';

/**
 * A three-lead pump whose auto lead is always live; manual by an on/off or
 * momentary switch; one common fuse before both. It cannot be forgotten in off,
 * and cannot be switched off for work except at the fuse.
 */
export const hotAuto: Scheme = {
  name: 'Auto always live, switch for manual',
  summary: 'Three-lead pump: the auto lead is always live, a switch runs it by hand. Off only at the fuse.',
  automatic: true,
  senses: 'integral',
  duty: 'primary',
  options: ['pump', 'running-light', 'leg-fuses'],
  legs: threeCoreLegs,
  plan: (surveyed) => {
    const { circuit } = surveyed;
    const panel = hotPanel(surveyed, 'Manual switch');
    return planOf([
      ...panel.pieces,
      lights(circuit, { running: at('switch', 'out'), lane: 'supply' }),
      ...threeLeadPump(circuit, { manual: at('switch', 'out'), auto: panel.autoFrom }, 'float'),
    ]);
  },
};
