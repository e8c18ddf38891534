import type { Doing, KeptRow, Setting } from '../circuit';
import { newCircuit, type Circuit } from '../job';
import { ampacity } from '../wiring';
import { conductorSizes, findSize, minimumSize } from '../reference';
import { outlinePlan, type Plan, type PlannedConductor } from '../schemes';
import type {
  AlarmFacts,
  Behaviour,
  CircuitFacts,
  ConductorFacts,
  DeviceFacts,
  ProtectionFacts,
  SupplyFacts,
} from './facts';
import { ideasOf as workedOut, type Judgement, type Means } from './finding';

/** A change to some of the fields of an object. */
export type Change<T> = { readonly [K in keyof T]?: T[K] | undefined };

export const plainCircuit = (more: Partial<Circuit> = {}): Circuit => ({
  ...newCircuit('main', 'Main', 'three-way-float', 'house'),
  pump: { currentA: 5 },
  ...more,
});

const battery = { id: 'house', name: 'House battery' };
export const boat = { id: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', name: 'Tern' };

/** A conductor of 3 m in 14 AWG with 105 °C insulation, carrying 5 A. */
export function conductorOf(
  id: string,
  more: Omit<Change<ConductorFacts>, 'planned'> & {
    readonly planned?: Change<PlannedConductor>;
    readonly insulationC?: number;
    readonly engineSpace?: boolean;
  } = {},
): ConductorFacts {
  const { planned: plannedMore, insulationC = 105, engineSpace = false, ...rest } = more;
  const size = rest.size ?? '14 AWG';
  const named = findSize(size);
  if (!named) throw new RangeError(size);
  const run = { lengthM: 3, insulationC, engineSpace, temperatureC: 30 };
  const allowed = ampacity({ size, family: named.family, insulationC, engineSpace });
  const sizes = conductorSizes[named.family].map((row) => row.size);
  const planned: PlannedConductor = {
    id,
    name: `${id.charAt(0).toUpperCase()}${id.slice(1)}`,
    from: { part: 'fuse', terminal: 'load' },
    to: { part: 'pump', terminal: 'plus' },
    role: 'supply',
    colour: { base: 'red' },
    leg: 'panelToBilge',
    lengthM: 3,
    runs: [run],
    duty: 'pump',
    ...(plannedMore as Partial<PlannedConductor>),
  };
  return {
    planned,
    size,
    family: named.family,
    areaMm2: named.areaMm2,
    leastSize: minimumSize[named.family],
    underLeast: sizes.indexOf(size) < sizes.indexOf(minimumSize[named.family]),
    proposedSize: size,
    overridden: false,
    pieces: [{ run, temperatureC: 30, resistanceOhm: 0.02, ampacity: allowed }],
    resistanceOhm: 0.02,
    ampacity: allowed,
    designA: 5,
    dropV: 0.1,
    runningA: 5,
    ...(rest as Partial<ConductorFacts>),
  };
}

/** A blade fuse of 10 A that carries 5 A. */
export function deviceOf(id: string, more: Change<DeviceFacts> = {}): DeviceFacts {
  return {
    id,
    name: id === 'fuse' ? 'Fuse' : id === 'panel-fuse' ? 'Panel fuse' : 'Main fuse',
    kind: 'blade',
    ratingA: 10,
    designA: 5,
    onChargeA: 5.5,
    inrushA: 20,
    inrushOpening: { kind: 'opens', seconds: 1 },
    ...(more as Partial<DeviceFacts>),
  };
}

export function protectionOf(more: Change<ProtectionFacts> = {}): ProtectionFacts {
  return {
    kind: 'blade',
    ratingA: 10,
    answer: { found: true, rating: { kind: 'blade', ratingA: 7.5 }, because: 'over-running' },
    overridden: false,
    proposed: { kind: 'blade', ratingA: 7.5 },
    lockedRotorA: 25,
    lockedRotorOpening: { kind: 'opens', seconds: 2 },
    windingTurn: null,
    legs: null,
    farShortA: 120,
    farShortOpening: { kind: 'opens', seconds: 0.1 },
    inrushA: 30,
    devices: [deviceOf('fuse')],
    sourceFaultA: 900,
    postFaultA: 2100,
    interruptA: 1000,
    taps: [],
    leastProtected: { conductor: conductorOf('auto'), ratingA: 10 },
    panel: null,
    main: null,
    makerA: null,
    stubLengthM: 0.15,
    stubSheathed: false,
    ...(more as Partial<ProtectionFacts>),
  };
}

/** What a test says of a circuit in one setting. */
export interface Said {
  readonly switch?: 'off' | 'auto' | 'manual';
  readonly float?: 'up' | 'down';
  readonly others?: Setting['switches'];
  /** Volts across each part. */
  readonly volts?: Readonly<Record<string, number>>;
  /** What each part does. */
  readonly doing?: Readonly<Record<string, Doing>>;
  readonly amps?: Readonly<Record<string, number>>;
  readonly latched?: readonly string[];
}

function settingOf({ switch: position, float, others = {} }: Said): Setting {
  return {
    switches: { ...(position ? { switch: position } : {}), ...others },
    floats: float ? { float } : {},
  };
}

/** Terminals across which rules ask for volts: plus and minus of each kind of part. */
const ACROSS = [
  ['plus', 'minus'],
  ['post', 'minus'],
  ['86', '85'],
] as const;

/** A solved row, of which only what is said is known; a part of which nothing is said is dark, and a relay pulled in. */
export function rowOf({ volts = {}, doing = {}, amps = {}, latched = ['relay'], ...said }: Said): KeptRow {
  const parts = [...new Set([...Object.keys(volts), ...Object.keys(doing), ...Object.keys(amps), ...KNOWN_PARTS])];
  const across = parts.flatMap((part) => ACROSS.map(([plus, minus]) => ({ part, plus, minus })));
  return {
    setting: settingOf(said),
    point: {
      names: {
        parts,
        conductors: parts,
        terminals: across.flatMap(({ part, plus, minus }) => [`${part}.${plus}`, `${part}.${minus}`]),
      },
      terminalsV: across.flatMap(({ part }) => [volts[part] ?? 0, 0]),
      partsA: parts.map((part) => amps[part] ?? 0),
      conductorsA: parts.map((part) => amps[part] ?? 0),
      doing: parts.map((part) => doing[part] ?? 'dark'),
      latched,
    },
    trouble: null,
  };
}

/** Parts of which rules ask, whether a test says something of them or not. */
const KNOWN_PARTS = ['pump', 'relay', 'alarm', 'running-light', 'armed-light'];

/** The base circuit doing what it should: manual always, auto with the float up, off never. */
export const soundRows: readonly KeptRow[] = (['off', 'auto', 'manual'] as const).flatMap((position) =>
  (['down', 'up'] as const).map((float) => {
    const runs = position === 'manual' || (position === 'auto' && float === 'up');
    return rowOf({ switch: position, float, volts: { pump: runs ? 12.2 : 0 } });
  }),
);

/** The plan of the circuit's own scheme, for its parts and their names. */
export function planOfCircuit(circuit: Circuit): Plan {
  return outlinePlan(circuit, battery);
}

export function behaviourOf(circuit: Circuit, more: Partial<Behaviour> = {}): Behaviour {
  return {
    wired: planOfCircuit(circuit),
    strays: [],
    differences: [],
    reversed: false,
    rows: soundRows,
    lowRows: [],
    lowestV: 12,
    ...more,
  };
}

export const supplyOf = (supplyV: number, pumpV = supplyV - 0.3, more: Partial<SupplyFacts> = {}): SupplyFacts => ({
  supplyV,
  pumpV,
  pumpA: 5,
  speedRatio: pumpV / 12,
  openFlowLPerH: null,
  setting: settingOf({ switch: 'auto', float: 'up' }),
  ...more,
});

/** A circuit that nothing is wrong with, and what a test changes of it. */
export function factsOf(more: Change<CircuitFacts> = {}): CircuitFacts {
  const circuit = more.circuit ?? plainCircuit();
  return {
    kind: 'pump',
    circuit,
    boat,
    choices: circuit.choices ?? {},
    automatic: true,
    duty: 'primary',
    units: 'metric',
    options: ['pump', 'three-way', 'float', 'running-light', 'armed-light'],
    others: [],
    sharedFeed: null,
    battery,
    family: 'awg',
    dropSchool: 'critical',
    motor: { labelA: 5, labelV: 12, windingOhm: 0.48 },
    designCurrentA: 5,
    fedA: 5,
    conductors: [conductorOf('stub', { planned: { leg: 'stub' } }), conductorOf('feed'), conductorOf('auto')],
    noSize: null,
    dropV: 0.3,
    dropPercent: 2.5,
    leadsDropV: 0,
    dropSetting: settingOf({ switch: 'auto', float: 'up' }),
    supplies: [supplyOf(12), supplyOf(12.8), supplyOf(13.6)],
    asMeasured: supplyOf(12.7),
    smallerSize: null,
    protection: protectionOf(),
    contacts: [],
    behaviour: behaviourOf(circuit),
    water: null,
    ...(more as Partial<CircuitFacts>),
  };
}

export const codesOf = (judgements: readonly Judgement[]): string[] => judgements.map(({ code }) => code);

export const find = (judgements: readonly Judgement[], code: string): Judgement | undefined =>
  judgements.find((one) => one.code === code);

/** The labels of the ideas of a judgement. */
export function ideasOf(judgement: Judgement | undefined, means: Means = { waterAs: () => null }): string[] {
  return judgement ? workedOut(judgement, means).map(({ label }) => label) : [];
}

/** The same circuit as an alarm with its own battery. */
export function alarmOf({
  circuit,
  boat: on,
  battery: own,
  units,
  conductors,
  behaviour,
  water,
}: CircuitFacts): AlarmFacts {
  return { kind: 'alarm', circuit, boat: on, battery: own, units, conductors, behaviour, water };
}
