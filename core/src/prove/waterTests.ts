import { motorAt, solve } from '../circuit';
import {
  curveFrom,
  LITRE_PER_HOUR,
  posedWell,
  pumpPointAt,
  riseAt,
  sensorOf,
  slopesOf,
  type Hose,
  type PumpCurve,
} from '../water';
import { schemeOf } from '../schemes';
import { byHand, heldAt, onItsOwn, positionsFor, settingOf, type Ground } from './ground';
import { pumpRuns } from './liveTests';
import { seen, testOf, type Filling, type ProveTest } from './proveTest';
import type { Expected } from './windows';

/** How fast the pump turns by hand, or by the float where there is no hand. */
function speedOf(ground: Ground): number | null {
  const { pump, lever } = ground;
  const manual = positionsFor(ground, 'down', lever ? 'manual' : null);
  const set = pumpRuns(ground, manual) ? manual : positionsFor(ground, 'up', null);
  if (!pump || pumpRuns(ground, set) !== true) return null;
  const point = solve(heldAt(ground.netlist, ground.battery, true), settingOf(set), ground.memory);
  const condition = pump.condition === 'shorted' ? undefined : pump.condition;
  return motorAt(pump.motor, point.voltsAcross(pump.id, 'plus', 'minus'), condition).speedRatio;
}

const flowWindow = (flowLPerH: number, share: number): Expected => ({
  nominal: flowLPerH,
  low: flowLPerH * (1 - share),
  high: flowLPerH * (1 + share),
  unit: 'L/h',
});

/** What the pump moves at this lift through this hose, L/h. */
function flowThrough(ground: Ground, curve: PumpCurve, hose: Hose, liftM: number): number | null {
  const speed = speedOf(ground);
  const { water } = ground.assessed.facts;
  if (speed === null || !water) return null;
  return pumpPointAt(curve, hose, speed, liftM, water.waterIn).flow / LITRE_PER_HOUR;
}

/** What it moves with nothing before it, L/h: from one bucket into the next. */
export function openFlow(ground: Ground): number | null {
  const { pump, assessed } = ground;
  const curve = pump ? curveFrom(assessed.circuit.pump, pump.motor) : null;
  const speed = speedOf(ground);
  return curve && speed !== null ? (curve.openFlow * speed) / LITRE_PER_HOUR : null;
}

const LITRE_M3 = 0.001;
/** Nobody pours more by hand, L. */
const MOST_POURED_L = 200;

/** How the well fills at rest, to a little over where the float starts; null where there is none, or more than a hand pours. */
export function fillingOf({ assessed }: Ground): Filling | null {
  const { water } = assessed.facts;
  const [pose] = water?.poses ?? [];
  if (!water?.float || !pose) return null;
  const slopes = slopesOf(pose.pose);
  const well = posedWell(water.pool, slopes);
  const startsL = well.volumeM3(water.float.zM + water.float.onM - riseAt(slopes, water.float)) / LITRE_M3;
  if (!(startsL > 0) || startsL > MOST_POURED_L) return null;
  const count = Math.ceil(startsL * 1.25) + 2;
  return { startsL, levelsM: Array.from({ length: count }, (_, litres) => well.levelM(litres * LITRE_M3)) };
}

/** So much is let out of a measured vessel, L. */
const MEASURED_L = 10;
const CURVE_WANTED = 'Label figures of flow and shut-off head are wanted before a flow can be expected.';

/** Real water: what it moves in a time, and that it starts, stops and stays stopped by itself. */
export function waterTests(ground: Ground): ProveTest[] {
  const { assessed, pump } = ground;
  const { circuit, facts } = assessed;
  const { water } = facts;
  if (!pump) return [];
  const lift = water?.poses[0]?.liftM ?? null;
  const flow = water?.curve && water.hose && lift !== null ? flowThrough(ground, water.curve, water.hose, lift) : null;
  const guessed = circuit.water?.hose?.guessed === true || water?.survey.guessed === true;
  const { measured, guessed: loose } = ground.rules.flow;
  const at = { phase: 'commission', place: 'bilge' } as const;
  const sensor = sensorOf(schemeOf(circuit).senses, circuit.water?.float);
  const filling = fillingOf(ground);
  const on = water?.float
    ? `, about ${Math.round((water.float.zM + water.float.onM) * 1000)} mm over the well’s zero`
    : '';
  return [
    ...(flow !== null && flow > 0
      ? [
          testOf({
            ...at,
            id: 'measured-litres',
            text: `${byHand(ground)}: pour ${MEASURED_L} L from a measured vessel and time it until they are gone.`,
            instrument: 'bucket and watch',
            litres: MEASURED_L,
            expect: flowWindow(flow, guessed ? loose : measured),
            widenedBy: guessed ? ['lift and hose are guessed'] : [],
            missHigh: 'Less lift or a wider hose than was surveyed: measure them.',
            missLow: 'A kink, a strainer, a valve that hangs, air, a worn impeller, or too few volts at the pump.',
          }),
        ]
      : [
          testOf({
            ...at,
            id: 'measured-litres-seen',
            text: `${byHand(ground)}: pour ${MEASURED_L} L in and watch the outlet. ${CURVE_WANTED}`,
            expect: seen('a full stream', ['a thin stream', 'spits air', 'nothing']),
          }),
        ]),
    ...(sensor === null
      ? []
      : [
          testOf({
            ...at,
            id: 'water-starts',
            ...(filling ? { filling } : {}),
            text: `${onItsOwn(ground)}: pour water in until it starts${sensor === 'timer' ? ' at its next waking' : ''}.`,
            expect: seen(`starts at its level${on}`, ['starts too high', 'starts too low', 'does not start']),
          }),
          testOf({
            ...at,
            id: 'water-stops',
            text: 'It pumps down by itself.',
            expect: seen('stops before it sucks air', ['sucks air, then stops', 'does not stop']),
          }),
          testOf({
            ...at,
            id: 'no-restart',
            waitS: 120,
            text: 'Wait two minutes with nothing poured in.',
            expect: seen('stays stopped', ['starts again']),
          }),
        ]),
    testOf({
      ...at,
      id: 'outlet-after',
      text: 'Look at the outlet after the stop.',
      expect: seen('dry', ['water comes back in', 'goes on running out']),
      missLow: '',
    }),
  ];
}
