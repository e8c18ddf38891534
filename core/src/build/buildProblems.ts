import type { AssessedAlarm, AssessedPump } from '../assess';
import type { Circuit } from '../job';
import { colourInWords, type ConductorColour, type Plan, type PlannedConductor } from '../schemes';
import type { BuildConductor } from './buildConductor';
import { judgeColour } from './colours';
import { routeOf } from './cutLengths';
import type { JointWork } from './joints';
import type { OutletHole, PanelCutOut } from './outlet';

/** Something about the building that is wrong, at its place. */
export interface BuildProblem {
  readonly at: string;
  readonly refused: boolean;
  readonly message: string;
}

/** A conductor in the colour that it was planned in. */
export const asPlanned = ({ name, role, colour, plannedColour }: PlannedConductor) => ({
  name,
  role,
  colour: plannedColour ?? colour,
});

/** What is wrong about the building of a circuit, each at its place. */
export function problemsOf(
  circuit: Circuit,
  plan: Plan,
  conductors: readonly BuildConductor[],
  joints: readonly JointWork[],
  hole: OutletHole | null,
  panel: PanelCutOut | null,
): BuildProblem[] {
  const { build } = circuit;
  const colourProblems = Object.entries(build?.colours ?? {}).flatMap(([id, taken]): BuildProblem[] => {
    const conductor = plan.conductors.find((one) => one.id === id);
    if (!conductor) return [];
    const { lies, message } = judgeColour(asPlanned(conductor), taken);
    return lies ? [{ at: id, refused: true, message: `${conductor.name}: ${message}` }] : [];
  });
  const pulledProblems = conductors.flatMap((one): BuildProblem[] => {
    const planned = plan.conductors.find(({ id }) => id === one.id);
    if (one.pulledM === null || !planned) return [];
    const route = routeOf(circuit, planned);
    return one.pulledM < route - 1e-9
      ? [
          {
            at: one.id,
            refused: false,
            message: `${one.name}: ${one.pulledM} m as pulled is shorter than its route of ${Number(route.toFixed(3))} m. Measure both again.`,
          },
        ]
      : [];
  });
  const low = joints.flatMap((joint): BuildProblem[] =>
    joint.overWaterM !== null && joint.overWaterM < -1e-9
      ? [
          {
            at: joint.id,
            refused: true,
            message: `${joint.name} lies ${Math.round(-joint.overWaterM * 1000)} mm under the water at which a float switches on. Lead it higher.`,
          },
        ]
      : [],
  );
  const holes = [
    ...(hole?.words ?? []).map((word) => ({ at: 'skin-fitting', ...word })),
    ...(panel?.words ?? []).map((word) => ({ at: 'cut-out', ...word })),
  ].filter(({ refused }) => refused);
  return [...colourProblems, ...pulledProblems, ...low, ...holes];
}

/** Where the hole must not be drilled: what the outlet's height is judged by, said before it is. */
export function outletProblems({ findings }: AssessedPump | AssessedAlarm): BuildProblem[] {
  return findings
    .filter(({ code, severity }) => severity !== 'note' && (code === 'outlet-under-water' || code === 'outlet-low'))
    .map(({ severity, message }) => ({ at: 'skin-fitting', refused: severity === 'stop', message }));
}

/** How it was built otherwise than planned, in words. */
export function differencesOf(circuit: Circuit, plan: Plan): string[] {
  const { build } = circuit;
  if (!build) return [];
  const nameOf = (id: string) => plan.conductors.find((one) => one.id === id)?.name ?? id;
  const jointName = (id: string) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  return [
    ...Object.entries(build.colours ?? {}).flatMap(([id, { base, stripe, banded }]) => {
      const before = plan.conductors.find((one) => one.id === id)?.plannedColour;
      if (!before) return [];
      const now: ConductorColour = stripe === undefined ? { base } : { base, stripe };
      return [`${nameOf(id)}: ${colourInWords(now)} in place of ${colourInWords(before)}${banded ? ', banded' : ''}.`];
    }),
    ...Object.entries(build.pulledM ?? {}).map(([id, metres]) => `${nameOf(id)}: ${metres} m as pulled.`),
    ...Object.entries(build.joints ?? {}).flatMap(([id, { school }]) =>
      school === undefined ? [] : [`${jointName(id)}: joined otherwise than the rest.`],
    ),
    ...(build.disconnects?.pump ? ['A disconnect at the pump.'] : []),
    ...(build.disconnects?.float ? ['A disconnect at the float.'] : []),
  ];
}
