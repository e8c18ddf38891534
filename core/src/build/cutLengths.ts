import { legOf, type Build, type Circuit } from '../job';
import { buildRules } from '../reference';
import type { Plan, PlannedConductor } from '../schemes';

/** What is added to a conductor's route before it is cut, m. */
export interface Slack {
  /** For frames, clips and corners along the route. */
  readonly route: number;
  readonly panelEnd: number;
  /** Up to bench or deck, so that pump and float lift out. */
  readonly bench: number;
  readonly dripLoop: number;
  readonly joints: number;
  readonly remake: number;
  /** To the next step of a tape. */
  readonly rounding: number;
}

/** A length to be cut, with what it is made of, m. */
export interface CutLength {
  /** Along the route, one way, as surveyed. */
  readonly routeM: number;
  readonly slackM: Slack;
  /** The sum. */
  readonly cutM: number;
}

const NONE: Slack = { route: 0, panelEnd: 0, bench: 0, dripLoop: 0, joints: 0, remake: 0, rounding: 0 };

/** The way a conductor takes, as surveyed, without the slack that was added to it, m. */
export function routeOf(circuit: Circuit, { leg, lengthM, duty, id }: PlannedConductor): number {
  if (leg === 'stub' || leg === 'panel' || leg === 'lead') return lengthM;
  const surveyed = legOf(circuit, leg);
  const { autoLengthM } = circuit.legs.panelToBilge;
  const own = leg === 'panelToBilge' && id === 'auto' && duty === 'pump' ? autoLengthM : undefined;
  const further = (surveyed.further ?? []).reduce((sum, piece) => sum + piece.lengthM, 0);
  return (own ?? surveyed.lengthM ?? 0) + further;
}

/** Rounded up to the step of a tape, m; what is a step to within a hair stays. */
function toStep(lengthM: number): number {
  const step = buildRules.cutStepM.value;
  return Number((Math.ceil(lengthM / step - 1e-9) * step).toFixed(6));
}

/**
 * The length to cut: 1.05 times the route, slack at the ends it has, rounded up to 100 mm. The stub before the fuse
 * is kept as short as it is; a lead comes with its part and is not cut. Source: our rule, each term in `buildRules`.
 * @param slack terms in place of the defaults
 * @returns null for a lead
 */
export function cutLength(
  plan: Plan,
  conductor: PlannedConductor,
  routeM: number,
  slack: NonNullable<Build['slack']> = {},
): CutLength | null {
  if (conductor.leg === 'lead') return null;
  if (conductor.leg === 'stub') return { routeM, slackM: NONE, cutM: routeM };
  const ends = [conductor.from, conductor.to].map((end) => plan.parts.find(({ part }) => part.id === end.part));
  const within = conductor.leg === 'panel';
  const bilge = within ? undefined : ends.find((end) => end?.band === 'bilge');
  const panel = within ? undefined : ends.find((end) => end?.band === 'panel');
  const joints = within ? 0 : ends.filter((end) => end?.part.kind === 'joint').length;
  const given = {
    panelEnd: slack.panelEndM ?? buildRules.panelEndM.value,
    bench: Math.max(slack.benchM ?? 0, buildRules.benchM.value),
    dripLoop: slack.dripLoopM ?? buildRules.dripLoopM.value,
    joint: slack.jointM ?? buildRules.jointM.value,
    remake: slack.remakeM ?? buildRules.remakeM.value,
  };
  const before = {
    route: routeM * (buildRules.routeFactor.value - 1),
    panelEnd: panel ? given.panelEnd : 0,
    bench: bilge ? given.bench : 0,
    dripLoop: bilge ? given.dripLoop : 0,
    joints: joints * given.joint,
    remake: bilge?.part.kind === 'joint' ? given.remake : 0,
  };
  const sum = routeM + Object.values(before).reduce((all, one) => all + one, 0);
  const cutM = toStep(sum);
  return { routeM, slackM: { ...before, rounding: cutM - sum }, cutM };
}
