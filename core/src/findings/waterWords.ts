import { formatQuantity, formatVolume, shownUnit, type UnitSystem } from '../units';
import type { Bound } from '../water';
import type { WaterFacts } from './waterFacts';

/** Figures of water in words, in one unit system. */
export interface WaterSpeech {
  /** A height or small length: "18 mm". @param more digits beyond the usual */
  height(metres: number, more?: number): string;
  /** A flow: "2100 L/h". */
  flow(lPerH: number): string;
  /** A head: "1.25 m". */
  head(metres: number): string;
  /** A volume: "0.84 L". */
  volume(litres: number): string;
}

const speeches: Readonly<Record<UnitSystem, WaterSpeech>> = { metric: speechIn('metric'), us: speechIn('us') };

function speechIn(units: UnitSystem): WaterSpeech {
  return {
    height: (metres, more = 0) =>
      formatQuantity(metres, 'shortLength', units, shownUnit('shortLength', units).digits + more),
    flow: (lPerH) => formatQuantity(lPerH, 'flow', units, 0),
    head: (metres) => formatQuantity(metres, 'head', units, units === 'metric' ? 2 : 1),
    volume: (litres) => formatVolume(litres, units),
  };
}

export function waterSpeech(units: UnitSystem): WaterSpeech {
  return speeches[units];
}

export function poseName({ poses }: WaterFacts, id: string): string {
  return poses.find(({ pose }) => pose.id === id)?.pose.name ?? id;
}

const rules: Readonly<Record<Bound['rule'], string>> = {
  floor: 'the hull under it',
  prime: 'the pump must stop before it sucks air',
  'drain-back': 'the hose’s own water must not start it again',
  limit: 'what must stay dry',
  order: 'it comes after the first pump’s float',
};

/** What bounds a window, and in which pose: "what must stay dry (battery box), heeled to port". */
export function boundInWords(water: WaterFacts, { rule, pose, about }: Bound): string {
  const thing = about === undefined ? undefined : (water.survey.limits ?? []).find(({ id }) => id === about)?.name;
  const where = rule === 'floor' || water.poses.length < 2 ? '' : `, ${poseName(water, pose).toLowerCase()}`;
  return `${rules[rule]}${thing === undefined ? '' : ` (${thing})`}${where}`;
}
