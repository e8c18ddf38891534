import type { Circuit, IngressSurvey, Job, Pose, WellSurvey } from '../job';
import type { PoseFacts, SupplyFacts, WaterFacts } from '../findings';
import { defaults, ourRules } from '../reference';
import type { Motor } from '../circuit';
import { schemeOf } from '../schemes';
import type { UnitSystem } from '../units';
import {
  climbM,
  curveFrom,
  drainBackM3,
  floatFrom,
  floatWindow,
  floorAt,
  hasDip,
  highestM,
  hoseFrom,
  loopM,
  ingressFrom,
  LITRE_PER_HOUR,
  mostInflow,
  outletM,
  poolAt,
  posedWell,
  posesOf,
  pumpPlaceOf,
  pumpPointAt,
  reversedCurve,
  riseAt,
  sensorOf,
  slopesOf,
  wellFrom,
  type Hose,
  type PlacedFloat,
  type PumpCurve,
  type WindowPose,
} from '../water';

/** What a circuit's water touches: its well, the boat's poses, and the pump it comes after. Plain data. */
export interface WaterSurroundings {
  readonly wells: readonly WellSurvey[];
  readonly poses: readonly [Pose, ...Pose[]];
  readonly ingress: readonly IngressSurvey[];
  readonly waterIn: 'sea' | 'fresh';
  readonly hullLengthM: number | null;
  readonly units: UnitSystem;
  /** Floats of the other circuits that pump first, each in its well; null for one that has none. */
  readonly firstFloats: readonly { readonly wellId: string; readonly float: PlacedFloat | null }[];
}

/** What the water of one circuit of a job touches. */
export function waterSurroundings(
  { boat, wells = [], poses, ingress = [], circuits }: Job,
  circuitId: string,
  units: UnitSystem,
): WaterSurroundings {
  return {
    wells,
    poses: posesOf({ poses }),
    ingress,
    waterIn: boat.afloatIn ?? 'sea',
    hullLengthM: boat.hullLengthM ?? null,
    units,
    firstFloats: circuits.flatMap((other) => (other.id === circuitId ? [] : firstFloat(other))),
  };
}

function firstFloat(circuit: Circuit): WaterSurroundings['firstFloats'] {
  const { water } = circuit;
  const { duty, senses } = schemeOf(circuit);
  if (!water || duty !== 'primary') return [];
  const kind = sensorOf(senses, water.float);
  return [{ wellId: water.wellId, float: kind === null || kind === 'timer' ? null : floatFrom(kind, water) }];
}

/** The float of the circuit that pumps first in the same well; null for that one itself. */
function primaryFloat(circuit: Circuit, { firstFloats }: WaterSurroundings): PlacedFloat | null {
  if (schemeOf(circuit).duty === 'primary') return null;
  return firstFloats.find(({ wellId }) => wellId === circuit.water?.wellId)?.float ?? null;
}

/** What drives a circuit's pump: none for an alarm. */
export interface PumpFacts {
  readonly motor: Motor;
  readonly supplies: readonly SupplyFacts[];
  /** Whether it turns backwards as it is wired. */
  readonly reversed: boolean;
}

/** Everything about a circuit's water that needs no long run; null where it is not surveyed. */
export function waterFactsOf(circuit: Circuit, around: WaterSurroundings, pump: PumpFacts | null): WaterFacts | null {
  const { water } = circuit;
  const survey = around.wells.find(({ id }) => id === water?.wellId);
  if (!water || !survey) return null;
  const place = pumpPlaceOf(water);
  const pool = poolAt(wellFrom(survey), place.xM);
  const sensor = sensorOf(schemeOf(circuit).senses, water.float);
  const float = sensor === null || sensor === 'timer' ? null : floatFrom(sensor, water);
  const hose = pump && water.hose ? hoseFrom(water.hose) : null;
  const sound = pump ? curveFrom(circuit.pump, pump.motor) : null;
  const curve = sound && pump?.reversed ? reversedCurve(sound) : sound;
  const after = primaryFloat(circuit, around);
  const poses = around.poses.map((pose) =>
    poseFacts({ pose, survey, place, hose, curve, pump, waterIn: around.waterIn, float, after }),
  );
  const ingress = ingressFacts(circuit, around);
  const window =
    float &&
    floatWindow({
      float,
      pumps: pump !== null,
      poses: poses.map((facts) => windowPose(facts, { float, pool, after })),
      mostIngress: (ingress[0]?.mostLPerH ?? 0) * LITRE_PER_HOUR,
      marginM: ourRules.windowMarginM.value,
      drainBackFactor: ourRules.drainBackFactor.value,
      shortestRunS: ourRules.shortestRunS.value,
      abovePrimaryM: ourRules.backupAboveLeastM.value + ourRules.windowMarginM.value,
    });
  return {
    units: around.units,
    survey,
    pool,
    sensor,
    float,
    window,
    hose,
    curve,
    lowestShutOffM: curve && pump ? lowestShutOff(curve, pump) : null,
    wall: wallFacts(circuit, poses[0], curve, pump, around.waterIn),
    poses,
    waterIn: around.waterIn,
    hullLengthM: around.hullLengthM,
    ingress,
    reprimes: poses.some((facts) => reprimesIn(facts, pool)),
  };
}

interface PoseQuestion {
  readonly pose: Pose;
  readonly survey: WellSurvey;
  readonly place: { readonly xM: number; readonly yM: number; readonly zM: number };
  readonly hose: Hose | null;
  readonly curve: PumpCurve | null;
  readonly pump: PumpFacts | null;
  readonly waterIn: 'sea' | 'fresh';
  readonly float: PlacedFloat | null;
  /** The float that it comes after. */
  readonly after: PlacedFloat | null;
}

/** Head at which the pump stops moving water at the lowest supply compared, m. */
function lowestShutOff({ shutOffM }: PumpCurve, { supplies }: PumpFacts): number {
  const slowest = Math.min(...supplies.map(({ speedRatio }) => speedRatio));
  return slowest * slowest * shutOffM;
}

/** What a corrugated wall costs at 12.8 V in the first pose; null for a smooth one, or where flows are not known. */
function wallFacts(
  { water }: Circuit,
  first: PoseFacts | undefined,
  curve: PumpCurve | null,
  pump: PumpFacts | null,
  waterIn: 'sea' | 'fresh',
): WaterFacts['wall'] {
  const running = pump?.supplies.find(({ supplyV }) => supplyV === defaults.runningSupplyV);
  const liftM = first?.liftM ?? null;
  if (water?.hose?.wall !== 'corrugated' || !curve || !running || liftM === null) return null;
  const flowThrough = (hose: Hose) =>
    pumpPointAt(curve, hose, running.speedRatio, liftM, waterIn).flow / LITRE_PER_HOUR;
  return {
    corrugatedLPerH: flowThrough(hoseFrom(water.hose)),
    smoothLPerH: flowThrough(hoseFrom({ ...water.hose, wall: 'smooth' })),
  };
}

function poseFacts({ pose, survey, place, hose, curve, pump, waterIn, float, after }: PoseQuestion): PoseFacts {
  const slopes = slopesOf(pose);
  // Of the surface at the well's zero, for one at the pump's base.
  const zeroOf = (atPumpM: number) => place.zM + atPumpM - riseAt(slopes, place);
  const liftM = hose ? highestM(hose, slopes) : null;
  const limits = (survey.limits ?? []).map(({ id, name, xM = 0, yM = 0, zM }) => ({
    id,
    name,
    levelM: zM - riseAt(slopes, { xM, yM }),
  }));
  const [lowest] = [...limits].sort((one, other) => one.levelM - other.levelM);
  return {
    pose,
    liftM,
    drainBackL: hose ? 1000 * drainBackM3(hose, slopes) : 0,
    climbM: hose ? climbM(hose, slopes) : 0,
    dips: hose ? hasDip(hose, slopes) : false,
    outletOverM: hose && pose.outsideM !== undefined ? outletM(hose, slopes) + zeroOf(0) - pose.outsideM : null,
    loopOverM: hose?.loop && pose.outsideM !== undefined ? loopM(hose.loop, slopes) + zeroOf(0) - pose.outsideM : null,
    aboveFirstM:
      float && after
        ? float.zM + float.onM - riseAt(slopes, float) - (after.zM + after.onM - riseAt(slopes, after))
        : null,
    operating:
      hose && curve && pump && liftM !== null
        ? pump.supplies.map(({ supplyV, speedRatio }) => {
            const { flow, headM } = pumpPointAt(curve, hose, speedRatio, liftM, waterIn);
            return { supplyV, flowLPerH: flow / LITRE_PER_HOUR, headM };
          })
        : [],
    primeLossM: zeroOf(defaults.primeLossM),
    limit: lowest ?? null,
  };
}

/** What a pump moves at 12.8 V in a pose, m³/s; 0 while it is not known. */
function runningFlow({ operating }: PoseFacts): number {
  return (operating.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.flowLPerH ?? 0) * LITRE_PER_HOUR;
}

function windowPose(
  facts: PoseFacts,
  {
    float,
    pool,
    after,
  }: { readonly float: PlacedFloat; readonly pool: WaterFacts['pool']; readonly after: PlacedFloat | null },
): WindowPose {
  const slopes = slopesOf(facts.pose);
  const floorM = floorAt(pool, float);
  return {
    id: facts.pose.id,
    slopes,
    well: posedWell(pool, slopes),
    // A float beyond the walls has no floor; that is a finding of its own.
    floorM: Number.isFinite(floorM) ? floorM : -Infinity,
    drainBackM3: facts.drainBackL / 1000,
    flow: runningFlow(facts),
    primeLossM: facts.primeLossM,
    limit: facts.limit,
    afterM: after && after.zM + after.onM - riseAt(slopes, after),
  };
}

/** What each listed ingress brings at most in any pose, the worst first. */
function ingressFacts(circuit: Circuit, { ingress, poses }: WaterSurroundings): WaterFacts['ingress'] {
  return ingress
    .filter(({ wellId }) => wellId === undefined || wellId === circuit.water?.wellId)
    .map(({ id, name, sources }) => ({
      id,
      name,
      mostLPerH: Math.max(...poses.map((pose) => mostInflow(ingressFrom(sources, pose)))) / LITRE_PER_HOUR,
    }))
    .sort((one, other) => other.mostLPerH - one.mostLPerH);
}

/** Whether the hose's water, falling back at loss of prime, gives the pump its prime again. */
function reprimesIn({ pose, drainBackL, primeLossM }: PoseFacts, pool: WaterFacts['pool']): boolean {
  if (drainBackL === 0) return false;
  const well = posedWell(pool, slopesOf(pose));
  const gainM = primeLossM - defaults.primeLossM + defaults.primeGainM;
  return well.volumeM3(primeLossM) + drainBackL / 1000 >= well.volumeM3(gainM) - 1e-12;
}
