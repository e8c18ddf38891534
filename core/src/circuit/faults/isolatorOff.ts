import { partSites, withPart, type Fault } from './fault';

/** The battery isolator turned off, by whom and for whatever reason. */
export const isolatorOff: Fault = {
  title: 'Isolator off',
  name: 'turned off',
  sites: partSites(({ kind }) => kind === 'isolator'),
  apply: (netlist, site) =>
    withPart(netlist, site, (part) => (part.kind === 'isolator' ? { ...part, closed: false } : part)),
};
