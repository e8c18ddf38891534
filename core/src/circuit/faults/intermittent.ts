import { partSites, withPart, type Fault } from './fault';

/** A joint that is open until it is touched or shaken: as it reads while it is open. */
export const intermittent: Fault = {
  title: 'Splice open now and then',
  name: 'open now and then',
  sites: partSites(({ kind }) => kind === 'joint'),
  apply: (netlist, site) =>
    withPart(netlist, site, (part) =>
      part.kind === 'joint'
        ? { ...part, wayOhm: Object.fromEntries(part.ways.slice(0, 1).map((way) => [way, Infinity])) }
        : part,
    ),
};
