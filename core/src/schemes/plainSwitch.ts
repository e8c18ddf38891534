import { defaults } from '../reference';
import { pumpAndNegative } from './bilgeSide';
import type { Scheme } from './plan';
import { runningLight } from './runningLight';
import { legRun } from './runs';
import { jointPart } from './standardParts';
import { supplySide } from './supplySide';

/**
 * Battery + → fuse → on/off switch → pump; pump negative → negative bus. No
 * float: nobody aboard, nothing pumped. An emergency pump on a very small craft.
 */
export const plainSwitch: Scheme = {
  name: 'On/off switch, no float',
  summary: 'Two-lead pump and a switch: an emergency pump on a very small craft.',
  automatic: false,
  legs: [
    { key: 'sourceToPanel', name: 'Source to panel', role: 'supply', cores: 1 },
    { key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 1 },
    { key: 'bilgeToNegative', name: 'Bilge to negative bus', role: 'negative', cores: 1 },
  ],
  plan: (circuit, battery, others = []) => {
    const supply = supplySide(circuit, battery, { part: 'switch', terminal: 'in' }, others);
    const light = runningLight(circuit, { part: 'switch', terminal: 'out' }, 'auto');
    const bilge = pumpAndNegative(circuit, { part: 'joint-pump', terminal: 'pump' });
    return {
      ground: { part: 'battery', terminal: 'minus' },
      parts: [
        ...supply.parts,
        {
          part: {
            kind: 'on-off-switch',
            id: 'switch',
            momentary: circuit.manual === 'momentary',
            contactOhm: defaults.switchContactOhm,
          },
          name: 'Pump switch',
          band: 'panel',
          role: 'supply',
        },
        ...light.parts,
        { part: jointPart('joint-pump', ['cable', 'pump']), name: 'J2', band: 'bilge', role: 'supply' },
        ...bilge.parts,
      ],
      conductors: [
        ...supply.conductors,
        {
          id: 'manual',
          name: 'Pump positive',
          from: { part: 'switch', terminal: 'out' },
          to: { part: 'joint-pump', terminal: 'cable' },
          role: 'manual',
          colour: { base: 'brown' },
          ...legRun(circuit, 'panelToBilge'),
        },
        ...bilge.conductors,
        ...light.conductors,
      ],
      existing: [...supply.existing, ...light.existing, ...bilge.existing],
      ids: { battery: 'battery', fuse: 'fuse', afterFuse: 'feed', pump: 'pump', afterPump: 'negative' },
    };
  },
};
