import type { Netlist } from '../netlist';
import type { Fault, FaultSite } from './fault';

/** Joints that are not negative themselves: wet, they leak. */
function wetJoints({ parts, conductors }: Netlist): FaultSite[] {
  const minus = new Set(
    conductors.flatMap(({ from, to }) =>
      from.terminal === 'minus' || to.terminal === 'minus' || from.part === 'bus' || to.part === 'bus'
        ? [from.part, to.part]
        : [],
    ),
  );
  return parts.filter(({ kind, id }) => kind === 'joint' && !minus.has(id)).map(({ id }) => ({ id, about: id }));
}

/** A joint that bilge water reaches: it leaks to negative through the water. */
export const leak: Fault = {
  title: 'Leak to bilge water',
  name: 'leaking to the bilge water',
  degree: { unit: 'Ω', usual: 1000, least: 100, most: 10_000 },
  sites: wetJoints,
  apply: (netlist, site, ohm) => {
    const joint = netlist.parts.find(({ id }) => id === site);
    const [way] = joint?.kind === 'joint' ? joint.ways : [];
    if (way === undefined) return netlist;
    const through = { id: `${site}-leak`, from: { part: site, terminal: way }, to: netlist.ground, ohm };
    return { ...netlist, conductors: [...netlist.conductors, through] };
  },
};
