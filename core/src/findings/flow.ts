import { defaults, leastCapacityLPerMin, OUR_RULE, pumpCatalogue } from '../reference';
import type { Circuit } from '../job';
import { formatQuantity, type UnitSystem } from '../units';
import type { FixIdea, Judgement } from './finding';
import type { WaterFacts } from './waterFacts';
import { addCheckValve, widerHoses } from './waterFixes';
import { saying } from './waterSaying';
import { waterSpeech } from './waterWords';

/** Whether the pump moves water at all, and enough. */
export function flowJudgements(circuit: Circuit, water: WaterFacts, automatic: boolean): Judgement[] {
  const { poses } = water;
  if (water.hose && !water.curve) return [flowNotKnown(circuit, automatic, water.units)];
  const still = poses.find(({ operating }) => operating.some(({ flowLPerH }) => flowLPerH <= 0));
  return [
    ...(still ? [noFlow(still, water)] : capacityJudgements(circuit, water)),
    ...(water.sensor === 'timer' && water.reprimes
      ? [
          saying({
            code: 'reprimes-itself',
            severity: 'caution',
            message:
              'At loss of prime the hose’s water falls back and gives the pump its prime again: it runs on over and over. A check valve or less hose above the pump ends that.',
            rule: 'What runs back stays below the level at which the pump has prime.',
            ideas: (means) => addCheckValve(circuit, water, means),
          }),
        ]
      : []),
  ];
}

/** Without a curve nothing is known of what leaves the boat, and no run is made up. */
function flowNotKnown(circuit: Circuit, automatic: boolean, units: UnitSystem): Judgement {
  const { openFlowLPerH } = circuit.pump;
  const lacks = openFlowLPerH === undefined ? 'open flow and shut-off head are' : 'shut-off head is';
  return saying({
    code: 'flow-not-known',
    severity: automatic ? 'caution' : 'note',
    message: `What this pump moves up its hose is not known: its ${lacks} not entered, so no run of the well can be shown. Read ${openFlowLPerH === undefined ? 'them' : 'it'} from the label or the maker’s curve.`,
    rule: 'A pump is judged at its real head.',
    source: OUR_RULE,
    ideas: () => typicalCurve(circuit, units),
  });
}

/** The figures of the nearest class of pumps, until the label is read. */
export function typicalCurve(circuit: Circuit, units: UnitSystem): FixIdea[] {
  const { openFlowLPerH, currentA, shutOffHeadM } = circuit.pump;
  const classes = Object.values(pumpCatalogue);
  const distance = (one: (typeof classes)[number]) =>
    openFlowLPerH !== undefined
      ? Math.abs(Math.log(one.openFlowLPerH / openFlowLPerH))
      : Math.abs(Math.log(one.currentA / (currentA ?? one.currentA)));
  const [nearest] = [...classes].sort((one, other) => distance(one) - distance(other));
  if (!nearest) return [];
  const typical = {
    openFlowLPerH: openFlowLPerH ?? nearest.openFlowLPerH,
    shutOffHeadM: shutOffHeadM ?? nearest.shutOffHeadM,
  };
  return [
    {
      label: `Take what is typical: shuts off at ${formatQuantity(typical.shutOffHeadM, 'head', units)}`,
      circuit: { ...circuit, pump: { ...circuit.pump, ...typical } },
    },
  ];
}

function noFlow(still: WaterFacts['poses'][number], { poses, units }: WaterFacts): Judgement {
  return saying({
    code: 'no-flow',
    severity: 'stop',
    message: `${poses.length > 1 ? `${still.pose.name}: the` : 'The'} hose climbs ${waterSpeech(units).head(still.liftM ?? 0)}, and at the volts it gets the pump does not reach that: nothing leaves the boat. Lower the hose’s highest point, use thicker cable, or a pump with more head.`,
    rule: 'Shut-off head at the pump’s own speed exceeds the lift in every pose.',
  });
}

function capacityJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { poses, ingress, hullLengthM } = water;
  const say = waterSpeech(water.units);
  const flows = poses.flatMap(({ operating }) =>
    operating.filter(({ supplyV }) => supplyV === defaults.runningSupplyV),
  );
  if (flows.length === 0) return [];
  const leastLPerH = Math.min(...flows.map(({ flowLPerH }) => flowLPerH));
  const sayings: Judgement[] = [];
  const [worst] = ingress;
  if (worst && worst.mostLPerH >= leastLPerH) {
    sayings.push(
      saying({
        code: 'ingress-beats-pump',
        severity: 'caution',
        message: `“${worst.name}” brings up to ${say.flow(worst.mostLPerH)}, and this pump moves ${say.flow(leastLPerH)} at 12.8 V through its hose. It gains time and no more: see how long on the Float station.`,
        rule: 'Capacity at real head exceeds the ingress it is there for.',
        ideas: (means) => widerHoses(circuit, water, means),
      }),
    );
  }
  const neededLPerH = hullLengthM === null ? 0 : 60 * leastCapacityLPerMin(hullLengthM);
  if (leastLPerH < neededLPerH) {
    sayings.push(
      saying({
        code: 'capacity-by-length',
        severity: 'caution',
        message: `At its real head this pump moves ${say.flow(leastLPerH)}; the rule of thumb for this length of hull is ${say.flow(neededLPerH)}. What comes in is the better argument; this is the least. A wider hose, a shorter climb or a larger pump moves more.`,
        rule: 'Least capacity by hull length: 10 L/min to 6 m, 15 to 12 m, 30 above.',
        source: 'Small-craft rule of thumb; ISO 15083',
        ideas: (means) => widerHoses(circuit, water, means),
      }),
    );
  }
  return sayings;
}
