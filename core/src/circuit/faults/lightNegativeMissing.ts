import { partSites, type Fault } from './fault';

/** A light whose negative was never brought to it, or has come off. */
export const lightNegativeMissing: Fault = {
  title: 'Light’s negative missing',
  name: 'negative missing',
  sites: partSites(({ kind }) => kind === 'lamp' || kind === 'alarm'),
  apply: (netlist, site) => ({
    ...netlist,
    conductors: netlist.conductors.filter(
      ({ from, to }) => ![from, to].some((end) => end.part === site && end.terminal === 'minus'),
    ),
  }),
};
