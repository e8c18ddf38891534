import type { NetConductor, Netlist, TerminalRef } from '../netlist';
import type { Part } from '../parts';
import { withEnds, type Fault, type FaultSite } from './fault';

const AT_PANEL: readonly Part['kind'][] = ['three-way-switch', 'on-off-switch', 'relay'];

interface End {
  readonly wire: string;
  readonly end: 'from' | 'to';
  readonly at: TerminalRef;
}

/** Ends of conductors at the posts of a switch or relay. */
function endsAt({ conductors, parts }: Netlist): End[] {
  const posts = new Set(parts.filter(({ kind }) => AT_PANEL.includes(kind)).map(({ id }) => id));
  return conductors.flatMap(({ id, from, to }: NetConductor) => [
    ...(posts.has(from.part) ? [{ wire: id, end: 'from', at: from } as const] : []),
    ...(posts.has(to.part) ? [{ wire: id, end: 'to', at: to } as const] : []),
  ]);
}

function pairs(netlist: Netlist): (readonly [End, End])[] {
  const ends = endsAt(netlist);
  return ends.flatMap((one, index) =>
    ends
      .slice(index + 1)
      .flatMap((other) =>
        one.at.part === other.at.part && one.at.terminal !== other.at.terminal && one.wire !== other.wire
          ? [[one, other] as const]
          : [],
      ),
  );
}

const siteOf = ([one, other]: readonly [End, End]): FaultSite => ({
  id: `${one.wire}~${other.wire}`,
  about: `${one.wire} and ${other.wire}`,
});

/** Two conductors on each other's posts of the same switch or relay. */
export const swappedAtPanel: Fault = {
  title: 'Two swapped at the panel',
  name: 'swapped at the panel',
  sites: (netlist) => {
    const sites = pairs(netlist).map(siteOf);
    return sites.filter((site, index) => sites.findIndex(({ id }) => id === site.id) === index);
  },
  apply: (netlist, site) => {
    const pair = pairs(netlist).find((candidate) => siteOf(candidate).id === site);
    if (!pair) return netlist;
    const [one, other] = pair;
    return withEnds(netlist, (end, wire) => {
      if (wire.id === one.wire && end === wire[one.end]) return other.at;
      return wire.id === other.wire && end === wire[other.end] ? one.at : end;
    });
  },
};
