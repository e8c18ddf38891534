import { partSites, withPart, type Fault } from './fault';

/** Internal resistance of a battery at its end, against that of a good one. */
const TIMES_OHM = 20;

/** A flat or sulphated battery: little volts, and those go when it is asked for current. */
export const weakBattery: Fault = {
  title: 'Weak battery',
  name: 'weak',
  degree: { unit: 'V', usual: 11.4, least: 6, most: 12.4 },
  sites: partSites(({ kind }) => kind === 'battery'),
  apply: (netlist, site, emfV) =>
    withPart(netlist, site, (part) =>
      part.kind === 'battery' ? { ...part, emfV, internalOhm: part.internalOhm * TIMES_OHM } : part,
    ),
};
