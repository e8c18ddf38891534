import { batteryAtWork, type BatteryAtWork } from './batteryAtWork';
import { FlowTable } from './flowTable';
import { mostInflow } from './ingress';
import type { PartsAtWork } from './nextEvent';
import { FloatAtWork, PumpAtWork } from './pumpAtWork';
import type { SimFloat, SimQuestion } from './simQuestion';
import { cubicOver, lazyPoints } from './volumeGrid';

/** A question's parts as they stand when its run begins, heights turned into volumes of the well. */
export interface SimParts extends PartsAtWork {
  readonly pumps: readonly PumpAtWork[];
  readonly alarms: readonly FloatAtWork[];
  readonly batteries: readonly BatteryAtWork[];
  /** What each pump moves, by speed and volume. */
  readonly tables: readonly FlowTable[];
  /** Level by volume, m; exact beyond the volumes that matter. */
  levelAt(volumeM3: number): number;
}

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
  const known = [limitM3, startM3, ...atWork.map(({ gainM3 }) => gainM3), ...floats];
  const mostM3 = 1.2 * Math.max(1e-3, ...known.filter(Number.isFinite));
  const near = cubicOver(
    mostM3,
    lazyPoints(mostM3, (volumeM3) => well.levelM(volumeM3)),
  );
  const levelAt = (volumeM3: number) => (volumeM3 <= mostM3 ? near(volumeM3) : well.levelM(volumeM3));
  return {
    pumps: atWork,
    alarms,
    batteries: batteries.map(batteryAtWork),
    tables: pumps.map((pump) => new FlowTable(mostM3, (speed, at) => pump.flow(speed, levelAt(at)))),
    levelAt,
    limitM3,
    kinksM3: ingress.flatMap((one) =>
      one.kind === 'opening' ? [volume(one.heightM), volume(Math.max(one.outsideM, one.heightM))] : [],
    ),
    fineness,
  };
}
