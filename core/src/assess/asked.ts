import type { Motor } from '../circuit';
import { protectionKindOf, type Choices, type Circuit, type Pump } from '../job';
import type { CableFamily, DropSchool } from '../reference';
import { hasPump, motorOf, planCircuit, type Plan, type PumpPlan, type SurveyedCircuit } from '../schemes';
import { ratingInForce, type SizingMemory } from '../sizing';
import { proposeRating, type Rating, type RatingAnswer } from '../wiring';
import type { Surroundings } from './surroundings';

/** What the survey and the choices ask for. */
export interface Asked {
  readonly circuit: SurveyedCircuit;
  readonly choices: Choices;
  readonly plan: PumpPlan;
  readonly motor: Motor;
  readonly designCurrentA: number;
  readonly fedA: number;
  readonly makerA: number | null;
  readonly answer: RatingAnswer;
  readonly rating: Rating;
  readonly family: CableFamily;
  readonly dropSchool: DropSchool;
  readonly memory: SizingMemory;
}

/** What is asked of a circuit in its surroundings. @throws RangeError for a scheme that says it has a pump and plans none */
export function askedOf(
  circuit: SurveyedCircuit,
  { battery, others, alarmAlso, sharedFeed }: Surroundings,
  memory: SizingMemory,
): Asked {
  const choices = circuit.choices ?? {};
  const designCurrentA = circuit.pump.currentA;
  const fedA = others.reduce((sum, { pump }) => sum + pump.currentA, designCurrentA);
  const makerA = leastMakerA([circuit.pump, ...others.map(({ pump }) => pump)]);
  const answer = proposeRating({
    kind: protectionKindOf(choices),
    runningA: fedA,
    ...(makerA === null || circuit.panel?.fuse ? {} : { makerA }),
  });
  return {
    circuit,
    choices,
    plan: withPump(planCircuit({ circuit, battery, others, alarmAlso })),
    motor: motorOf(circuit.pump),
    designCurrentA,
    fedA,
    makerA,
    answer,
    rating: ratingInForce(answer, choices, fedA, sharedFeed),
    family: choices.family ?? 'awg',
    dropSchool: choices.dropSchool ?? 'critical',
    memory,
  };
}

/** @throws RangeError for a scheme that says it has a pump and plans none. */
function withPump(plan: Plan): PumpPlan {
  if (!hasPump(plan)) throw new RangeError('The scheme names a pump and plans none.');
  return plan;
}

/** Whether the pump's current is known. */
export function isSurveyed(circuit: Circuit): circuit is SurveyedCircuit {
  return circuit.pump.currentA !== undefined;
}

function leastMakerA(pumps: readonly Pump[]): number | null {
  const figures = pumps.flatMap(({ makerFuseA }) => (makerFuseA === undefined ? [] : [makerFuseA]));
  return figures.length === 0 ? null : Math.min(...figures);
}
