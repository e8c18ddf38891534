import { motorAt, withOhms, type Motor, type Netlist } from '../circuit';
import type { SmallerSize, SupplyFacts, WaterFacts } from '../findings';
import { conductorSizes, defaults, type ConductorSize } from '../reference';
import { LITRE_PER_HOUR, pumpPointAt } from '../water';
import { leastPumpV, solveIn, withSupply } from './settings';
import { dropThroughout, ohmsThroughout, type SizingQuestion } from './sizing';

export interface SmallerQuestion {
  readonly question: SizingQuestion;
  readonly proposed: ConductorSize;
  readonly netlist: Netlist;
  readonly motor: Motor;
  readonly water: WaterFacts | null;
  readonly supplyRows: readonly SupplyFacts[];
  /** Flow into the open at some volts, L/h; null while the label's is not known. */
  openFlowAt(volts: number): number | null;
}

/** The next smaller size throughout, and what it gives at 12.8 V; null below the proposed one lies none. */
export function smallerSizeOf(asked: SmallerQuestion): SmallerSize | null {
  const { question, proposed, netlist, motor, water, supplyRows } = asked;
  const sizes = conductorSizes[question.family];
  const smaller = sizes[sizes.findIndex(({ size }) => size === proposed.size) - 1];
  if (!smaller) return null;
  const resized = withSupply(
    withOhms(netlist, ohmsThroughout(question, smaller.size), question.memory),
    defaults.runningSupplyV,
  );
  const present = supplyRows.find(({ supplyV }) => supplyV === defaults.runningSupplyV);
  const weakest = present ? [present.setting] : question.settings;
  const pumpV = leastPumpV(solveIn(resized, weakest, question.plan.ids.pump, question.memory));
  const flowAt = (volts: number) => hoseFlowAt(water, motor, volts) ?? asked.openFlowAt(volts);
  return {
    size: smaller.size,
    dropPercent: (100 * dropThroughout({ ...question, settings: weakest }, smaller).dropV) / defaults.ratedSupplyV,
    flowLPerH: flowAt(pumpV),
    presentFlowLPerH: present ? flowAt(present.pumpV) : null,
  };
}

/** What the pump moves through its hose in the first pose, L/h; null while hose or curve is not known. */
function hoseFlowAt(water: WaterFacts | null, motor: Motor, volts: number): number | null {
  const liftM = water?.poses[0]?.liftM ?? null;
  if (!water?.hose || !water.curve || liftM === null) return null;
  const { speedRatio } = motorAt(motor, volts);
  return pumpPointAt(water.curve, water.hose, speedRatio, liftM, water.waterIn).flow / LITRE_PER_HOUR;
}
