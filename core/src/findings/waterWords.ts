import { formatQuantity, formatVolume } from '../units';
import type { Bound } from '../water';
import type { WaterFacts } from './waterFacts';

/** A height or small length in both unit systems: "18 mm (0.7 in)". */
export function inMillimetres(metres: number): string {
  return `${formatQuantity(metres, 'shortLength', 'metric')} (${formatQuantity(metres, 'shortLength', 'us')})`;
}

/** A flow in both unit systems. */
export function inFlow(lPerH: number): string {
  return `${formatQuantity(lPerH, 'flow', 'metric', 0)} (${formatQuantity(lPerH, 'flow', 'us', 0)})`;
}

/** A head in both unit systems. */
export function inHead(metres: number): string {
  return `${formatQuantity(metres, 'head', 'metric', 2)} (${formatQuantity(metres, 'head', 'us', 1)})`;
}

/** A volume in both unit systems: "0.84 L (0.22 gal)". */
export function inVolume(litres: number): string {
  return `${formatVolume(litres, 'metric')} (${formatVolume(litres, 'us')})`;
}

export function poseName({ poses }: WaterFacts, id: string): string {
  return poses.find(({ pose }) => pose.id === id)?.pose.name ?? id;
}

const rules: Readonly<Record<Bound['rule'], string>> = {
  floor: 'the hull under it',
  prime: 'the pump must stop before it sucks air',
  'drain-back': 'the hose’s own water must not start it again',
  'short-run': 'runs of ten seconds',
  limit: 'what must stay dry',
  order: 'it comes after the first pump’s float',
};

/** What bounds a window, and in which pose: "what must stay dry (battery box), heeled to port". */
export function boundInWords(water: WaterFacts, { rule, pose, about }: Bound): string {
  const thing = about === undefined ? undefined : (water.survey.limits ?? []).find(({ id }) => id === about)?.name;
  const where = rule === 'floor' || water.poses.length < 2 ? '' : `, ${poseName(water, pose).toLowerCase()}`;
  return `${rules[rule]}${thing === undefined ? '' : ` (${thing})`}${where}`;
}
