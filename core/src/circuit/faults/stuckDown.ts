import { floating, partSites, withPart, type Fault } from './fault';
import { heldAt } from './stuckUp';

/** A float held down, by debris, a wedge or a cracked arm. */
export const stuckDown: Fault = {
  title: 'Float stuck down',
  name: 'stuck down',
  sites: partSites(floating),
  apply: (netlist, site) => withPart(netlist, site, (part) => heldAt(part, 'down')),
};
