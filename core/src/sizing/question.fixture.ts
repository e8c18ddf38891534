import { withOhms, type Netlist } from '../circuit';
import type { Battery, Choices } from '../job';
import { defaults } from '../reference';
import { hasPump, netlistOf, planCircuit, type PumpPlan, type SharedPump, type SurveyedCircuit } from '../schemes';
import { houseBattery, surveyedCircuit } from '../schemes/schemes.fixture';
import type { RatingAnswer } from '../wiring';
import { conductorFacts } from './conductors';
import { withRating, type ProtectionQuestion } from './protection';
import { ownFeedOnly, runningSettings, solveIn, withSupply } from './settings';
import { dropThroughout, ohmsThroughout, sizeNamed, type SizingQuestion } from './sizing';

/** A fuse that breaks no limit by itself. */
export const fifteenAmps: RatingAnswer = {
  found: true,
  rating: { kind: 'blade', ratingA: 15 },
  because: 'over-running',
};

export const noRating: RatingAnswer = { found: false, because: 'beyond-all-ratings' };

export const otherPump = (currentA = 3): SharedPump => ({ id: 'other', name: 'Other', pump: { currentA } });

interface Wired {
  readonly plan: PumpPlan;
  readonly netlist: Netlist;
}

/** A circuit as its scheme wires it, 1 mΩ in every conductor, by its own feed alone. */
export function wired(
  circuit: SurveyedCircuit = surveyedCircuit('three-way-float'),
  others: readonly SharedPump[] = [],
  battery: Battery = houseBattery,
): Wired {
  const plan = planCircuit({ circuit, battery, others, alarmAlso: null });
  if (!hasPump(plan)) throw new RangeError('A question is asked of a circuit with a pump.');
  return { plan, netlist: ownFeedOnly(netlistOf(plan, () => 0.001)) };
}

/** What sizing is asked of a circuit: 5 A over 3 + 5 + 5 m in AWG at 3 % where nothing else is said. */
export function sizingQuestion(
  circuit: SurveyedCircuit = surveyedCircuit('three-way-float'),
  change: Partial<SizingQuestion> = {},
): SizingQuestion {
  const { plan, netlist } = wired(circuit);
  return {
    plan,
    netlist,
    family: 'awg',
    dropSchool: 'critical',
    designCurrentA: circuit.pump.currentA,
    rating: fifteenAmps,
    settings: runningSettings(netlist, plan.ids.pump),
    fixed: {},
    ...change,
  };
}

export interface Protected {
  readonly size?: string;
  readonly others?: readonly SharedPump[];
  readonly battery?: Battery;
  readonly choices?: Choices;
}

/** What protection is asked of a circuit with one size throughout and its own fuse at 10 A. */
export function protectionQuestion(
  circuit: SurveyedCircuit = surveyedCircuit('three-way-float'),
  { size = '12 AWG', others = [], battery = houseBattery, choices = {} }: Protected = {},
  change: Partial<ProtectionQuestion> = {},
): ProtectionQuestion {
  const rating = change.rating ?? { kind: 'blade', ratingA: 10 };
  const { plan, netlist: unsized } = wired({ ...circuit, choices }, others, battery);
  const settings = runningSettings(unsized, plan.ids.pump);
  const sizing = { plan, fixed: {} };
  const netlist = withRating(withOhms(unsized, ohmsThroughout(sizing, size)), rating);
  const question = sizingQuestion(circuit, { plan, netlist, settings });
  const design = dropThroughout(question, sizeNamed(size)).solved;
  const onCharge = solveIn(withSupply(netlist, defaults.chargingSupplyV), settings, plan.ids.pump);
  const conductors = plan.conductors.map((planned) =>
    conductorFacts({
      planned,
      choices,
      proposed: sizeNamed(size),
      size: sizeNamed(planned.givenSize ?? size),
      drop: design,
      running: design,
    }),
  );
  return {
    circuit: { ...circuit, choices },
    battery,
    plan,
    netlist,
    settings,
    rating,
    answer: { found: true, rating, because: 'over-running' },
    makerA: null,
    conductors,
    design,
    onCharge,
    shared: null,
    ...change,
  };
}
