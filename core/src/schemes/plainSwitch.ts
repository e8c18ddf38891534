import { manualConductor, negativeBack, pumpAt } from './bilgeSide';
import { lights } from './lights';
import { at, piece, planOf } from './pieces';
import type { Scheme } from './plan';
import { onOffPart, plannedJoint } from './standardParts';
import { supplySide } from './supplySide';

/**
 * Battery + → fuse → on/off switch → pump; pump negative → negative bus. No
 * float: nobody aboard, nothing pumped. An emergency pump on a very small craft.
 */
export const plainSwitch: Scheme = {
  name: 'On/off switch, no float',
  summary: 'Two-lead pump and a switch: an emergency pump on a very small craft.',
  automatic: false,
  senses: null,
  duty: 'primary',
  options: ['pump', 'running-light'],
  legs: [
    { key: 'sourceToPanel', name: 'Source to panel', role: 'supply', cores: 1 },
    { key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 1 },
    { key: 'bilgeToNegative', name: 'Bilge to negative bus', role: 'negative', cores: 1 },
  ],
  plan: (surveyed) => {
    const { circuit } = surveyed;
    return planOf([
      supplySide(surveyed, { switch: at('switch', 'in') }),
      piece([onOffPart(circuit, 'Pump switch')]),
      lights(circuit, { running: at('switch', 'out'), lane: 'auto' }),
      piece(
        [plannedJoint('joint-pump', ['cable', 'pump'], 'J2', 'supply')],
        [manualConductor(circuit, at('switch', 'out'), at('joint-pump', 'cable'), 'Pump positive')],
      ),
      pumpAt(circuit, { plus: at('joint-pump', 'pump'), minus: at('joint-negative', 'pump') }),
      negativeBack(circuit, ['pump'], 'J3'),
    ]);
  },
};
