import { motorAt, type Motor } from '../circuit';
import type { SupplyFacts } from '../findings';
import type { Pump } from '../job';
import { defaults } from '../reference';
import { leastBy, type Solved } from '../sizing';

const NOTHING_RUNS = { pumpV: 0, setting: { switches: {}, floats: {} } } as const;

/** Open flow at the pump's volts, L/h; null while the label's open flow is not known. */
export function openFlowAt(pump: Pump, motor: Motor, volts: number): number | null {
  const known = labelFlow(pump);
  if (!known) return null;
  return (known.flowLPerH * motorAt(motor, volts).speedRatio) / motorAt(motor, known.volts).speedRatio;
}

/** The open flow on the label, or where the maker's curve meets zero head. */
function labelFlow({ openFlowLPerH, openFlowV, curve }: Pump) {
  if (openFlowLPerH !== undefined) return { flowLPerH: openFlowLPerH, volts: openFlowV ?? defaults.openFlowV };
  const open = curve?.find(({ headM }) => headM === 0);
  return open && { flowLPerH: open.flowLPerH, volts: open.volts ?? openFlowV ?? defaults.openFlowV };
}

/** The pump at one supply, by the settings in which it runs. */
export function supplyFacts(pump: Pump, motor: Motor, supplyV: number, solved: readonly Solved[]): SupplyFacts {
  const [first, ...rest] = solved;
  // A relay that chatters in every running setting leaves nothing to show.
  const { pumpV, setting } = first ? leastBy([first, ...rest], (row) => row.pumpV) : NOTHING_RUNS;
  const { amps, speedRatio } = motorAt(motor, pumpV);
  return { supplyV, pumpV, pumpA: amps, speedRatio, openFlowLPerH: openFlowAt(pump, motor, pumpV), setting };
}
