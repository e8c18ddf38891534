import { conductorSites, type Fault } from './fault';

/** A conductor broken, or off its terminal. */
export const open: Fault = {
  title: 'Conductor open',
  name: 'open',
  sites: conductorSites,
  apply: (netlist, site) => ({ ...netlist, conductors: netlist.conductors.filter(({ id }) => id !== site) }),
};
