import { faultOf } from '../circuit';
import { made, pumpsOf, repairOf, type Candidate, type FaultGround } from './making';
import type { ShareGroup } from '../reference';

/** How bad a terminal may be, Ω. */
const TERMINAL_OHM = [1, 50] as const;

/** Conductors: their ends at source and panel, and what happens along them. */
export function ofConductors(ground: FaultGround): Candidate[] {
  const { netlist, nameOf, bandOf, plan } = ground;
  const kindOf = (id: string) => netlist.parts.find((part) => part.id === id)?.kind;
  const duties = new Map(plan.conductors.map(({ id, duty }) => [id, duty]));
  return netlist.conductors.flatMap(({ id, from, to }) => {
    const dry = [from, to].filter(({ part }) => bandOf(part) !== 'bilge' && kindOf(part) !== 'joint');
    const wet = [from, to].some(({ part }) => bandOf(part) === 'bilge');
    const bands = new Set(dry.map(({ part }) => bandOf(part)));
    const atSource = bands.has('source') && !bands.has('panel');
    const group: ShareGroup = duties.get(id) === 'light' ? 'light' : atSource ? 'battery' : 'panel';
    const terminal = repairOf(`${id}:terminal`, `Clean and tighten the terminals of ${nameOf(id)}`);
    const cable = repairOf(`${id}:cable`, `Replace or mend ${nameOf(id)}: it is chafed`);
    const [first] = dry;
    const shows = first ? { [`tug-${bandOf(first.part)}`]: `${nameOf(id)} loose or green` } : {};
    const positive = ![from, to].some((end) => end.part === 'bus' || end.terminal === 'minus');
    const laid = wet && [from, to].some(({ part }) => bandOf(part) !== 'bilge');
    const chafed = { 'cable-look': `${nameOf(id)} chafed` };
    return [
      ...(dry.length > 0
        ? [
            ...made(ground, { code: 'corroded', at: id, group, degrees: TERMINAL_OHM, repair: terminal, shows }),
            ...made(ground, { code: 'open', at: id, group, repair: terminal, shows }).map((one) => ({
              ...one,
              id: `${one.id}, terminal`,
              words: `${nameOf(id)} off its terminal`,
            })),
          ]
        : []),
      ...(laid ? made(ground, { code: 'open', at: id, group: 'broken', repair: cable, shows: chafed }) : []),
      ...(laid && positive ? ground.blownBy({ code: 'shorted-to-negative', at: id }) : []).flatMap((fuse) =>
        made(ground, {
          code: 'shorted-to-negative',
          at: id,
          group: 'shorted',
          repair: cable,
          with: [{ code: 'blown-fuse', at: fuse }],
          where: [id, fuse],
          shows: { ...chafed, [`fuse-look-${fuse}`]: 'blown', [`fuse-swap-${fuse}`]: 'blows again' },
        }),
      ),
    ];
  });
}

/** Conductors on each other’s posts, a pump the wrong way round. */
export function ofWiring(ground: FaultGround): Candidate[] {
  const { netlist, nameOf } = ground;
  const both = (pair: string) => pair.split('~').map(nameOf).join(' and ');
  return [
    ...faultOf('swapped-at-panel')
      .sites(netlist)
      .flatMap(({ id }) =>
        made(ground, {
          code: 'swapped-at-panel',
          at: id,
          group: 'wired-wrong',
          repair: repairOf(`${id}:swap`, `Put ${both(id)} each on its own post`),
          where: id.split('~'),
          shows: { 'wiring-look': `${both(id)} changed over` },
        }).map((one) => ({ ...one, words: `Swapped at the panel: ${both(id)}` })),
      ),
    ...pumpsOf(netlist).flatMap((pump) =>
      made(ground, {
        code: 'polarity-reversed',
        at: pump,
        group: 'wired-wrong',
        repair: repairOf(`${pump}:turn`, 'Change over the pump’s two leads'),
        shows: { 'leads-look': 'the wrong way round' },
      }),
    ),
  ];
}
