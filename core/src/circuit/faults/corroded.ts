import { conductorSites, partSites, withConductor, withPart, type Fault } from './fault';

const joints = partSites(({ kind }) => kind === 'joint');

/** A splice, or an end of a conductor, that has grown a resistance. */
export const corroded: Fault = {
  title: 'Corroded',
  name: 'corroded',
  degree: { unit: 'Ω', usual: 5, least: 0.2, most: 200 },
  sites: (netlist) => [...joints(netlist), ...conductorSites(netlist)],
  apply: (netlist, site, ohm) =>
    withConductor(
      withPart(netlist, site, (part) => (part.kind === 'joint' ? { ...part, ohm: part.ohm + ohm } : part)),
      site,
      (wire) => ({ ...wire, ohm: wire.ohm + ohm }),
    ),
};
