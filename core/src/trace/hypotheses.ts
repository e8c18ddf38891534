import type { AssessedAlarm, AssessedPump } from '../assess';
import { faultOf, type FaultCode, type Netlist, type Part, type PlantedFault } from '../circuit';
import type { Plan } from '../schemes';
import { waterFaultKeys, waterFaultOf, type WaterFaultKey } from '../water';
import type { Hypothesis, Repair } from './hypothesis';
import { sharesOf, type Closed, type ShareGroup, type Story } from './shares';

/** How bad a joint, a holder or a contact may be, Ω; all equally likely. */
const JOINT_OHM = [0.3, 1, 5, 50] as const;
const CONTACT_OHM = [1, 5, 50] as const;
const TERMINAL_OHM = [1, 50] as const;
const BATTERY_V = [11.8, 11, 9] as const;
const LEAK_OHM = [100, 1000, 10_000] as const;

type Candidate = Omit<Hypothesis, 'share'>;

/** What hypotheses are made from. */
interface Ground {
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly nameOf: (id: string) => string;
  readonly bandOf: (part: string) => 'source' | 'panel' | 'bilge';
}

const idOf = ({ code, at, degree }: PlantedFault) => `${code}@${at}${degree === undefined ? '' : `=${degree}`}`;

/** Everything that may be wrong with a circuit as it is built, with shares. */
export function hypothesesOf(
  assessed: AssessedPump | AssessedAlarm,
  { story, closed }: { readonly story?: Story; readonly closed?: Closed } = {},
): Hypothesis[] {
  const { plan, netlist } = assessed;
  const names = new Map([
    ...plan.parts.map(({ part, name }) => [part.id, name] as const),
    ...plan.conductors.map(({ id, name }) => [id, name] as const),
    ...plan.existing.flatMap(({ id }) =>
      id === 'main-negative' ? [[id, 'Negative from bus to battery'] as const] : [],
    ),
  ]);
  const bands = new Map(plan.parts.map(({ part, band }) => [part.id, band]));
  const ground: Ground = {
    assessed,
    plan,
    netlist,
    nameOf: (id) => names.get(id) ?? id,
    bandOf: (part) => bands.get(part) ?? 'bilge',
  };
  const singles = [
    ...netlist.parts.flatMap((part) => ofPart(ground, part)),
    ...ofConductors(ground),
    ...ofWiring(ground),
    ...ofWater(ground),
  ];
  const all = [...singles, ...pairs(singles), sound];
  return shared(unlike(all), story, closed);
}

/** Each once: two ways of saying the same are one. */
function unlike(all: readonly Candidate[]): Candidate[] {
  return [...new Map(all.map((one) => [one.id, one])).values()];
}

function shared(all: readonly Candidate[], story?: Story, closed?: Closed): Hypothesis[] {
  const shares = sharesOf(
    all.map(({ group }) => group),
    story,
    closed,
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

interface Making {
  readonly code: FaultCode;
  readonly at: string;
  readonly group: ShareGroup;
  readonly repair: Repair;
  readonly degrees?: readonly number[];
  readonly shows?: Readonly<Record<string, string>>;
  readonly where?: readonly string[];
  /** What comes with it, put in first. */
  readonly with?: readonly PlantedFault[];
}

/** The hypotheses of one kind of fault at one place, one for each degree. Where it does not fit there is none. */
function made({ netlist, nameOf }: Ground, making: Making): Candidate[] {
  const { code, at, group, repair, degrees, shows = {}, where = [at], with: along = [] } = making;
  const kind = faultOf(code);
  if (!kind.sites(netlist).some(({ id }) => id === at)) return [];
  const unit = kind.degree?.unit ?? '';
  const siteWords = (site: string) => {
    const [part = site, way] = site.split('.');
    const lead = netlist.conductors.find(({ from, to }) =>
      [from, to].some((end) => end.part === part && end.terminal === way),
    );
    return lead ? `${nameOf(lead.id)} at ${nameOf(part)}` : nameOf(part);
  };
  return (degrees ?? [undefined]).map((degree): Candidate => {
    const own: PlantedFault = { code, at, ...(degree === undefined ? {} : { degree }) };
    const faults = [...along, own];
    return {
      id: faults.map(idOf).join('+'),
      words: `${siteWords(at)} ${kind.name}${degree === undefined ? '' : `, ${degree} ${unit}`}`,
      faults,
      water: null,
      group,
      repair,
      at: where,
      shows,
    };
  });
}

const repairOf = (code: string, words: string, buys = false): Repair => ({ code, words, buys });

function ofPart(ground: Ground, part: Part): Candidate[] {
  const { nameOf, netlist } = ground;
  const { id } = part;
  const name = nameOf(id);
  switch (part.kind) {
    case 'joint':
      return ofJoint(ground, part.id, part.ways);
    case 'float-switch':
    case 'through-float':
    case 'probe-sensor':
      return ofFloat(ground, id, repairOf(`${id}:replace`, `Replace the ${name.toLowerCase()}`, true));
    case 'pump':
      return [
        ...(part.inside
          ? ofFloat(ground, id, repairOf(`${id}:replace`, 'Replace the pump: what starts it is inside', true))
          : []),
        ...made(ground, { code: 'winding-open', at: id, group: 'motor', repair: replacePump(id) }),
        ...made(ground, { code: 'brushes-worn', at: id, group: 'motor', repair: replacePump(id) }),
        ...made(ground, {
          code: 'rotor-locked',
          at: id,
          group: 'seized',
          repair: freePump(id),
          shows: { strainer: 'stuck fast' },
        }),
      ];
    case 'fuse':
      return [
        ...made(ground, {
          code: 'blown-fuse',
          at: id,
          group: 'fuse',
          repair: repairOf(`${id}:new`, `A new ${name.toLowerCase()} of the same rating`, true),
          shows: { [`fuse-look-${id}`]: 'blown', [`fuse-swap-${id}`]: 'holds' },
        }),
        ...pumpOf(netlist).flatMap((pump) =>
          made(ground, {
            code: 'blown-fuse',
            at: id,
            group: 'fuse',
            repair: freePump(pump),
            with: [{ code: 'rotor-locked', at: pump }],
            where: [id, pump],
            shows: {
              [`fuse-look-${id}`]: 'blown',
              [`fuse-swap-${id}`]: 'far too much current',
              strainer: 'stuck fast',
            },
          }),
        ),
        ...made(ground, {
          code: 'holder-corroded',
          at: id,
          group: 'holder',
          degrees: JOINT_OHM,
          repair: repairOf(`${id}:holder`, `Replace the holder of the ${name.toLowerCase()}`, true),
          shows: { [`fuse-look-${id}`]: 'green or burnt clips' },
        }),
      ];
    case 'battery':
      return made(ground, {
        code: 'weak-battery',
        at: id,
        group: 'battery',
        degrees: BATTERY_V,
        repair: repairOf(`${id}:charge`, 'Charge the battery, then test it under load'),
      });
    case 'isolator':
      return made(ground, {
        code: 'isolator-off',
        at: id,
        group: 'battery',
        repair: repairOf(`${id}:on`, 'Turn the isolator on'),
        shows: { 'isolator-look': 'off' },
      });
    case 'three-way-switch':
    case 'on-off-switch':
    case 'relay':
      return made(ground, {
        code: 'worn-contact',
        at: id,
        group: 'panel',
        degrees: CONTACT_OHM,
        repair: repairOf(`${id}:replace`, `Replace the ${name.toLowerCase()}`, true),
      });
    case 'alarm':
      return made(ground, {
        code: 'alarm-silent',
        at: id,
        group: 'alarm',
        repair: repairOf(
          `${id}:alarm`,
          part.ownV === undefined ? 'Replace the alarm' : 'A new battery for the alarm',
          true,
        ),
      });
    case 'lamp':
      return made(ground, {
        code: 'light-negative-missing',
        at: id,
        group: 'light',
        repair: repairOf(`${id}:light`, 'The light: its bulb, its tap and its negative'),
        shows: { 'tug-panel': `${name} loose` },
      });
    default:
      return [];
  }
}

const pumpOf = ({ parts }: Netlist) => parts.flatMap((part) => (part.kind === 'pump' ? [part.id] : []));
const replacePump = (pump: string) => repairOf(`${pump}:replace`, 'Replace the pump, or its motor', true);
const freePump = (pump: string) =>
  repairOf(`${pump}:unjam`, 'Open the pump and free its impeller; then a fuse of the same rating');

function ofJoint(ground: Ground, id: string, ways: readonly string[]): Candidate[] {
  const { nameOf, bandOf, netlist } = ground;
  const group: ShareGroup = bandOf(id) === 'panel' ? 'panel' : spliceGroup(netlist, id);
  const repair = repairOf(`${id}:remake`, `Remake ${nameOf(id)}`);
  const each = { at: id, group, repair } as const;
  return [
    ...made(ground, { ...each, code: 'corroded', degrees: JOINT_OHM }),
    ...made(ground, { ...each, code: 'intermittent' }),
    ...ways.flatMap((way) => [
      // Of a splice of two, one way is the whole of it.
      ...(ways.length > 2
        ? made(ground, { ...each, code: 'way-corroded', at: `${id}.${way}`, where: [id], degrees: JOINT_OHM })
        : []),
      ...made(ground, { ...each, code: 'way-off', at: `${id}.${way}`, where: [id] }),
    ]),
    ...made(ground, { ...each, code: 'leak', group: 'broken', degrees: LEAK_OHM }),
  ];
}

/** Where in the circuit a splice in the bilge stands. */
function spliceGroup({ conductors }: Netlist, joint: string): ShareGroup {
  const ends = conductors.flatMap(({ from, to }) => (from.part === joint ? [to] : to.part === joint ? [from] : []));
  if (ends.some(({ part, terminal }) => part === 'bus' || (part === 'pump' && terminal === 'minus')))
    return 'splice-negative';
  return ends.some(({ part, terminal }) => part === 'pump' && terminal === 'plus') ? 'splice-pump' : 'splice-float';
}

/** What senses water: its contact, how it moves, and how it hangs. */
function ofFloat(ground: Ground, id: string, replace: Repair): Candidate[] {
  return [
    ...made(ground, { code: 'worn-contact', at: id, group: 'float-dead', degrees: CONTACT_OHM, repair: replace }),
    ...made(ground, { code: 'stuck-down', at: id, group: 'float-dead', repair: replace }),
    ...made(ground, {
      code: 'stuck-down',
      at: id,
      group: 'float-stuck-down',
      repair: repairOf(`${id}:free`, 'Free the float, clean it, and see that it moves'),
      shows: { 'float-look': 'does not rise' },
    }).map((one) => ({ ...one, id: `${one.id}, held`, words: `${one.words}, held fast` })),
    ...made(ground, { code: 'stuck-up', at: id, group: 'float-stuck-up', repair: replace }),
  ];
}

/** Conductors: their ends at source and panel, and what happens along them. */
function ofConductors(ground: Ground): Candidate[] {
  const { netlist, nameOf, bandOf, plan } = ground;
  const kindOf = (id: string) => netlist.parts.find((part) => part.id === id)?.kind;
  const duties = new Map(plan.conductors.map(({ id, duty }) => [id, duty]));
  const fuse = netlist.parts.find(({ kind }) => kind === 'fuse')?.id;
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
    const laid = wet && dry.length > 0;
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
      ...(laid && positive && fuse !== undefined
        ? made(ground, {
            code: 'shorted-to-negative',
            at: id,
            group: 'shorted',
            repair: cable,
            with: [{ code: 'blown-fuse', at: fuse }],
            where: [id, fuse],
            shows: { ...chafed, [`fuse-look-${fuse}`]: 'blown', [`fuse-swap-${fuse}`]: 'blows again' },
          })
        : []),
    ];
  });
}

function ofWiring(ground: Ground): Candidate[] {
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
    ...pumpOf(netlist).flatMap((pump) =>
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

const waterGroups: Readonly<Record<WaterFaultKey, ShareGroup>> = {
  blocked: 'blocked',
  'impeller-broken': 'impeller',
  'air-lock': 'hose',
  'hose-kinked': 'hose',
  'hose-off': 'hose',
  'valve-jammed': 'valve',
  'float-fouled': 'float-stuck-up',
  'float-too-low': 'float-place',
  'float-upright': 'float-place',
};

const waterRepairs: Readonly<Record<WaterFaultKey, Repair>> = {
  blocked: repairOf('strainer:clean', 'Clean the strainer and what lies before it'),
  'impeller-broken': repairOf('impeller:replace', 'Replace the impeller, or the pump', true),
  'air-lock': repairOf('hose:bleed', 'Let the air out, and lead the hose so that it rises all the way'),
  'hose-kinked': repairOf('hose:lay', 'Lay the hose without a kink'),
  'hose-off': repairOf('hose:fit', 'Put the hose back on, with two clips'),
  'valve-jammed': repairOf('valve:replace', 'Take the check valve out, or replace it', true),
  'float-fouled': repairOf('float:clear', 'Clear what the float hangs on'),
  'float-too-low': repairOf(
    'float:raise',
    'Set the float where it switches off above the level at which the pump sucks air',
  ),
  'float-upright': repairOf('float:mount', 'Mount the float as its maker says, free to swing'),
};

function ofWater({ assessed, netlist }: Ground): Candidate[] {
  const [pump] = pumpOf(netlist);
  if (pump === undefined) return [];
  const floats = netlist.parts.some(({ kind }) => kind === 'float-switch' || kind === 'through-float');
  const valve = assessed.circuit.water?.hose?.checkValve === true;
  return waterFaultKeys
    .filter((key) => (key.startsWith('float-') ? floats : key !== 'valve-jammed' || valve))
    .map((key): Candidate => {
      const { name, seenAt, seen } = waterFaultOf(key);
      return {
        id: key,
        words: name,
        faults: [],
        water: key,
        group: waterGroups[key],
        repair: waterRepairs[key],
        at: [key.startsWith('float-') ? 'float' : pump],
        shows: { [seenAt === 'float' ? 'float-look' : seenAt === 'strainer' ? 'strainer' : 'hose']: seen },
      };
    });
}

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
