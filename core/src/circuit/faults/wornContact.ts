import type { Part } from '../parts';
import { partSites, withPart, type Fault } from './fault';

/** The contact of a switch, float, relay or isolator, burnt or worn. */
export const wornContact: Fault = {
  title: 'Contact worn',
  name: 'contact worn',
  degree: { unit: 'Ω', usual: 1, least: 0.02, most: 50 },
  sites: partSites((part) => 'contactOhm' in part || (part.kind === 'pump' && part.inside !== undefined)),
  apply: (netlist, site, contactOhm) => withPart(netlist, site, (part) => worn(part, contactOhm)),
};

function worn(part: Part, contactOhm: number): Part {
  if ('contactOhm' in part) return { ...part, contactOhm };
  return part.kind === 'pump' && part.inside ? { ...part, inside: { ...part.inside, contactOhm } } : part;
}
