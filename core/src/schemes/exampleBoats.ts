import { newCircuit, newJob, type Circuit, type Job } from '../job';
import { pumpCatalogue, type PumpClassKey } from '../reference';
import { typicalCircuitWater, typicalIngress, typicalLegs, typicalPoses, typicalWell } from '../water';
import type { schemeKeys } from './keys';

interface ExampleCircuit {
  readonly name: string;
  readonly scheme: (typeof schemeKeys)[number];
  readonly pump: PumpClassKey;
  /** Height of its float's base over the pump's, m; left out: where it mostly stands. */
  readonly floatM?: number;
  readonly more?: Partial<Circuit>;
}

interface ExampleBoat {
  readonly name: string;
  /** What it shows, in a sentence. */
  readonly summary: string;
  readonly hullLengthM: number;
  readonly boat?: Partial<Job['boat']>;
  readonly circuits: readonly [ExampleCircuit, ...ExampleCircuit[]];
}

/** A backup that its maker's alarm tells of: its float stands above the first pump's. */
const backup = (floatM: number, pump: PumpClassKey): ExampleCircuit => ({
  name: 'Backup with alarm',
  scheme: 'backup-alarm',
  pump,
  floatM,
});

/** Kinds of craft to begin from. Nothing of them is measured: every length, height and pump figure is marked as a guess. */
export const exampleBoats = {
  open: {
    name: 'Small open boat',
    summary: 'A pump with its float inside, kept ashore, fed through the isolator.',
    hullLengthM: 4.5,
    boat: { kept: 'ashore' },
    circuits: [
      { name: 'Bilge pump', scheme: 'three-way-integral', pump: 'small', more: { source: { feed: 'isolator' } } },
    ],
  },
  day: {
    name: 'Day boat',
    summary: 'A pump with a float beside it and a manual / off / auto switch, afloat on a mooring.',
    hullLengthM: 8,
    circuits: [{ name: 'Bilge pump', scheme: 'three-way-float', pump: 'medium' }],
  },
  yacht: {
    name: 'Yacht',
    summary: 'A first pump, and above it a backup that sounds an alarm.',
    hullLengthM: 11,
    circuits: [{ name: 'Bilge pump', scheme: 'three-way-float', pump: 'medium' }, backup(0.15, 'large')],
  },
  work: {
    name: 'Work boat',
    summary: 'A heavy pump switched by a relay, and above it a backup that sounds an alarm.',
    hullLengthM: 13,
    circuits: [{ name: 'Bilge pump', scheme: 'relay', pump: 'heavy' }, backup(0.15, 'heavy')],
  },
} as const satisfies Readonly<Record<string, ExampleBoat>>;

export type ExampleBoatKey = keyof typeof exampleBoats;

export const exampleBoatKeys = Object.keys(exampleBoats) as readonly ExampleBoatKey[];

/** Ids for a boat of an example, made by the caller: each must be another. */
export interface ExampleIds {
  readonly boatId: string;
  readonly batteryId: string;
  readonly wellId: string;
  readonly circuitIds: readonly string[];
}

/**
 * A boat begun from an example of its kind.
 * @param hullLengthM as it is; left out: the example's own, m
 * @param choices what new circuits are judged by on this device
 */
export function exampleBoat(
  key: ExampleBoatKey,
  ids: ExampleIds,
  name: string,
  hullLengthM: number | undefined,
  choices: Circuit['choices'],
): Job {
  const example: ExampleBoat = exampleBoats[key];
  const lengthM = hullLengthM ?? example.hullLengthM;
  const job = newJob(ids, name, lengthM);
  return {
    ...job,
    boat: { ...job.boat, craft: example.name, ...example.boat },
    wells: [typicalWell(ids.wellId, lengthM)],
    poses: typicalPoses(lengthM),
    ingress: typicalIngress(lengthM),
    circuits: example.circuits.map((one, index) => circuitOf(one, ids, index, lengthM, choices)),
  };
}

function circuitOf(
  { name, scheme, pump: pumpClass, floatM, more }: ExampleCircuit,
  { batteryId, wellId, circuitIds }: ExampleIds,
  index: number,
  lengthM: number,
  choices: Circuit['choices'],
): Circuit {
  const { name: _class, ...figures } = pumpCatalogue[pumpClass];
  const pump = { ...figures, catalogue: pumpClass };
  const water = typicalCircuitWater(wellId, pump, lengthM);
  return {
    ...newCircuit(circuitIds[index] ?? `circuit-${index + 1}`, name, scheme, batteryId),
    legs: typicalLegs(lengthM),
    pump,
    water: floatM === undefined ? water : { ...water, float: { xM: 0.1, yM: 0, zM: floatM } },
    ...(choices ? { choices } : {}),
    ...more,
  };
}
