import type { FloatPosition, Part } from '../parts';
import { floating, partSites, withPart, type Fault } from './fault';

/** A float held up, by debris or a welded contact. */
export const stuckUp: Fault = {
  title: 'Float stuck up',
  name: 'stuck up',
  sites: partSites(floating),
  apply: (netlist, site) => withPart(netlist, site, (part) => heldAt(part, 'up')),
};

/** The float held where it is put. */
export function heldAt(part: Part, stuck: FloatPosition): Part {
  switch (part.kind) {
    case 'float-switch':
    case 'through-float':
    case 'probe-sensor':
    case 'pump':
      return { ...part, stuck };
    default:
      return part;
  }
}
