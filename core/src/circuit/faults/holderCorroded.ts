import { fuseOhm } from '../parts';
import { partSites, withPart, type Fault } from './fault';

/** A fuse holder whose clips have corroded: the fuse is whole, and little comes through. */
export const holderCorroded: Fault = {
  title: 'Fuse holder corroded',
  name: 'holder corroded',
  degree: { unit: 'Ω', usual: 1, least: 0.1, most: 200 },
  sites: partSites(({ kind }) => kind === 'fuse'),
  apply: (netlist, site, ohm) =>
    withPart(netlist, site, (part) =>
      part.kind === 'fuse' ? { ...part, ohm: (part.ohm ?? fuseOhm(part.ratingA, part.dropV)) + ohm } : part,
    ),
};
