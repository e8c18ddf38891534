import { conductorSites, type Fault } from './fault';

/** A conductor whose insulation is chafed through: its far end touches negative. */
export const shortedToNegative: Fault = {
  title: 'Shorted to negative',
  name: 'shorted to negative',
  degree: { unit: 'Ω', usual: 0.02, least: 0.005, most: 20 },
  sites: conductorSites,
  apply: (netlist, site, ohm) => {
    const wire = netlist.conductors.find(({ id }) => id === site);
    if (!wire) return netlist;
    const short = { id: `${site}-short`, from: wire.to, to: netlist.ground, ohm };
    return { ...netlist, conductors: [...netlist.conductors, short] };
  },
};
