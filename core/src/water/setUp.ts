import { batteryAtWork, type BatteryAtWork } from './batteryAtWork';
import { HoseFlow } from './hoseFlow';
import { mostInflow } from './ingress';
import type { PartsAtWork } from './nextEvent';
import { FloatAtWork, PumpAtWork } from './pumpAtWork';
import { RootGrid } from './rootGrid';
import type { SimFloat, SimPump, SimQuestion } from './simQuestion';

/** A question's parts as they stand when its run begins, heights turned into volumes of the well. */
export interface SimParts extends PartsAtWork {
  readonly pumps: readonly PumpAtWork[];
  readonly alarms: readonly FloatAtWork[];
  readonly batteries: readonly BatteryAtWork[];
  /** What each pump takes at a speed, m³/s, by the water in the well. */
  readonly takes: readonly ((speedRatio: number) => (volumeM3: number) => number)[];
  /** Water that the well holds before it spills over, m³; infinite where its sides have no end. */
  readonly topM3: number;
  /** Level by volume, m; exact beyond the volumes that matter. */
  levelAt(volumeM3: number): number;
}

/** Points over the volumes that matter, at the usual fineness. */
const LEVEL_POINTS = 160;

/** @throws RangeError for an ingress that takes water out. */
export function setUp(question: SimQuestion): SimParts {
  const { well, startM3, pumps, limitM, batteries, ingress, fineness = 1 } = question;
  if (mostInflow(ingress) < 0) throw new RangeError('Water comes in or it does not: no ingress is below 0.');
  const volume = (levelM: number) => well.volumeM3(levelM);
  const float = (sensor: SimFloat) => new FloatAtWork(sensor, volume(sensor.onM), volume(sensor.offM), startM3);
  const atWork = pumps.map(
    (pump) =>
      new PumpAtWork(
        pump,
        pump.sensor?.kind === 'float' ? float(pump.sensor) : null,
        volume(pump.primeLossM),
        volume(pump.primeGainM),
        startM3,
      ),
  );
  const alarms = question.alarms.map(({ sensor }) => float(sensor));
  const limitM3 = limitM === null ? Infinity : volume(limitM);
  const floats = [...atWork.flatMap((pump) => pump.float ?? []), ...alarms].map(({ onM3 }) => onM3);
  const topM3 = question.topM === undefined ? Infinity : volume(question.topM);
  const known = [limitM3, startM3, ...atWork.map(({ gainM3 }) => gainM3), ...floats, topM3];
  const mostM3 = 1.2 * Math.max(1e-3, ...known.filter(Number.isFinite));
  const near = new RootGrid(mostM3, Math.ceil(LEVEL_POINTS * fineness), (volumeM3) => well.levelM(volumeM3));
  // Ingress and each pump ask for one volume after the other's.
  let [lastM3, lastM] = [NaN, NaN];
  const levelAt = (volumeM3: number) => {
    if (volumeM3 !== lastM3) {
      lastM = volumeM3 <= mostM3 ? near.at(volumeM3) : well.levelM(volumeM3);
      lastM3 = volumeM3;
    }
    return lastM;
  };
  return {
    pumps: atWork,
    alarms,
    batteries: batteries.map(batteryAtWork),
    takes: pumps.map((pump) => takesOf(pump, levelAt, (volumeM3) => well.levelM(volumeM3), fineness)),
    topM3,
    levelAt,
    limitM3,
    kinksM3: ingress.flatMap((one) =>
      one.kind === 'opening' ? [volume(one.heightM), volume(Math.max(one.outsideM, one.heightM))] : [],
    ),
    fineness,
  };
}

/** What a pump takes at a speed, by the water in the well. */
function takesOf(
  { moves }: SimPump,
  levelAt: (volumeM3: number) => number,
  exactLevelAt: (volumeM3: number) => number,
  fineness: number,
): (speedRatio: number) => (volumeM3: number) => number {
  if (typeof moves === 'function') return (speedRatio) => (volumeM3) => moves(speedRatio, levelAt(volumeM3));
  const hoseFlow = new HoseFlow(moves, fineness);
  return (speedRatio) => hoseFlow.atSpeed(speedRatio, levelAt, exactLevelAt);
}
