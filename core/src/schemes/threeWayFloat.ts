import { defaults } from '../reference';
import { legRun } from './runs';
import { pumpAndNegative } from './bilgeSide';
import type { Scheme } from './plan';
import { runningLight } from './runningLight';
import { jointPart } from './standardParts';
import { supplySide } from './supplySide';

/**
 * The base circuit: battery + → fuse → common of the three-way switch; manual
 * post → pump positive; auto post → float → pump positive; pump negative →
 * negative bus. Manual bypasses the float; off isolates both.
 */
export const threeWayFloat: Scheme = {
  name: 'Three-way switch with separate float',
  summary: 'Two-lead pump, a float beside it, and manual / off / auto at the panel.',
  automatic: true,
  legs: [
    { key: 'sourceToPanel', name: 'Source to panel', role: 'supply', cores: 1 },
    { key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 2 },
    { key: 'bilgeToNegative', name: 'Bilge to negative bus', role: 'negative', cores: 1 },
  ],
  plan: (circuit, battery, others = []) => {
    const supply = supplySide(circuit, battery, { part: 'switch', terminal: 'common' }, others);
    const light = runningLight(circuit, { part: 'switch', terminal: 'manual' }, 'supply');
    const bilge = pumpAndNegative(circuit, { part: 'joint-pump', terminal: 'pump' });
    return {
      ground: { part: 'battery', terminal: 'minus' },
      parts: [
        ...supply.parts,
        {
          part: {
            kind: 'three-way-switch',
            id: 'switch',
            momentaryManual: circuit.manual === 'momentary',
            contactOhm: defaults.switchContactOhm,
          },
          name: 'Manual / off / auto',
          band: 'panel',
          role: 'supply',
        },
        ...light.parts,
        { part: jointPart('joint-float', ['cable', 'float']), name: 'J1', band: 'bilge', role: 'auto' },
        {
          part: { kind: 'float-switch', id: 'float', contactOhm: defaults.floatContactOhm },
          name: 'Float',
          band: 'bilge',
          role: 'auto',
        },
        { part: jointPart('joint-pump', ['cable', 'float', 'pump']), name: 'J2', band: 'bilge', role: 'supply' },
        ...bilge.parts,
      ],
      conductors: [
        ...supply.conductors,
        {
          id: 'manual',
          name: 'Manual positive',
          from: { part: 'switch', terminal: 'manual' },
          to: { part: 'joint-pump', terminal: 'cable' },
          role: 'manual',
          colour: { base: 'brown' },
          ...legRun(circuit, 'panelToBilge'),
        },
        {
          id: 'auto',
          name: 'Auto positive',
          from: { part: 'switch', terminal: 'auto' },
          to: { part: 'joint-float', terminal: 'cable' },
          role: 'auto',
          colour: { base: 'brown', stripe: 'white' },
          ...legRun(circuit, 'panelToBilge'),
        },
        ...bilge.conductors,
        ...light.conductors,
      ],
      existing: [
        ...supply.existing,
        ...light.existing,
        { id: 'float-lead-1', from: { part: 'joint-float', terminal: 'float' }, to: { part: 'float', terminal: 'a' } },
        { id: 'float-lead-2', from: { part: 'float', terminal: 'b' }, to: { part: 'joint-pump', terminal: 'float' } },
        ...bilge.existing,
      ],
      ids: { battery: 'battery', fuse: 'fuse', afterFuse: 'feed', pump: 'pump', afterPump: 'negative' },
    };
  },
};
