import { partSites, withPart, type Fault } from './fault';

/** Of a sounder that is broken, Ω: nothing is heard, its light still shows. */
const BROKEN_OHM = 1e6;

/** An alarm whose sounder is dead, or whose own battery is. */
export const alarmSilent: Fault = {
  title: 'Alarm silent',
  name: 'silent',
  sites: partSites(({ kind }) => kind === 'alarm'),
  apply: (netlist, site) =>
    withPart(netlist, site, (part) => {
      if (part.kind !== 'alarm') return part;
      return part.ownV === undefined ? { ...part, ohm: BROKEN_OHM, broken: true } : { ...part, ownV: DEAD_V };
    }),
};

/** What an old battery of its own still has, V. */
const DEAD_V = 0.4;
