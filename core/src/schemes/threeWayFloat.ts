import { defaults } from '../reference';
import { legRun, stubRun } from './runs';
import type { PlannedConductor, PlannedPart, Scheme } from './plan';
import { batteryPart, fusePart, jointPart, pumpPart } from './standardParts';

/**
 * The base circuit: battery + → fuse → common of the three-way switch; manual
 * post → pump positive; auto post → float → pump positive; pump negative →
 * negative bus. Manual bypasses the float; off isolates both.
 */
export const threeWayFloat: Scheme = {
  name: 'Three-way switch with separate float',
  summary: 'Two-lead pump, a float beside it, and manual / off / auto at the panel.',
  legs: [
    { key: 'sourceToPanel', name: 'Source to panel', role: 'supply', cores: 1 },
    { key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 2 },
    { key: 'bilgeToNegative', name: 'Bilge to negative bus', role: 'negative', cores: 1 },
  ],
  plan: (circuit, battery) => {
    const parts: PlannedPart[] = [
      { part: batteryPart(battery), name: battery.name, band: 'source', role: 'supply' },
      { part: fusePart(), name: 'Fuse', band: 'source', role: 'supply' },
      { part: { kind: 'negative-bus', id: 'bus' }, name: 'Negative bus', band: 'source', role: 'negative' },
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
      { part: jointPart('joint-float', ['cable', 'float']), name: 'J1', band: 'bilge', role: 'auto' },
      {
        part: { kind: 'float-switch', id: 'float', contactOhm: defaults.floatContactOhm },
        name: 'Float',
        band: 'bilge',
        role: 'auto',
      },
      { part: jointPart('joint-pump', ['cable', 'float', 'pump']), name: 'J2', band: 'bilge', role: 'supply' },
      { part: pumpPart(circuit.pump), name: 'Pump', band: 'bilge', role: 'supply' },
      { part: jointPart('joint-negative', ['pump', 'cable']), name: 'J3', band: 'bilge', role: 'supply' },
    ];
    const conductors: PlannedConductor[] = [
      {
        id: 'stub',
        name: 'Stub before the fuse',
        from: { part: 'battery', terminal: 'plus' },
        to: { part: 'fuse', terminal: 'source' },
        role: 'supply',
        colour: { base: 'red' },
        sameSizeAs: 'feed',
        ...stubRun(circuit),
      },
      {
        id: 'feed',
        name: 'Feed',
        from: { part: 'fuse', terminal: 'load' },
        to: { part: 'switch', terminal: 'common' },
        role: 'supply',
        colour: { base: 'red' },
        ...legRun(circuit, 'sourceToPanel'),
      },
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
      {
        id: 'negative',
        name: 'Negative',
        from: { part: 'joint-negative', terminal: 'cable' },
        to: { part: 'bus', terminal: 'stud' },
        role: 'negative',
        colour: { base: 'black' },
        ...legRun(circuit, 'bilgeToNegative'),
      },
    ];
    return {
      ground: { part: 'battery', terminal: 'minus' },
      parts,
      conductors,
      existing: [
        { id: 'main-negative', from: { part: 'bus', terminal: 'main' }, to: { part: 'battery', terminal: 'minus' } },
        { id: 'float-lead-1', from: { part: 'joint-float', terminal: 'float' }, to: { part: 'float', terminal: 'a' } },
        { id: 'float-lead-2', from: { part: 'float', terminal: 'b' }, to: { part: 'joint-pump', terminal: 'float' } },
        {
          id: 'pump-lead-plus',
          from: { part: 'joint-pump', terminal: 'pump' },
          to: { part: 'pump', terminal: 'plus' },
        },
        {
          id: 'pump-lead-minus',
          from: { part: 'pump', terminal: 'minus' },
          to: { part: 'joint-negative', terminal: 'pump' },
        },
      ],
      ids: { battery: 'battery', fuse: 'fuse', afterFuse: 'feed', pump: 'pump' },
    };
  },
};
