import type { PumpPart } from '../parts';
import { partSites, withPart, type Fault } from './fault';

/** The pump's motor in another condition. */
function motorFault(title: string, name: string, condition: PumpPart['condition']): Fault {
  return {
    title,
    name,
    sites: partSites(({ kind }) => kind === 'pump'),
    apply: (netlist, site) => withPart(netlist, site, (part) => (part.kind === 'pump' ? { ...part, condition } : part)),
  };
}

/** Brushes worn down: no current in this position of the shaft, and perhaps some in another. */
export const brushesWorn = motorFault('Brushes worn', 'brushes worn', 'open');
export const windingOpen = motorFault('Winding open', 'winding open', 'open');
export const rotorLocked = motorFault('Rotor locked', 'rotor locked', 'locked');
export const runningDry = motorFault('Running dry', 'running dry', 'dry');
