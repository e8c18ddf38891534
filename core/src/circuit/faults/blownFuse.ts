import { partSites, withPart, type Fault } from './fault';

/** A fuse blown, or a breaker tripped. */
export const blownFuse: Fault = {
  title: 'Fuse blown',
  name: 'blown',
  sites: partSites(({ kind }) => kind === 'fuse'),
  apply: (netlist, site) =>
    withPart(netlist, site, (part) => (part.kind === 'fuse' ? { ...part, closed: false } : part)),
};
