import { partSites, withPart, type Fault } from './fault';

/** A fuse of another rating than the one that belongs there. */
export const wrongFuse: Fault = {
  title: 'Wrong fuse',
  name: 'of the wrong rating',
  degree: { unit: 'A', usual: 30, least: 0.5, most: 200 },
  sites: partSites(({ kind }) => kind === 'fuse'),
  apply: (netlist, site, ratingA) =>
    withPart(netlist, site, (part) => {
      if (part.kind !== 'fuse') return part;
      const { ohm: _own, ...rest } = part;
      return { ...rest, ratingA };
    }),
};
