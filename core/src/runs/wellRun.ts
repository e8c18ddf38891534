import type { Battery, IngressSurvey, Job, Pose } from '../job';
import type { WaterFacts } from '../findings';
import { batteryChemistry, defaults, internalResistanceOhm, ourRules, restingEmfV } from '../reference';
import { openingSeconds } from '../wiring';
import { schemeOf } from '../schemes';
import {
  drainBackM3,
  highestM,
  ingressFrom,
  posedWell,
  pumpPlaceOf,
  riseAt,
  simulate,
  slopesOf,
  type PlacedFloat,
  type WaterRun,
  type SimAlarm,
  type SimBattery,
  type SimFloat,
  type SimPump,
  type SimQuestion,
  type Slopes,
  type SwitchTurn,
} from '../water';
import type { AssessedCircuit } from '../assess';
import { circuitsOf, waterOf } from './circuitsOf';
import { driveOf } from './drive';
import { effectOfFault, type RunFault } from './runFaults';

export type Sized = Extract<AssessedCircuit, { status: 'sized' }>;

/** What a long run is asked. */
export interface WellRunQuestion {
  readonly job: Job;
  readonly assessed: readonly AssessedCircuit[];
  readonly wellId: string;
  readonly pose: Pose;
  readonly ingress: IngressSurvey | null;
  readonly hours: number;
  readonly tracePieces?: number;
  /** Which circuits are at work; left out: all. */
  readonly only?: 'none' | 'primary';
  readonly stopAtLimit?: boolean;
  /** Whether the times to the limit are left out. */
  readonly withoutLimits?: boolean;
  readonly faults?: Readonly<Record<string, RunFault>>;
  readonly turns?: Readonly<Record<string, readonly SwitchTurn[]>>;
  /** Share of full at which batteries begin. Default full. */
  readonly startCharge?: number;
}

/** Whether hose and curve of every pump of the well are known. */
function isKnown(one: AssessedCircuit): boolean {
  return (
    one.status !== 'sized' ||
    (one.facts.water !== null && one.facts.water.hose !== null && one.facts.water.curve !== null)
  );
}

/**
 * The well, its pumps, floats and batteries as a run takes them; null where nothing of the well is known, or
 * of one of its pumps not what it moves: no run is made up.
 */
export function simQuestionOf(question: WellRunQuestion): SimQuestion | null {
  const { job, assessed, wellId, pose, ingress, hours, only, faults = {} } = question;
  const own = circuitsOf(assessed, wellId);
  const water = own.map(waterOf).find((facts) => facts !== null);
  if (!water || !own.every(isKnown)) return null;
  const slopes = slopesOf(pose);
  const pumps = own
    .filter((one): one is Sized => one.status === 'sized')
    .filter(({ circuit }) => only !== 'none' && (only !== 'primary' || schemeOf(circuit).duty === 'primary'))
    .flatMap((one) => pumpOf(one, slopes, faults[one.circuit.id], question.turns?.[one.circuit.id]) ?? []);
  const well = posedWell(water.pool, slopes);
  const alarms = own.flatMap((one) => alarmOf(one, slopes));
  const facts = water.poses.find((known) => known.pose.id === pose.id);
  return {
    well,
    startM3: 0,
    ingress: ingress ? ingressFrom(ingress.sources, pose) : [],
    pumps,
    alarms,
    batteries: job.batteries
      .filter(({ id }) => pumps.some(({ batteryId }) => batteryId === id))
      .map((battery) => simBattery(battery, question.startCharge ?? 1)),
    limitM: facts?.limit?.levelM ?? null,
    topM: topOf(water, facts?.limit?.levelM, pumps, alarms),
    seconds: hours * 3600,
    tracePieces: question.tracePieces ?? 0,
    ...(question.stopAtLimit === undefined ? {} : { stopAtLimit: question.stopAtLimit }),
  };
}

/**
 * Where the well spills over: as surveyed, and never below what is looked for in it;
 * else so far above the highest thing in it that the water is in the rest of the boat.
 */
function topOf(
  { survey, pool }: WaterFacts,
  limitM: number | undefined,
  pumps: readonly SimPump[],
  alarms: readonly SimAlarm[],
): number {
  const floats = [...pumps, ...alarms].flatMap(({ sensor }) => (sensor?.kind === 'float' ? [sensor.onM] : []));
  const limits = [...(survey.limits ?? []).map(({ zM }) => zM), ...(limitM === undefined ? [] : [limitM])];
  const table =
    pool.shape.kind === 'table' ? [pool.floorM + Math.max(...pool.shape.rows.map((row) => row.heightM))] : [];
  const highestM = Math.max(0, pool.floorM, ...floats, ...limits, ...pumps.map(({ primeGainM }) => primeGainM));
  if (survey.topM !== undefined) return Math.max(survey.topM, highestM);
  return Math.max(highestM + ourRules.spillAboveM.value, ...table);
}

/** A long run of a well; null where nothing of it is known. */
export function runWell(question: WellRunQuestion): WaterRun | null {
  const asked = simQuestionOf(question);
  return asked && simulate(asked);
}

function pumpOf(
  { circuit, facts, netlist, plan }: Sized,
  slopes: Slopes,
  fault: RunFault | undefined,
  turns: readonly SwitchTurn[] = [],
): SimPump | null {
  const { water, motor, protection } = facts;
  if (!water || !circuit.water || !water.hose || !water.curve) return null;
  const { hose, curve, waterIn, sensor, float } = water;
  const place = pumpPlaceOf(circuit.water);
  // Of the surface at the well's zero, for one over this pump's base.
  const toZero = place.zM - riseAt(slopes, place);
  const { floatStuck, locked, checkValveOpen, dead } = effectOfFault(fault);
  // A check valve that debris holds open is none.
  const drains = checkValveOpen ? { ...hose, checkValve: false } : hose;
  const topM = highestM(hose, slopes);
  return {
    id: circuit.id,
    role: schemeOf(circuit).duty === 'backup' ? 'backup' : 'primary',
    batteryId: circuit.batteryId,
    // Of the well's zero, like every level of a run.
    moves: { curve, hose, topM: topM + toZero, water: waterIn },
    drainBackM3: drainBackM3(drains, slopes),
    primeLossM: toZero + defaults.primeLossM,
    primeGainM: toZero + defaults.primeGainM,
    sensor:
      sensor === 'timer'
        ? {
            kind: 'timer',
            periodS: circuit.water.float?.periodS ?? defaults.sensingPeriodS,
            feelS: circuit.water.float?.feelS ?? defaults.sensingFeelS,
          }
        : float && simFloat(float, slopes, floatStuck),
    drive: driveOf(netlist, motor, plan.ids),
    turns: dead ? [{ fromS: 0, position: 'off' }] : turns,
    ...(locked
      ? {
          locked: {
            amps: protection.lockedRotorA,
            opensAfterS: openingSeconds(protection.lockedRotorOpening) ?? Infinity,
          },
        }
      : {}),
  };
}

function simFloat(float: PlacedFloat, slopes: Slopes, stuck?: 'up' | 'down'): SimFloat {
  const shift = riseAt(slopes, float);
  return {
    kind: 'float',
    onM: float.zM + float.onM - shift,
    offM: float.zM + float.offM - shift,
    onDelayS: float.onDelayS,
    runOnS: float.runOnS,
    ...(stuck ? { stuck } : {}),
  };
}

/** A float that sounds: an alarm of its own, or the one a backup's float brings with it. */
function alarmOf(one: AssessedCircuit, slopes: Slopes): SimAlarm[] {
  const { duty, options } = schemeOf(one.circuit);
  const float = waterOf(one)?.float;
  if (!float || (duty !== 'alarm' && !options.includes('alarm'))) return [];
  return [{ id: one.circuit.id, sensor: simFloat(float, slopes) }];
}

function simBattery(battery: Battery, startCharge: number): SimBattery {
  const chemistry = battery.chemistry ?? 'lead-acid';
  const capacityAh = battery.capacityAh ?? defaults.capacityAh;
  const { usableTo, deadAt } = batteryChemistry[chemistry];
  return {
    id: battery.id,
    capacityAh,
    internalOhm: battery.internalOhm ?? internalResistanceOhm(chemistry, capacityAh),
    emfV: (charge) => restingEmfV(chemistry, charge),
    usableTo,
    deadAt,
    chargeA: battery.chargeA ?? 0,
    startCharge,
  };
}
