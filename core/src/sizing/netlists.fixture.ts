import type { BatteryPart, Netlist, Part, PumpPart } from '../circuit';

export const end = (part: string, terminal: string) => ({ part, terminal });

export const motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };

export const battery: BatteryPart = { kind: 'battery', id: 'battery', emfV: 12.7, internalOhm: 0.006 };

export const sound: PumpPart = { kind: 'pump', id: 'pump', motor, condition: 'sound' };

/** Battery → part → pump → battery, 10 mΩ in either conductor. */
export const inSeries = (between: Part, entry: string, exit: string, pump: Part = sound): Netlist => ({
  ground: end('battery', 'minus'),
  parts: [battery, between, pump],
  conductors: [
    { id: 'out', from: end('battery', 'plus'), to: end(between.id, entry), ohm: 0.01 },
    { id: 'tail', from: end(between.id, exit), to: end('pump', 'plus'), ohm: 0 },
    { id: 'back', from: end('pump', 'minus'), to: end('battery', 'minus'), ohm: 0.01 },
  ],
});
