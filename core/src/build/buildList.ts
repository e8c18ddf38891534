import type { AssessedAlarm, AssessedPump } from '../assess';
import { legKeys, legOf, type Circuit, type Job, type LegKey } from '../job';
import { levelSensors, type LevelSensor } from '../reference';
import { colourInWords, schemeOf, terminalInWords, type Plan } from '../schemes';
import type { BuildConductor, ConductorEnd } from './buildConductor';
import { asPlanned, differencesOf, outletProblems, problemsOf, type BuildProblem } from './buildProblems';
import { cableOf, spareCores, type SpareCore } from './cables';
import { judgeColour } from './colours';
import { ANY_COLOUR, SHEATHED } from './cutting';
import { cutLength, routeOf } from './cutLengths';
import { jointsOf, type JointWork } from './joints';
import { conductorLabels, endLabels, labelCode, sourceLabel, type Label } from './labels';
import { orderOf, type OrderLine } from './order';
import { outletHole, panelCutOut, type OutletHole, type PanelCutOut } from './outlet';
import { partsOf, toolsOf, type PartNeeded } from './parts';
import { stepsOf, type BuildStep } from './steps';

export type { BuildConductor } from './buildConductor';
export type { BuildProblem } from './buildProblems';

/** Everything that building a circuit takes. Plain data. */
export interface BuildList {
  readonly conductors: readonly BuildConductor[];
  readonly spares: readonly (SpareCore & { readonly size: string; readonly cutM: number })[];
  readonly joints: readonly JointWork[];
  readonly labels: readonly Label[];
  readonly parts: readonly PartNeeded[];
  readonly tools: readonly string[];
  readonly cutOuts: {
    readonly outlet: OutletHole | null;
    readonly panel: PanelCutOut | null;
    /** The outlet over the water outside in every pose, m; null where that is not known. */
    readonly outletAt: readonly { readonly pose: string; readonly overM: number | null }[];
  };
  readonly steps: readonly BuildStep[];
  readonly order: readonly OrderLine[];
  readonly problems: readonly BuildProblem[];
  /** How it was built otherwise than planned, in words. */
  readonly differences: readonly string[];
}

/** What building a circuit takes, from its plan as sized. */
export function buildList(job: Job, assessed: AssessedPump | AssessedAlarm): BuildList {
  const { circuit, plan, facts } = assessed;
  const conductors = withCables(facts.conductors.map((one) => conductorOf(circuit, plan, one)));
  const joints = jointsOf(circuit, plan, facts.conductors, jointsOverWater(job, circuit));
  const legs = legsOf(circuit, plan);
  const spares = spareCores(
    circuit,
    legs.map(({ leg }) => leg),
  ).map((spare) => {
    const beside = conductors.filter(({ leg, cutM }) => leg === spare.leg && cutM !== null);
    const longest = beside.reduce((most, { cutM }) => Math.max(most, cutM ?? 0), 0);
    return { ...spare, size: beside[0]?.size ?? '', cutM: longest };
  });
  const hole = circuit.build?.outlet ? outletHole(circuit.build.outlet) : null;
  const panel = circuit.build?.cutOut ? panelCutOut(circuit.build.cutOut) : null;
  const ratingA = facts.kind === 'pump' && !facts.sharedFeed ? facts.protection.ratingA : null;
  const order = orderOf(pieces(conductors, spares));
  const labels = labelsOf(circuit, conductors, ratingA);
  const bands = new Set(conductors.flatMap(({ band }) => (band ? [colourInWords(band)] : []))).size;
  const outletOverM = facts.water?.poses[0]?.outletOverM ?? null;
  const ground = { job, circuit, plan, ratingA, joints, order, labels: labels.length, bands, legs, hole, outletOverM };
  return {
    conductors,
    spares,
    joints,
    labels,
    parts: partsOf(ground),
    tools: toolsOf(ground),
    cutOuts: { outlet: hole, panel, outletAt: outletAt(assessed) },
    steps: stepsOf({
      circuit,
      plan,
      joints,
      legs: legs.map(({ leg, lengthM }) => ({
        leg,
        lengthM,
        conductors: conductors.filter((one) => one.leg === leg).map(({ id }) => id),
      })),
      hole,
      ratingA,
      petrol: job.boat.petrol ?? false,
    }),
    order,
    problems: [...problemsOf(circuit, plan, conductors, joints, hole, panel), ...outletProblems(assessed)],
    differences: differencesOf(circuit, plan),
  };
}

type Facts = (AssessedPump | AssessedAlarm)['facts']['conductors'][number];

function conductorOf(circuit: Circuit, plan: Plan, { planned, size }: Facts): BuildConductor {
  const end = ({ part, terminal }: Plan['ground']): ConductorEnd => ({
    part,
    terminal,
    post: circuit.panel?.posts?.[`${part}.${terminal}`] ?? null,
    words: terminalInWords(plan, { part, terminal }, circuit.panel?.posts),
  });
  const cut = cutLength(plan, planned, routeOf(circuit, planned), circuit.build?.slack);
  const taken = circuit.build?.colours?.[planned.id];
  const pulled = circuit.build?.pulledM?.[planned.id];
  return {
    id: planned.id,
    name: planned.name,
    size,
    colour: planned.colour,
    band: taken ? judgeColour(asPlanned(planned), taken).band : null,
    insulationC: Math.max(0, ...planned.runs.map(({ insulationC }) => insulationC)),
    leg: planned.leg,
    from: end(planned.from),
    to: end(planned.to),
    netM: planned.lengthM,
    slackM: cut?.slackM ?? null,
    cutM: cut?.cutM ?? null,
    pulledM: pulled ?? null,
    cable: cableOf(circuit, planned),
    labels: endLabels(labelCode(circuit), planned),
  };
}

/** All cores of a cable are cut to its longest. */
function withCables(conductors: readonly BuildConductor[]): BuildConductor[] {
  return conductors.map((one) => {
    const { cable, cutM, slackM } = one;
    if (cable === null || cutM === null || !slackM) return one;
    const longest = Math.max(...conductors.map((other) => (other.cable === cable ? (other.cutM ?? 0) : 0)));
    return { ...one, cutM: longest, slackM: { ...slackM, rounding: slackM.rounding + longest - cutM } };
  });
}

function legsOf(circuit: Circuit, plan: Plan) {
  return legKeys.flatMap((leg): { leg: LegKey; lengthM: number; bulkheads: number; singles: number }[] => {
    const own = plan.conductors.filter((one) => one.leg === leg);
    if (own.length === 0) return [];
    const lengthM = Math.max(...own.map((one) => routeOf(circuit, one)));
    const singles = legOf(circuit, leg).multicore ? 0 : own.length;
    return [{ leg, lengthM, bulkheads: circuit.build?.pulls?.[leg]?.bulkheads ?? 0, singles }];
  });
}

/** What is cut from drums: each conductor by itself, a sheathed cable once with all its cores. */
export function pieces(conductors: readonly BuildConductor[], spares: BuildList['spares']) {
  const singles = conductors.flatMap(({ id, cable, cutM, size, colour, insulationC }) =>
    cable !== null || cutM === null ? [] : [{ id, size, colour: colourInWords(colour), cutM, insulationC }],
  );
  const cables = [...new Set(conductors.flatMap(({ cable }) => cable ?? []))].map((cable) => {
    const cores = conductors.filter((one) => one.cable === cable);

    const spare = spares.filter(({ leg }) => `cable-${leg}` === cable).length;
    const count = cores.length + spare;
    return {
      id: cable,
      size: cores[0]?.size ?? '',
      colour: `${count} cores, ${SHEATHED}`,
      cutM: Math.max(...cores.map(({ cutM }) => cutM ?? 0)),
      insulationC: Math.max(...cores.map(({ insulationC }) => insulationC)),
    };
  });
  const loose = spares.flatMap(({ leg, size, cutM }) => {
    const cabled = conductors.some((one) => one.leg === leg && one.cable !== null);
    return cabled ? [] : [{ id: `spare-${leg}`, size, colour: `${ANY_COLOUR}, marked spare`, cutM, insulationC: 0 }];
  });
  return [...singles, ...cables, ...loose];
}

function labelsOf(circuit: Circuit, conductors: readonly BuildConductor[], ratingA: number | null): Label[] {
  const code = labelCode(circuit);
  const own = conductors.flatMap((one) => {
    const leg = legKeys.find((key) => key === one.leg);
    const bulkheads = leg === undefined ? 0 : (circuit.build?.pulls?.[leg]?.bulkheads ?? 0);
    return conductorLabels(code, one, { from: one.from.words, to: one.to.words }, bulkheads);
  });
  return ratingA === null ? own : [sourceLabel(circuit, ratingA), ...own];
}

/** How far the joints surveyed in its well lie over the highest water at which one of its floats switches on, m; null where none was surveyed. */
function jointsOverWater(job: Job, { water }: Circuit): number | null {
  const well = job.wells?.find(({ id }) => id === water?.wellId);
  const lowest = Math.min(...(well?.limits ?? []).filter(({ kind }) => kind === 'joint').map(({ zM }) => zM));
  if (!Number.isFinite(lowest)) return null;
  const highest = job.circuits
    .filter((other) => other.water?.wellId === well?.id)
    .reduce((most, other) => {
      const sensor: LevelSensor = other.water?.float?.kind ?? usualSensor(other);
      const { zM = 0, onM = levelSensors[sensor].onM } = other.water?.float ?? {};
      return Math.max(most, zM + onM + (other.water?.pumpAt?.zM ?? 0));
    }, 0);
  return lowest - highest;
}

function usualSensor(circuit: Circuit): LevelSensor {
  const { senses } = schemeOf(circuit);
  return senses === null || senses === 'timer' ? 'hinged' : senses;
}

function outletAt({ facts }: AssessedPump | AssessedAlarm): BuildList['cutOuts']['outletAt'] {
  return facts.water?.poses.map(({ pose, outletOverM }) => ({ pose: pose.name, overM: outletOverM })) ?? [];
}
