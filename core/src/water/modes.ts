import type { Flows, Passage } from './advance';
import type { BatteryAtWork } from './batteryAtWork';
import { dead, type DriveCurve } from './drive';
import type { PumpAtWork } from './pumpAtWork';
import { postsV } from './simBattery';

const positions = ['auto', 'manual', 'off'] as const;

/** What each circuit does while nothing switches and the charge hardly moves. */
export interface Mode {
  readonly charges: readonly number[];
  /** By battery. */
  readonly amps: readonly number[];
  /** Pumps that take water, and how much at a volume, m³/s. */
  readonly takers: readonly PumpAtWork[];
  readonly takes: readonly ((volumeM3: number) => number)[];
  /** The last few passages to a level, with what they depend on. */
  kept: readonly KeptPassage[];
  /** Flows while an inflow that no level changes stays the same. */
  inflow: number;
  flows: Flows | null;
}

export interface KeptPassage {
  readonly fromM3: number;
  readonly net: number;
  readonly target: number;
  readonly fillM3: number;
  readonly passage: Passage;
}

/** What is switched, as a number. */
export function modeKey(pumps: readonly PumpAtWork[], batteries: readonly BatteryAtWork[], nowS: number): number {
  let key = 1;
  for (const pump of pumps) {
    const works = pump.energised ? (pump.primed ? 2 : 1) : 0;
    key = key * 18 + works * 6 + positions.indexOf(pump.positionAt(nowS)) * 2 + (nowS >= pump.blownAtS ? 1 : 0);
  }
  for (const { dead: empty } of batteries) key = key * 2 + (empty ? 1 : 0);
  return key;
}

/**
 * What every circuit draws and every pump takes as things are switched now.
 * @param aheadBy how far on the way that its charge goes a battery is taken, so that what is kept a while is right halfway
 */
export function findMode(
  pumps: readonly PumpAtWork[],
  batteries: readonly BatteryAtWork[],
  takesAt: readonly ((speedRatio: number) => (volumeM3: number) => number)[],
  nowS: number,
  aheadBy: number,
): Mode {
  const speeds = new Map<PumpAtWork, number>();
  const amps = batteries.map((one) => {
    const own = pumps.filter((pump) => pump.pump.batteryId === one.battery.id);
    const curves = own.map((pump) => curveOf(pump, nowS, one.dead));
    const drawn = (volts: number) =>
      own.reduce((sum, pump, index) => sum + ampsOf(pump, curves[index] ?? dead, volts, nowS, one.dead), 0);
    const { battery } = one;
    const falls = Math.sign(one.amps - battery.chargeA);
    const charge = Math.min(1, Math.max(0, one.charge - falls * aheadBy));
    const volts = postsV(battery.emfV(charge), battery.internalOhm, (at) => drawn(at) - battery.chargeA);
    own.forEach((pump, index) => speeds.set(pump, pump.pump.locked ? 0 : (curves[index] ?? dead)(volts).speedRatio));
    return drawn(volts);
  });
  const takers = pumps.filter((pump) => pump.energised && pump.primed && (speeds.get(pump) ?? 0) > 0);
  return {
    charges: batteries.map(({ charge }) => charge),
    amps,
    takers,
    takes: takers.map((pump) => takesAt[pumps.indexOf(pump)]?.(speeds.get(pump) ?? 0) ?? (() => 0)),
    kept: [],
    inflow: 0,
    flows: null,
  };
}

function curveOf(pump: PumpAtWork, nowS: number, empty: boolean): DriveCurve {
  const { drive } = pump.pump;
  if (empty || nowS >= pump.blownAtS) return dead;
  const position = pump.positionAt(nowS);
  if (!pump.energised) return position === 'off' ? drive.off : drive.waiting;
  if (!pump.primed) return drive.dry;
  return position === 'manual' ? drive.manual : drive.running;
}

/** A locked pump draws what its winding lets through until its fuse opens. */
function ampsOf(pump: PumpAtWork, curve: DriveCurve, volts: number, nowS: number, empty: boolean): number {
  const { locked } = pump.pump;
  if (locked && pump.energised && !empty && nowS < pump.blownAtS) return locked.amps;
  return curve(volts).amps;
}
