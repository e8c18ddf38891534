import type { AssessedAlarm, AssessedPump } from '../assess';
import { fusesBlownBy } from './blown';
import type { TerminalRef } from '../circuit';
import type { Plan } from '../schemes';
import type { Hypothesis } from './hypothesis';
import type { Candidate, FaultGround } from './making';
import { ofPart } from './partFaults';
import { sharesOf, type ShareGroup, type SharesKnown } from '../reference';
import { ofWater } from './wetFaults';
import { ofConductors, ofWiring } from './wireFaults';

/** Everything that may be wrong with a circuit as it is built, with shares. */
export function hypothesesOf(assessed: AssessedPump | AssessedAlarm, known: SharesKnown = {}): Hypothesis[] {
  const { plan, netlist } = assessed;
  const names = new Map([
    ...plan.parts.map(({ part, name }) => [part.id, name] as const),
    ...plan.conductors.map(({ id, name }) => [id, name] as const),
    ...plan.existing.map(({ id, from, to }) => [id, existingName(plan, id, from, to)] as const),
  ]);
  const bands = new Map(plan.parts.map(({ part, band }) => [part.id, band]));
  const ground: FaultGround = {
    assessed,
    plan,
    netlist,
    nameOf: (id) => names.get(id) ?? id,
    bandOf: (part) => bands.get(part) ?? 'bilge',
    blownBy: (fault) => fusesBlownBy(netlist, fault),
  };
  const singles = [
    ...netlist.parts.flatMap((part) => ofPart(ground, part)),
    ...ofConductors(ground),
    ...ofWiring(ground),
    ...ofWater(ground),
  ];
  const all = [...singles, ...pairs(singles), sound];
  return shared(unlike(all), known);
}

/** What was there before is named by what it comes out of: the negative to the battery, the leads of a pump or float. */
function existingName({ parts }: Plan, id: string, ...ends: readonly TerminalRef[]): string {
  if (id === 'main-negative') return 'Negative from bus to battery';
  const own = ends.flatMap(({ part, terminal }) => {
    const found = parts.find((one) => one.part.id === part);
    if (!found || found.part.kind === 'joint') return [];
    return [
      found.band === 'bilge' ? `${found.name}’s own lead (${terminal})` : `Link to ${lower(found.name)} (${terminal})`,
    ];
  });
  return own[0] ?? id;
}

/** Each once: two ways of saying the same are one. */
function unlike(all: readonly Candidate[]): Candidate[] {
  return [...new Map(all.map((one) => [one.id, one])).values()];
}

function shared(all: readonly Candidate[], known: SharesKnown): Hypothesis[] {
  const shares = sharesOf(
    all.map(({ group }) => group),
    known,
  );
  const members = new Map<ShareGroup, number>();
  for (const { group } of all) members.set(group, (members.get(group) ?? 0) + 1);
  return all.map((one) => ({ ...one, share: (shares.get(one.group) ?? 0) / (members.get(one.group) ?? 1) }));
}

const sound: Candidate = {
  id: 'sound',
  words: 'Nothing is wrong',
  faults: [],
  water: null,
  group: 'sound',
  repair: { code: 'none', words: 'Nothing to mend: look at how it is used', buys: false },
  at: [],
  shows: {},
};

/** What really comes together: a battery that a pump without an end has emptied, and two bad splices. */
function pairs(singles: readonly Candidate[]): Candidate[] {
  const weak = singles.find(({ group, faults: [one] }) => group === 'battery' && one?.degree === 11);
  const up = singles.find(({ faults: [one] }) => one?.code === 'stuck-up');
  const bad = singles.filter(
    ({ group, faults: [one] }) => group.startsWith('splice-') && one?.code === 'corroded' && one.degree === 1,
  );
  const two = bad.flatMap((one, at) => bad.slice(at + 1).map((other) => [one, other] as const));
  return [...(weak && up ? [[up, weak] as const] : []), ...two].map(([one, other]): Candidate => ({
    id: `${one.id}+${other.id}`,
    words: `${one.words}, and ${lower(other.words)}`,
    faults: [...one.faults, ...other.faults],
    water: null,
    group: 'pairs',
    repair: {
      code: `${one.repair.code}+${other.repair.code}`,
      words: `${one.repair.words}. ${other.repair.words}`,
      buys: one.repair.buys || other.repair.buys,
    },
    at: [...one.at, ...other.at],
    shows: { ...one.shows, ...other.shows },
  }));
}

/** As it goes on in a sentence; the name of a splice stays as it is. */
const lower = (words: string) => (/^J\d/.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1));
