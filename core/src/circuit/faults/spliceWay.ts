import type { Netlist } from '../netlist';
import type { JointPart } from '../parts';
import { withPart, type Fault, type FaultSite } from './fault';

/** Every way into every joint. */
function ways({ parts, conductors }: Netlist): FaultSite[] {
  return parts.flatMap((part) =>
    part.kind === 'joint'
      ? part.ways.flatMap((way) => {
          const joined = conductors.find(({ from, to }) =>
            [from, to].some((end) => end.part === part.id && end.terminal === way),
          );
          return joined ? [{ id: `${part.id}.${way}`, about: `${joined.id} in ${part.id}` }] : [];
        })
      : [],
  );
}

/** The joint with one of its ways grown by so many ohms. */
function grownBy(netlist: Netlist, site: string, ohm: number): Netlist {
  const [id = '', way = ''] = site.split('.');
  return withPart(netlist, id, (part) =>
    part.kind === 'joint' ? { ...part, wayOhm: { ...part.wayOhm, [way]: wayOf(part, way) + ohm } } : part,
  );
}

const wayOf = ({ wayOhm }: JointPart, way: string) => wayOhm?.[way] ?? 0;

/** One conductor badly held in a joint, the others well. */
export const wayCorroded: Fault = {
  title: 'One conductor of a splice corroded',
  name: 'corroded in its splice',
  degree: { unit: 'Ω', usual: 1, least: 0.2, most: 200 },
  sites: ways,
  apply: grownBy,
};

/** A conductor that has come out of its joint. */
export const wayOff: Fault = {
  title: 'Conductor out of its splice',
  name: 'out of its splice',
  sites: ways,
  apply: (netlist, site) => grownBy(netlist, site, Infinity),
};
