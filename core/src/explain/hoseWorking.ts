import type { PoseFacts, WaterFacts } from '../findings';
import { defaults } from '../reference';
import { formatQuantity, formatVolume, plainNumber, type UnitSystem } from '../units';
import {
  areaM2,
  drainBackM3,
  frictionFactor,
  GRAVITY,
  hoseLengthM,
  LITRE_PER_HOUR,
  slopesOf,
  viscosity,
} from '../water';

/** A step of the way from what was measured to a flow. */
export interface WorkingLine {
  readonly what: string;
  readonly figures: string;
}

/** How the flow at 12.8 V came about in the first pose, each figure from those before it. */
export function hoseWorking(water: WaterFacts, units: UnitSystem): WorkingLine[] {
  const { hose, curve, waterIn } = water;
  const [first] = water.poses;
  const row = first?.operating.find(({ supplyV }) => supplyV === defaults.runningSupplyV);
  if (!hose || !curve || !first || !row) return [];
  const flow = row.flowLPerH * LITRE_PER_HOUR;
  const speed = flow / areaM2(hose.boreM);
  const re = (speed * hose.boreM) / viscosity[waterIn];
  const f = flow > 0 ? frictionFactor(re, hose.roughnessM / hose.boreM) : 0;
  const velocityHeadM = (speed * speed) / (2 * GRAVITY);
  const lengthM = hoseLengthM(hose);
  const head = (metres: number) => formatQuantity(metres, 'head', units, 2);
  const small = (metres: number) => formatQuantity(metres, 'shortLength', units);
  return [
    {
      what: 'Lift',
      figures: `highest point of the hose over the water at the pump’s base, ${first.pose.name.toLowerCase()}: ${head(first.liftM ?? 0)}`,
    },
    {
      what: 'Speed in the hose',
      figures: `${formatQuantity(row.flowLPerH, 'flow', units, 0)} through ${small(hose.boreM)}: ${formatQuantity(speed, 'speed', units)}, Reynolds number ${Math.round(re).toLocaleString('en')}`,
    },
    {
      what: 'Friction',
      figures: `factor ${plainNumber(f, 4)} (Colebrook, roughness ${plainNumber(1000 * hose.roughnessM, 3)} mm) × ${formatQuantity(lengthM, 'length', units)} ÷ bore × v²/2g: ${head((f * lengthM * velocityHeadM) / hose.boreM)}`,
    },
    {
      what: 'Bends, fittings, exit',
      figures: `${plainNumber(hose.minorK, 1)} × v²/2g: ${head(hose.minorK * velocityHeadM)}`,
    },
    {
      what: 'Against the pump',
      figures: `lift and losses together ${head(row.headM)}, where the pump’s curve at the speed its volts give meets the hose`,
    },
    { what: 'Runs back at each stop', figures: drainBackInWords(water, units) },
  ];
}

function drainBackInWords({ hose, poses }: WaterFacts, units: UnitSystem): string {
  if (!hose) return '';
  if (hose.checkValve) return 'nothing: the check valve holds it';
  const back = ({ pose }: PoseFacts) => formatVolume(1000 * drainBackM3(hose, slopesOf(pose)), units);
  return poses.map((facts) => `${facts.pose.name.toLowerCase()} ${back(facts)}`).join('; ');
}
