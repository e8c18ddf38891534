import { motorAt, withOhms, type Netlist } from '../circuit';
import { conductorSizes, defaults, dropSchools, type ConductorSize, type DropSchool } from '../reference';
import { leastPumpV, solveIn, withSupply } from './settings';
import { dropThroughout, ohmsThroughout, proposeSize, type SizingQuestion } from './sizing';

/** A size throughout the circuit, and what it gives from 12.0 V at the posts. */
export interface Alternative {
  readonly size: string;
  /** Schools that propose this size. */
  readonly schools: readonly DropSchool[];
  readonly dropPercent: number;
  readonly pumpV: number;
  readonly speedRatio: number;
  readonly openFlowLPerH: number | null;
}

/**
 * What each school proposes and the sizes on either side, each throughout the
 * circuit: what it drops and what the pump then does from 12.0 V.
 */
export function alternativesOf(
  question: SizingQuestion,
  proposed: ConductorSize,
  netlist: Netlist,
  openFlowAt: (volts: number) => number | null,
): Alternative[] {
  const sizes = conductorSizes[question.family];
  const bySchool = Object.keys(dropSchools).map((key) => {
    const school = key as DropSchool;
    const own = school === question.dropSchool;
    return { school, size: own ? proposed.size : proposeSize({ ...question, dropSchool: school }).size.size };
  });
  const at = sizes.findIndex((row) => row.size === proposed.size);
  const neighbours = [sizes[at - 1], sizes[at + 1]].flatMap((row) => (row ? [row.size] : []));
  const shown = new Set([...bySchool.map(({ size }) => size), ...neighbours]);
  return sizes
    .filter((row) => shown.has(row.size))
    .map((row) => ({
      size: row.size,
      schools: bySchool.filter(({ size }) => size === row.size).map(({ school }) => school),
      ...effectOf(question, row, netlist, openFlowAt),
    }));
}

function effectOf(
  question: SizingQuestion,
  size: ConductorSize,
  netlist: Netlist,
  openFlowAt: (volts: number) => number | null,
) {
  const { plan, settings, memory } = question;
  const resized = withOhms(netlist, ohmsThroughout(question, size.size), memory);
  const pumpV = leastPumpV(solveIn(withSupply(resized, defaults.ratedSupplyV), settings, plan.ids.pump, memory));
  const motor = netlist.parts.flatMap((part) => (part.kind === 'pump' ? [part.motor] : []))[0];
  return {
    dropPercent: (100 * dropThroughout(question, size).dropV) / defaults.ratedSupplyV,
    pumpV,
    speedRatio: motor ? motorAt(motor, pumpV).speedRatio : 0,
    openFlowLPerH: openFlowAt(pumpV),
  };
}
