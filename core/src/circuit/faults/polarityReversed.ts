import type { Part } from '../parts';
import { partSites, withEnds, type Fault } from './fault';

/** Terminals that change places when a part is connected the wrong way round. */
function poles(part: Part | undefined): readonly [string, string] | null {
  switch (part?.kind) {
    case 'battery':
    case 'pump':
    case 'lamp':
    case 'probe-sensor':
      return ['plus', 'minus'];
    case 'alarm':
      return part.ownV === undefined ? ['plus', 'minus'] : null;
    case 'diode':
      return ['anode', 'cathode'];
    case 'relay':
      return ['86', '85'];
    default:
      return null;
  }
}

/** A part connected the wrong way round. */
export const polarityReversed: Fault = {
  title: 'Wrong way round',
  name: 'connected the wrong way round',
  // A battery reversed would move node 0 itself; everything is reckoned from its negative.
  sites: partSites((part) => part.kind !== 'battery' && poles(part) !== null),
  apply: (netlist, site) => {
    const ends = poles(netlist.parts.find(({ id }) => id === site));
    if (!ends) return netlist;
    const [one, other] = ends;
    return withEnds(netlist, (end) => {
      if (end.part !== site) return end;
      if (end.terminal === one) return { ...end, terminal: other };
      return end.terminal === other ? { ...end, terminal: one } : end;
    });
  },
};
